package elsom.web.demo;

import elsom.core.mix.Quarantine;
import elsom.core.plan.Plan;
import elsom.core.quantity.Decimals;
import elsom.core.sim.BenchTruth;
import elsom.core.sim.LabAnswer;
import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Instrument;
import elsom.core.trial.Look;
import elsom.core.trial.MishapKind;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.SecondScore;
import elsom.core.trial.Treatment;
import elsom.core.trial.TreatmentProperty;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.Walk;
import elsom.core.truth.Living;
import elsom.core.truth.Shapes;
import elsom.core.truth.Species;
import elsom.web.series.LabSlips;
import elsom.web.series.SimulatedProbe;
import elsom.web.trial.Logbook;
import elsom.web.trial.NewReading;
import elsom.web.trial.Plans;
import elsom.web.trial.Quarantines;
import elsom.web.trial.Trials;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.UUID;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** The demo yard's trials of plants, with readings drawn from a plausible truth: finished, half-way, and one badly laid out. */
@Component
@ConditionalOnProperty("elsom.demo")
class DemoGrowth {
    private static final String STATION = "Bench B";

    private final Trials trials;
    private final Plans plans;
    private final Logbook logbook;
    private final Quarantines quarantines;

    private final SimulatedProbe probe;
    private final LabSlips laboratory;
    private final DemoTasting tasting;

    DemoGrowth(
            Trials trials,
            Plans plans,
            Logbook logbook,
            Quarantines quarantines,
            SimulatedProbe probe,
            LabSlips laboratory,
            DemoTasting tasting) {
        this.tasting = tasting;
        this.laboratory = laboratory;
        this.probe = probe;
        this.quarantines = quarantines;
        this.trials = trials;
        this.plans = plans;
        this.logbook = logbook;
    }

    /** What a unit shows, before it is rounded as its instrument does. */
    @FunctionalInterface
    private interface Truth {
        double of(Case seen);
    }

    /** A unit about to be read. */
    private record Case(
            Treatment treatment,
            Living living,
            Endpoint endpoint,
            double days,
            double lastDay,
            Random noise,
            double vigour) {
        double dose() {
            return treatment.property(TreatmentProperty.DOSE).orElse(0);
        }

        boolean is(String endpointCode) {
            return endpoint.code().equals(new EndpointCode(endpointCode));
        }

        /** How many of a counted endpoint's plants come to it, each by chance. */
        double chance(double share) {
            int k = 0;
            for (int i = 0; i < endpoint.size(); i++) {
                k += noise.nextDouble() < share ? 1 : 0;
            }
            return k;
        }
    }

    /** Starts the trials and enters what was read before now. */
    void fill(DemoPlans demo, Instant now) {
        TrialId vinegar = begun("wood vinegar", demo.woodVinegar());
        read(vinegar, now, DemoGrowth::woodVinegar);
        TrialRecord record = trials.snapshot(vinegar);
        logbook.note(
                vinegar,
                MishapKind.TAKEN,
                "eaten by a slug",
                List.of(record.units().get(4).code()),
                record.looks().size(),
                record.looks()
                        .get(record.looks().size() - 1)
                        .plannedAt(record.trial().start()),
                STATION,
                token("wood vinegar slug"));
        read(begun("rosemary", demo.rosemary()), now, DemoGrowth::rosemary);
        TrialId coriander = begun("digestate", demo.digestate());
        read(coriander, now, DemoGrowth::digestate);
        tasting.taste(coriander);
        TrialId bags = begun("three bags", demo.threeBags());
        read(bags, now, DemoGrowth::threeBags);
        TrialRecord old = trials.key(bags);
        logbook.note(
                bags,
                MishapKind.DRIED_OUT,
                "over a long weekend",
                List.of(old.units().get(2).code()),
                3,
                old.looks().get(2).plannedAt(old.trial().start()),
                STATION,
                token("dried bag"));
        read(begun("bracken", demo.bracken()), now, DemoGrowth::bracken);
        read(begun("plant back", demo.plantBack()), now, DemoGrowth::plantBack);
        TrialId residue = begun("residue", demo.residue());
        read(residue, now, DemoGrowth::residue, DemoGrowth::marks);
        again(residue);
        plans.unblind(residue, "all looks are done", STATION);
        read(begun("charcoal", demo.charcoalPair()), now, DemoGrowth::residue, DemoGrowth::marks);
        quarantines.keepApart(new Quarantine(
                "GW-32",
                "injured peas; auxin-type weedkiller residue is likely",
                now.minus(Duration.ofDays(16)),
                STATION,
                "two barrows into the herb beds",
                residue.value(),
                null,
                ""));
    }

