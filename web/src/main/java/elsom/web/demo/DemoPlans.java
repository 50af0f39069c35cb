package elsom.web.demo;

import elsom.core.design.LayoutKind;
import elsom.core.dose.Stock;
import elsom.core.plan.Arrangement;
import elsom.core.plan.Asked;
import elsom.core.plan.Direction;
import elsom.core.plan.Factor;
import elsom.core.plan.FactorKind;
import elsom.core.plan.FollowUp;
import elsom.core.plan.Hours;
import elsom.core.plan.LevelsText;
import elsom.core.plan.Measure;
import elsom.core.plan.Plan;
import elsom.core.plan.PlanOrigin;
import elsom.core.plan.PlannedLook;
import elsom.core.plan.PlannedTreatment;
import elsom.core.plan.Pots;
import elsom.core.plan.Question;
import elsom.core.plan.ReadyMade;
import elsom.core.plan.Recurring;
import elsom.core.plan.Rules;
import elsom.core.plan.Site;
import elsom.core.plan.Stated;
import elsom.core.plan.Treatments;
import elsom.core.plan.WateringSchool;
import elsom.core.protocol.Protocols;
import elsom.core.series.Measurand;
import elsom.core.series.Sensed;
import elsom.core.series.SeriesSummary;
import elsom.core.sim.ProbeLog;
import elsom.core.trial.Container;
import elsom.core.trial.ContainerShape;
import elsom.core.trial.ControlKind;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Influence;
import elsom.core.trial.LightMap;
import elsom.core.trial.Outline;
import elsom.core.trial.ProtocolCode;
import elsom.core.trial.Side;
import elsom.core.trial.Trial;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.stream.Stream;

/** Plans of the demo yard that have not started yet, dated from the day the demo is filled. */
final class DemoPlans {
    private static final Container TRAY = Container.tray("Roof tray 6 cm", 6, 20, 15);
    private static final Container CELL =
            new Container("Deep cell 5 cm", ContainerShape.TAPERED, Outline.RECTANGULAR, 12, 5, 5, 2.5, 2.5);
    private static final Container TUB = Container.taperedRound("Tub 18 cm", 18, 20, 16);
    private static final Container POT = Container.taperedRound("Round pot 9 cm", 8.5, 9, 6.5);
    private static final Container BUCKET = Container.taperedRound("Brew bucket 12 L", 26, 28, 22);

    private final Instant now;
    private final ZoneId zone;

    DemoPlans(Instant now, ZoneId zone) {
        this.now = now;
        this.zone = zone;
    }

    private Instant at(int days, int hour) {
        return LocalDate.ofInstant(now, zone)
                .plusDays(days)
                .atTime(hour, 0)
                .atZone(zone)
                .toInstant();
    }

    private Plan begun(String protocol, String question, String crop, Instant start, Pots pots, long seed) {
        Plan plan = Protocols.find(new ProtocolCode(protocol)).orElseThrow().begin(question, zone, start, pots, seed);
        return plan.with(new Asked(question, crop, List.of(), plan.asked().measures()));
    }

    private static Factor factor(String name, FactorKind kind, String levels) {
        return LevelsText.parse(name, kind, levels, "", null, null);
    }

    private static Question asks(
            List<Integer> treatments,
            int comparator,
            String endpoint,
            Direction direction,
            double matters,
            boolean percent) {
        return new Question(
                treatments, comparator, new EndpointCode(endpoint), direction, matters, percent, Stated.BEFORE_START);
    }

    private static Plan asking(Plan plan, Question... questions) {
        return plan.with(new Asked(
                plan.question(),
                plan.asked().crop(),
                List.of(questions),
                plan.asked().measures()));
    }

    private static Arrangement in(LayoutKind kind, int replicates, Site site, int rotate, long seed) {
        return new Arrangement(kind, replicates, List.of(site), true, 1, false, rotate, seed, List.of());
    }

    private static Hours weekdays(Hours.Away... away) {
        return new Hours(
                LocalTime.of(7, 0),
                LocalTime.of(18, 30),
                EnumSet.complementOf(EnumSet.of(DayOfWeek.SUNDAY)),
                List.of(away));
    }

