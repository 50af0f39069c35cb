package elsom.core.plan;

import elsom.core.design.LayoutKind;
import elsom.core.formula.Formula;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.ControlKind;
import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Instrument;
import elsom.core.trial.Look;
import elsom.core.trial.Mishap;
import elsom.core.trial.MishapKind;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingId;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialRecord;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;

/**
 * Trials as they should not be, drawn by a seed: all lost, all alike, one left, half late, no control, ties, a block gone,
 * no scatter, tiny and huge values, a level without units.
 */
public record StrangeTrial(Plan plan, TrialRecord record) {
    private static final List<String> GROWTH = List.of("emerged", "height", "fresh-mass", "roots", "yield", "tall");
    private static final List<String> FREE = List.of("value", "score", "tall");

    /** How a treatment's readings turn out. */
    private enum Fate {
        USUAL,
        ALIKE,
        NOTHING,
        TINY,
        HUGE,
        UNREAD,
        ONE_LEFT,
        LOST,
        HALF_LOST,
        ZERO_ONCE
    }

    /** The trial of a seed. */
    public static StrangeTrial of(long seed) {
        Random random = new Random(seed);
        Plan plan = plan(random, new Random(~seed));
        Measured measured = Measured.started(plan);
        Fate everywhere = random.nextInt(4) == 0 ? pick(random, List.of(Fate.values())) : null;
        int treatments = measured.record().treatments().size();
        int goneBlock = random.nextInt(5) == 0 ? 1 : 0;
        int lateFrom = random.nextInt(3) == 0 ? 2 : 99;
        List<Reading> readings = new ArrayList<>();
        List<Mishap> mishaps = new ArrayList<>();
        for (int treatment = 1; treatment <= treatments; treatment++) {
            Fate fate = everywhere != null ? everywhere : pick(random, List.of(Fate.values()));
            if (random.nextInt(3) > 0 && everywhere == null) {
                fate = Fate.USUAL;
            }
            fill(measured.record(), treatment, fate, goneBlock, lateFrom, random, readings, mishaps);
        }
        return new StrangeTrial(plan, measured.holding(readings, mishaps).record());
    }

    private static void fill(
            TrialRecord record,
            int treatment,
            Fate fate,
            int goneBlock,
            int lateFrom,
            Random random,
            List<Reading> readings,
            List<Mishap> mishaps) {
        List<ExperimentalUnit> units = record.units().stream()
                .filter(unit -> unit.treatment() == treatment)
                .toList();
        List<Look> looks = record.looks();
        for (int i = 0; i < units.size(); i++) {
            ExperimentalUnit unit = units.get(i);
            boolean lost = fate == Fate.LOST
                    || (fate == Fate.HALF_LOST && i % 2 == 0)
                    || (fate == Fate.ONE_LEFT && i > 0)
                    || unit.block() == goneBlock;
            boolean early = random.nextBoolean();
            if (lost) {
                Look when = looks.get(early ? 0 : looks.size() - 1);
                mishaps.add(new Mishap(
                        mishaps.size() + 1,
                        MishapKind.LOST,
                        "slug",
                        List.of(unit.code()),
                        when.number(),
                        when.plannedAt(record.trial().start()),
                        "Bench A",
                        null));
            }
            for (Look look : looks) {
                boolean late = look.number() >= lateFrom && i % 2 == 1;
                if (fate == Fate.UNREAD || late || (lost && (early || look.equals(looks.get(looks.size() - 1))))) {
                    continue;
                }
                for (EndpointCode code : look.endpoints()) {
                    Endpoint endpoint = record.endpoint(code);
                    for (int sub = 1; sub <= endpoint.readingsEach(); sub++) {
                        double value = value(endpoint, fate, treatment, look, i, random);
                        readings.add(new Reading(
                                new ReadingId(readings.size() + 1),
                                new ReadingRef(unit.code(), look.number(), code, sub),
                                value,
                                Double.toString(value),
                                endpoint.unit(),
                                look.plannedAt(record.trial().start()),
                                look.plannedAt(record.trial().start()),
                                "Bench A",
                                Instrument.HAND,
                                null,
                                null));
                    }
                }
            }
        }
    }