    /** A second pair of eyes on the last scores, about as strict as the first. */
    private void again(TrialId id) {
        TrialRecord record = trials.key(id);
        Random noise = new Random(record.trial().seed() + 1);
        Look last = record.looks().stream()
                .filter(look -> look.endpoints().contains(EndpointCode.INJURY))
                .reduce((earlier, later) -> later)
                .orElseThrow();
        for (ExperimentalUnit unit : record.units()) {
            record.current(new ReadingRef(unit.code(), last.number(), EndpointCode.INJURY))
                    .ifPresent(first -> logbook.scoreAgain(
                            id,
                            new SecondScore(
                                    unit.code(),
                                    last.number(),
                                    EndpointCode.INJURY,
                                    "Bench C",
                                    Math.max(
                                            0,
                                            Math.min(
                                                    10,
                                                    Math.rint(Objects.requireNonNull(first.value())
                                                            + noise.nextGaussian()))),
                                    first.takenAt())));
        }
    }

    /** A trial with a probe in each unit, and its log up to now. */
    void probed(DemoPlans demo, Instant now) {
        TrialId ditch = begun("ditch", demo.ditch());
        probe.log(ditch, now, STATION);
        Instant sent = now.minus(Duration.ofDays(5));
        laboratory.send(
                ditch,
                new LabSlips.NewSlip(
                        sent,
                        LabAnswer.MEASURES,
                        trials.key(ditch).units().stream()
                                .map(unit -> unit.code().value())
                                .toList(),
                        1,
                        Map.of()),
                STATION,
                sent);
        read(ditch, now, DemoGrowth::ditch);
    }

    private TrialId begun(String name, Plan plan) {
        TrialId id = plans.begin(plan, token(name));
        plans.start(id);
        return id;
    }