    /** Two lots of compost at three strengths, for a legume and a grass, scored blind. */
    Plan residue() {
        Plan plan = begun(
                "seedling-injury",
                "Does GW-32 carry weedkiller?",
                "field pea and barley",
                at(-38, 9),
                new Pots(POT, 380, 8, 8, 220, 0.15, 0.1, 0),
                3232);
        String mixes = "leaf mould, 1 GW-31 + 3 leaf mould, 1 GW-31 + 1 leaf mould, GW-31, 1 GW-32 + 3 leaf mould,"
                + " 1 GW-32 + 1 leaf mould, GW-32";
        Plan grid = plan.with(
                        Treatments.crossed(
                                List.of(
                                        factor("Seedling", FactorKind.HANDLING, "pea, barley"),
                                        factor("Mix", FactorKind.MATERIAL, mixes)),
                                "",
                                List.of()),
                        plan.pots())
                .with(in(
                        LayoutKind.BLOCKS,
                        4,
                        new Site(
                                "Tunnel table",
                                190,
                                50,
                                Side.TOP,
                                Side.RIGHT,
                                LightMap.parse("412 408 396 388\n350 344 340 331\n301 296 290 280"),
                                List.of()),
                        0,
                        3232))
                .with(new Rules(WateringSchool.SAME_FOR_ALL, 0.5, true));
        return asking(
                grid,
                asks(List.of(5, 6, 7), 1, "injury", Direction.HIGHER, 2, false),
                asks(List.of(12, 13, 14), 8, "injury", Direction.HIGHER, 2, false));
    }

    /** The pair that told: the suspect with and without charcoal, under peas, begun two weeks into the first trial. */
    Plan charcoalPair() {
        Plan plan = begun(
                "seedling-injury",
                "Does charcoal take the harm out of GW-32?",
                "field pea",
                at(-24, 9),
                new Pots(POT, 380, 8, 8, 220, 0.15, 0.1, 0),
                1414);
        return asking(
                plan.with(
                                Treatments.crossed(
                                        List.of(
                                                factor("Mix", FactorKind.MATERIAL, "leaf mould, GW-32"),
                                                factor("Pair", FactorKind.HANDLING, "as it is, with charcoal")),
                                        "",
                                        List.of()),
                                plan.pots())
                        .with(in(LayoutKind.BLOCKS, 4, Site.named("Tunnel table"), 0, 1414)),
                asks(List.of(4), 3, "injury", Direction.LOWER, 2, false));
    }

    /** Phacelia every other day after an acetic weedkiller, each tray with an untreated twin; four weeks in all. */
    Plan plantBack() {
        Plan plan = begun(
                "plant-back",
                "Plant-back after an acetic weedkiller: how soon is phacelia clean?",
                "phacelia",
                at(-20, 9),
                new Pots(TRAY, 1600, 12, 15, 0, 0.2, 0.1, 0),
                9009);
        Factor sown = LevelsText.parse("Sown after", FactorKind.TIME, "0, 2, 4, 6, 8, 10 d", "", null, null);
        Plan crossed = plan.with(
                        Treatments.crossed(
                                List.of(sown, factor("Ground", FactorKind.HANDLING, "untreated, treated")),
                                "leaf mould",
                                List.of()),
                        plan.pots())
                .with(in(LayoutKind.BLOCKS, 4, Site.named("Standing ground"), 0, 9009));
        List<Duration> runs = crossed.treatments().all().stream()
                .map(treatment -> Duration.ofDays(28 - 2L * treatment.levels().get(0)))
                .toList();
        Plan dated = crossed.with(crossed.schedule()
                .with(
                        List.of(
                                new PlannedLook(
                                        "first check",
                                        Duration.ofDays(18),
                                        List.of(new EndpointCode("emerged"), EndpointCode.INJURY)),
                                new PlannedLook(
                                        "all together",
                                        Duration.ofDays(28),
                                        List.of(
                                                new EndpointCode("emerged"),
                                                EndpointCode.INJURY,
                                                new EndpointCode("fresh-mass")))),
                        crossed.schedule().steps(),
                        Hours.ANY)
                .endingTogether(at(8, 9), runs));
        return asking(
                dated,
                asks(List.of(2), 1, "injury", Direction.HIGHER, 2, false),
                asks(List.of(12), 11, "injury", Direction.HIGHER, 2, false));
    }

    /** A drench at six strengths; daily looks at first, the last after ten days. */
    Plan woodVinegar() {
        Plan plan = begun(
                "dose-series",
                "Wood vinegar drench on marigold plugs: what is safe?",
                "marigold",
                at(-11, 10),
                new Pots(CELL, 0, 1, 0, 0, 0.15, 0.1, 25),
                4250);
        Factor strength = LevelsText.parse("Wood vinegar", FactorKind.DOSE, "0, 0.25, 0.5, 1, 2, 4 %", "", 0.5, 1.5)
                .from(Stock.read("6 % acidity").orElseThrow());
        Plan series = plan.with(Treatments.crossed(List.of(strength), "leaf mould", List.of()), plan.pots())
                .with(in(
                        LayoutKind.BLOCKS,
                        6,
                        new Site(
                                "Tunnel shelf",
                                60,
                                48,
                                Side.TOP,
                                Side.RIGHT,
                                LightMap.parse("380 392 401\n342 350 361\n298 305 312"),
                                Influence.parse("draught rows 1-2, columns 8")),
                        3,
                        4250))
                .with(plan.schedule()
                        .with(
                                plan.schedule().looks(),
                                plan.schedule().steps(),
                                weekdays(new Hours.Away(
                                        LocalDate.ofInstant(at(-6, 0), zone), LocalDate.ofInstant(at(-6, 0), zone)))));
        return asking(
                series,
                asks(List.of(), 0, "injury", Direction.HIGHER, 1, false),
                asks(List.of(), 0, "fresh-mass", Direction.LOWER, 15, true));
    }