    private static double value(Endpoint endpoint, Fate fate, int treatment, Look look, int unit, Random random) {
        double top = Math.min(endpoint.highest(), endpoint.among() > 0 ? endpoint.among() : 1e9);
        double usual = Math.min(top, endpoint.among() > 0 || top <= 10 ? top : 20)
                * (0.3 + 0.1 * treatment)
                * Math.min(1, 0.3 + 0.2 * look.number())
                * (1 + 0.15 * random.nextGaussian());
        double raw = switch (fate) {
            case ALIKE -> top <= 10 ? Math.floor(top / 2) : 7;
            case NOTHING -> 0;
            case TINY -> endpoint.whole() || endpoint.among() > 0 ? 0 : 1e-12 * (1 + unit);
            case HUGE -> top;
            case ZERO_ONCE -> unit == 0 ? 0 : usual;
            default -> usual;
        };
        double bounded = Math.max(endpoint.lowest(), Math.min(top, raw));
        return endpoint.whole() || endpoint.unit() == UnitOfMeasure.POINT ? Math.rint(bounded) : bounded;
    }

    private static Plan plan(Random random, Random more) {
        boolean growth = random.nextInt(4) > 0;
        APlan begun = growth ? APlan.ofGrowth() : APlan.of("free-form");
        switch (random.nextInt(5)) {
            case 0 ->
                begun.factors(
                        APlan.factor("Crop", FactorKind.HANDLING, "pea", "bean"),
                        APlan.factor("Mix", FactorKind.MATERIAL, "peat", "bark"));
            case 1 ->
                begun.factors(
                        APlan.factor("Crop", FactorKind.HANDLING, "pea", "bean", "rye"),
                        APlan.doses(null, null, 0, 0.5, 1));
            case 2 -> begun.factors(APlan.doses(null, null, 0, 0.25, 0.5, 1, 2));
            case 3 -> begun.treatments(uncontrolled(2 + random.nextInt(4)));
            default ->
                begun.list(IntStream.range(0, 2 + random.nextInt(5))
                        .mapToObj(i -> "mix " + (char) ('a' + i))
                        .toArray(String[]::new));
        }
        begun.replicates(1 + random.nextInt(5));
        begun.laidOut(random.nextBoolean() ? LayoutKind.BLOCKS : LayoutKind.COMPLETELY_RANDOM);
        List<Question> questions = new ArrayList<>();
        List<String> endpoints = growth ? GROWTH : FREE;
        boolean crossed = begun.plan().treatments().factors().size() > 1;
        for (int i = random.nextInt(4); i > 0; i--) {
            questions.add(stated(
                    more,
                    crossed,
                    new Question(
                            random.nextBoolean() ? List.of() : List.of(2),
                            random.nextInt(4) == 0 ? 1 : 0,
                            new EndpointCode(pick(random, endpoints)),
                            pick(random, List.of(Direction.values())),
                            random.nextInt(3) == 0 ? 0 : 10,
                            true,
                            Stated.BEFORE_START)));
        }
        if (more.nextInt(4) == 0) {
            begun.ruled(new Rules(WateringSchool.SAME_FOR_ALL, 0.5, false, Rules.Ending.WHEN_CLEAR));
        }
        Plan plan = begun.asking(questions.toArray(Question[]::new)).plan();
        List<Measure> measures = new ArrayList<>(plan.asked().measures());
        measures.add(Measure.worked(
                new EndpointCode("tall"),
                "Days to 9",
                new Formula(growth ? "days-to(height, 9 cm)" : "days-to(value, 9)"),
                UnitOfMeasure.DAY,
                1,
                pick(random, List.of(Direction.LOWER, Direction.EITHER))));
        return plan.with(
                new Asked(plan.question(), plan.asked().crop(), plan.asked().questions(), measures));
    }

    /** As it is, or with all that a question may state. */
    private static Question stated(Random more, boolean crossed, Question plain) {
        if (more.nextInt(3) == 0) {
            return plain;
        }
        Claim claim = pick(more, List.of(Claim.values()));
        boolean step = crossed && !claim.fixed() && more.nextBoolean();
        Step levels = new Step(1, List.of("bean"), "pea");
        return new Question(
                step ? List.of() : plain.treatments(),
                step || claim.fixed() ? 0 : plain.comparator(),
                plain.endpoint(),
                claim == Claim.AS_GOOD ? Direction.HIGHER : plain.direction(),
                claim.needsMargin() ? 10 : plain.matters(),
                plain.inPercent(),
                plain.stated(),
                new Hypothesis(
                        claim,
                        step ? levels : null,
                        claim.fixed() ? more.nextInt(20) / 2.0 : null,
                        more.nextInt(3) == 0 ? 1 + more.nextInt(5) : 0,
                        pick(more, List.of(Hypothesis.Place.values()))));
    }

    private static List<PlannedTreatment> uncontrolled(int number) {
        return IntStream.range(0, number)
                .mapToObj(i -> PlannedTreatment.of("mix " + (char) ('a' + i), "mix", ControlKind.NONE))
                .toList();
    }

    private static <T> T pick(Random random, List<T> of) {
        return of.get(random.nextInt(of.size()));
    }
}