    private static UUID token(String name) {
        return UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8));
    }

    private void read(TrialId id, Instant now, Truth truth) {
        read(id, now, truth, (seen, value) -> "");
    }

    /** What is seen beside a score. */
    @FunctionalInterface
    private interface Marks {
        String of(Case seen, double value);
    }

    private void read(TrialId id, Instant now, Truth truth, Marks marks) {
        TrialRecord record = trials.key(id);
        Random noise = new Random(record.trial().seed());
        double[] vigour = noise.doubles(record.units().size(), -1, 1).toArray();
        List<NewReading> readings = new ArrayList<>();
        for (Look look : record.looks()) {
            Instant at = look.plannedAt(record.trial().start());
            for (int i = 0; i < record.units().size() && at.isBefore(now); i++) {
                at = at.plusSeconds(20 + noise.nextInt(20));
                readings.addAll(unit(record, look, record.units().get(i), at, noise, vigour[i], truth, marks));
            }
        }
        logbook.enterAll(id, readings);
    }

    private static List<NewReading> unit(
            TrialRecord record,
            Look look,
            ExperimentalUnit unit,
            Instant at,
            Random noise,
            double vigour,
            Truth truth,
            Marks marks) {
        List<NewReading> readings = new ArrayList<>();
        Living living = new BenchTruth(record).living(unit);
        double lastDay = record.looks().get(record.looks().size() - 1).hoursAfterStart() / 24;
        for (EndpointCode code : Walk.byHand(record, look)) {
            Endpoint endpoint = record.endpoint(code);
            // A sensor has read it already.
            int subs = endpoint.bySensor() ? 0 : endpoint.readingsEach();
            for (int sub = 1; sub <= subs; sub++) {
                Case seen = new Case(
                        record.treatment(unit), living, endpoint, look.hoursAfterStart() / 24, lastDay, noise, vigour);
                String number = Decimals.fixed(
                        Math.max(endpoint.lowest(), Math.min(endpoint.highest(), truth.of(seen))), endpoint.decimals());
                String text = number + marks.of(seen, Double.parseDouble(number));
                readings.add(new NewReading(
                        new ReadingRef(unit.code(), look.number(), code, sub),
                        Double.parseDouble(number),
                        text,
                        endpoint.unit(),
                        at,
                        at,
                        STATION,
                        Instrument.HAND,
                        null,
                        null,
                        token(record.trial().id() + "/" + unit.code() + "/" + look.number() + "/" + code + "/" + sub)));
            }
        }
        return readings;
    }

    /** Harmless-looking at first, then the higher strengths burn; the lowest helps a little. */
    private static double woodVinegar(Case seen) {
        double half = 1.1 + 14 / Math.max(1, seen.days());
        double harm = Shapes.doseEffect(seen.dose(), half, 2.4);
        if (seen.is("injury")) {
            return 9 * harm + 0.35 * seen.vigour() + 0.3 * seen.noise().nextGaussian();
        }
        return seen.is("alive")
                ? seen.chance(1 - Math.max(0, harm - 0.75))
                : 2.6 * (1 - 0.8 * harm) * (1 + (seen.dose() > 0 && seen.dose() < 0.4 ? 0.1 : 0))
                        + 0.16 * seen.vigour()
                        + 0.08 * seen.noise().nextGaussian();
    }

    /** The dip helps in rice hulls, not in leaf mould. */
    private static double rosemary(Case seen) {
        boolean dipped = seen.treatment().name().contains("seaweed");
        boolean hulls = seen.treatment().name().contains("rice hulls");
        double share = hulls ? (dipped ? 0.95 : 0.25) : (dipped ? 0.42 : 0.4);
        return seen.chance(share);
    }

    /** Yield holds until the drain water is too salt, then falls along a line. */
    private static double digestate(Case seen) {
        double in = 0.5 + 0.075 * seen.dose();
        double out = in * (1.25 + 0.02 * seen.days()) + 0.1 * seen.noise().nextGaussian();
        if (seen.is("ec-in")) {
            return in + 0.04 * seen.noise().nextGaussian();
        }
        if (seen.is("ec-out")) {
            return out;
        }
        double over = Math.max(0, in - 2);
        return seen.is("injury")
                ? 1.5 * over * seen.days() / 28 + 0.3 * seen.noise().nextGaussian()
                : 62 * Shapes.beyond(in, 2, 0.19) * (0.75 + 0.25 * Math.min(1, seen.dose() / 15))
                        + 3.2 * seen.vigour()
                        + 1.5 * seen.noise().nextGaussian();
    }

    /** The salt is felt from half of it on. */
    private static double ditch(Case seen) {
        double share = seen.dose();
        double in = 0.6 + 0.03 * share;
        if (seen.is("ec-in")) {
            return in + 0.03 * seen.noise().nextGaussian();
        }
        if (seen.is("ec-out")) {
            return in * (1.1 + 0.02 * seen.days()) + 0.08 * seen.noise().nextGaussian();
        }
        return seen.is("injury")
                ? Math.max(0, share - 40) / 30 * seen.days() / 14
                        + 0.3 * seen.noise().nextGaussian()
                : 85 * (1 - 0.002 * share) + 5 * seen.vigour();
    }

    /** pH rises with lime, steeply at first; it has all but come to rest in the second week. */
    private static double bracken(Case seen) {
        double rest = 4.5 + 3.1 * (1 - Math.exp(-seen.dose() / 3.2));
        double rise = 1 - Math.exp(-seen.days() / 2.2);
        return seen.is("ph")
                ? 4.5
                        + (rest - 4.5) * rise
                        + 0.04 * seen.vigour()
                        + 0.03 * seen.noise().nextGaussian()
                : 0.4 + 0.05 * seen.dose() + 0.02 * seen.noise().nextGaussian();
    }

    /** As the mixes, the lot that they hold and the seedling have it. */
    private static double residue(Case seen) {
        Living living = seen.living();
        double injury = living.injury(seen.days());
        if (seen.is("injury")) {
            return injury + 0.5 + 0.5 * seen.vigour() + 0.2 * seen.noise().nextGaussian();
        }
        if (seen.is("alive") || seen.is("emerged")) {
            return seen.chance(0.96 - 0.01 * injury);
        }
        if (seen.is("ec")) {
            return living.at().ecMs() + 0.1 * seen.noise().nextGaussian();
        }
        if (seen.is("ph")) {
            return living.at().ph() + 0.08 * seen.noise().nextGaussian();
        }
        return seen.is("height")
                ? living.stature(living.species() == Species.GRASS ? 40 : 32, seen.days(), seen.lastDay())
                        + 1.2 * seen.vigour()
                : 8.5 - 0.4 * injury + 0.6 * seen.vigour();
    }

    /** Acid is gone within a week: what was sown at once is burnt, what was sown on the sixth day is not. */
    private static double plantBack(Case seen) {
        String name = seen.treatment().name();
        double sown = Double.parseDouble(name.substring(0, name.indexOf(' ')));
        double harm = name.contains("untreated") ? 0 : 1 / (1 + Math.exp(1.1 * (sown - 2.4)));
        if (seen.is("emerged")) {
            return seen.chance(0.9 - 0.6 * harm);
        }
        return seen.is("injury")
                ? 9 * harm + 0.4 + 0.4 * seen.vigour() + 0.25 * seen.noise().nextGaussian()
                : 30 * (1 - 0.8 * harm) + 2 * seen.vigour();
    }

    /** What the eye sees at a score; now and then something that means nothing. */
    private static String marks(Case seen, double value) {
        if (!seen.is("injury")) {
            return "";
        }
        boolean residue = seen.treatment().name().contains("GW-32");
        if (residue && value >= 3) {
            return value >= 5 ? " cupped, twisted, stunted" : " cupped, twisted";
        }
        return seen.noise().nextInt(12) == 0 ? " chewed" : "";
    }

    /** One bag each, as it was in the notebook. */
    private static double threeBags(Case seen) {
        double better = 1 + 0.12 * (seen.treatment().number() - 1) + 0.15 * seen.vigour();
        if (seen.is("emerged")) {
            return seen.chance(0.85);
        }
        return seen.is("leaves")
                ? 4 + seen.days() / 4 * better
                : (seen.is("fresh-mass") ? 18 : seen.is("height") ? 0.5 * seen.days() : 4) * better;
    }
}