    /** A dip and a medium, each in two levels; a tray of six cuttings is a unit. */
    Plan rosemary() {
        Plan plan = begun(
                "cuttings",
                "Seaweed dip and medium for rosemary cuttings: what roots more?",
                "rosemary",
                at(-23, 9),
                new Pots(TRAY, 1500, 6, 0, 0, 0.2, 0.1, 0),
                2266);
        Plan crossed = plan.with(
                        Treatments.crossed(
                                List.of(
                                        factor("Dip", FactorKind.HANDLING, "none, seaweed"),
                                        factor("Medium", FactorKind.MATERIAL, "leaf mould, rice hulls + leaf mould")),
                                "",
                                List.of()),
                        plan.pots())
                .with(in(LayoutKind.LATIN_SQUARE, 4, Site.named("Mist bench"), 0, 2266));
        return asking(
                daily(crossed, Recurring.Kind.WATER, "mist, all trays alike", 56),
                asks(List.of(3), 1, "rooted", Direction.HIGHER, 25, true),
                asks(List.of(2), 1, "rooted", Direction.HIGHER, 25, true));
    }

    /** Watering with digestate liquor of six strengths, for a month. */
    Plan digestate() {
        Plan plan = begun(
                "salinity",
                "How strong can digestate water be for coriander trays?",
                "coriander",
                at(-30, 9),
                new Pots(TRAY, 1600, 8, 10, 0, 0.2, 0.1, 200),
                6120);
        Factor strength = LevelsText.parse(
                        "Digestate liquor", FactorKind.DOSE, "0, 5, 10, 20, 40, 60 mL/L", "", null, null)
                .from(Stock.read("as it comes from the digester").orElseThrow());
        Plan series = plan.with(Treatments.crossed(List.of(strength), "wood fibre", List.of()), plan.pots())
                .with(in(LayoutKind.BLOCKS, 5, Site.named("Glasshouse bench"), 0, 6120));
        List<Measure> measures = new ArrayList<>(series.asked().measures());
        measures.add(ReadyMade.YIELD_PER_AREA.measure());
        return asking(
                series.with(new Asked(series.question(), series.asked().crop(), List.of(), measures)),
                asks(List.of(), 0, "yield", Direction.LOWER, 15, true),
                asks(List.of(), 0, "injury", Direction.HIGHER, 1, false));
    }

    /** Tubs watered from a brackish ditch at four strengths, then from the rain butt, a probe with three depths in each. */
    Plan ditch() {
        Plan plan = begun(
                "salinity",
                "Ditch water on kohlrabi: how deep does the salt go?",
                "kohlrabi",
                at(-17, 9),
                new Pots(TUB, 4400, 1, 1, 0, 0.2, 0.1, 400),
                1313);
        Factor share = LevelsText.parse("Ditch water", FactorKind.DOSE, "0, 25, 50, 100 %", "", null, null);
        List<Measure> measures = new ArrayList<>(plan.asked().measures());
        List<EndpointCode> sensed = new ArrayList<>();
        for (int depth : ProbeLog.DEPTHS_CM) {
            EndpointCode code = new EndpointCode("mean-ec-" + depth + "-cm");
            sensed.add(code);
            measures.add(Measure.sensed(code, new Sensed(Measurand.EC, depth, SeriesSummary.MEAN, 0)));
        }
        List<PlannedLook> looks = Stream.concat(
                        plan.schedule().looks().stream()
                                .map(look -> new PlannedLook(
                                        look.name(),
                                        look.after(),
                                        Stream.concat(look.endpoints().stream(), sensed.stream())
                                                .toList())),
                        Stream.of(
                                new PlannedLook("before the ditch water", Duration.ofDays(2), sensed),
                                new PlannedLook("end of the ditch water", Duration.ofDays(10), sensed),
                                new PlannedLook("after rain water", Duration.ofDays(16), sensed)))
                .sorted(Comparator.comparing(PlannedLook::after))
                .toList();
        Plan probed = plan.with(Treatments.crossed(List.of(share), "leaf mould", List.of()), plan.pots())
                .with(new Asked(plan.question(), plan.asked().crop(), List.of(), measures))
                .with(plan.schedule()
                        .with(looks, plan.schedule().steps(), plan.schedule().hours()))
                .with(in(LayoutKind.BLOCKS, 4, Site.named("Tunnel floor"), 0, 1313));
        return asking(probed, asks(List.of(4), 1, "mean-ec-15-cm", Direction.EITHER, 20, true));
    }

    /** Jars of bracken with rising limestone, weekly pH. */
    Plan bracken() {
        Plan plan = begun(
                "liming",
                "How much lime for composted bracken under foxglove?",
                "foxglove",
                at(-16, 9),
                new Pots(POT, 380, 0, 0, 0, 0.15, 0.1, 0),
                1604);
        Factor limestone =
                LevelsText.parse("Ground limestone", FactorKind.DOSE, "0, 1, 2, 3, 4, 6 g/L", "", null, null);
        Plan jars = plan.with(Treatments.crossed(List.of(limestone), "composted bracken", List.of()), plan.pots())
                .with(in(LayoutKind.COMPLETELY_RANDOM, 3, Site.named("Potting shed shelf"), 0, 1604));
        return daily(jars, Recurring.Kind.AIR, "open every jar for a minute", 28);
    }

    /** With a step that is due every day, whatever the day is. */
    private static Plan daily(Plan plan, Recurring.Kind kind, String note, int days) {
        List<Recurring> steps = new ArrayList<>(plan.schedule().steps());
        steps.add(new Recurring(kind, note, Duration.ofDays(1), Duration.ofDays(1), Duration.ofDays(days)));
        return plan.with(plan.schedule()
                .with(plan.schedule().looks(), steps, plan.schedule().hours()));
    }

    /** One bag of each, as somebody once did it. */
    Plan threeBags() {
        Plan plan = begun(
                "growth",
                "Copied from an old notebook: which of three bags grows the best plants?",
                "marigold",
                at(-60, 9),
                new Pots(TRAY, 1600, 6, 8, 0, 0.2, 0.1, 0),
                8108);
        Plan listed = plan.with(
                        Treatments.listed(List.of(
                                PlannedTreatment.of("Bag one", "wood fibre", ControlKind.CONTROL),
                                PlannedTreatment.of("Bag two", "1 wood fibre + 1 GW-31", ControlKind.NONE),
                                PlannedTreatment.of("Bag three", "composted bracken", ControlKind.NONE))),
                        plan.pots())
                .with(in(LayoutKind.COMPLETELY_RANDOM, 1, Site.named("Potting bench"), 0, 8108));
        Plan uncared = listed.with(listed.schedule()
                .with(listed.schedule().looks(), List.of(), listed.schedule().hours()));
        return asking(uncared, asks(List.of(), 0, "fresh-mass", Direction.HIGHER, 10, true))
                .from(new PlanOrigin(
                        0,
                        plan.question(),
                        "Not written down: where units stood, what they stood in, whether places were drawn at random, water and feed, who"
                                + " measured",
                        List.of(),
                        FollowUp.NOTEBOOK,
                        null));
    }

    /** Buckets that start apart and end together, ready to start tomorrow: what the chosen roof-tray blend is drenched with. */
    Plan brews(Trial blends) {
        Plan plan = begun(
                "brew",
                "Air stone and kelp in an aerated extract: which raises the fungi?",
                "",
                at(1, 8),
                new Pots(BUCKET, 10_000, 0, 0, 0, 0, 0.05, 0),
                7007);
        Plan crossed = plan.with(
                        Treatments.crossed(
                                List.of(
                                        factor("Air stone", FactorKind.HANDLING, "none, stone"),
                                        factor("Kelp", FactorKind.HANDLING, "none, kelp")),
                                "",
                                List.of()),
                        plan.pots())
                .with(in(LayoutKind.BLOCKS, 3, Site.named("Brew shed"), 0, 7007))
                .with(plan.schedule()
                        .endingTogether(
                                at(2, 20),
                                // Two pumps for two start days: long and short runs are shared out over stone and kelp
                                // alike.
                                List.of(
                                        Duration.ofHours(36),
                                        Duration.ofHours(24),
                                        Duration.ofHours(24),
                                        Duration.ofHours(36))));
        PlanOrigin origin = new PlanOrigin(
                blends.id().value(),
                blends.question(),
                "The blends are chosen; next is what to drench them with",
                List.of());
        return asking(crossed, asks(List.of(), 0, "fungi", Direction.HIGHER, 50, true))
                .from(origin);
    }
}
