package elsom.core.protocol.seedling;

import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.results.Analysis;
import elsom.core.results.Evidence;
import elsom.core.results.Findings;
import elsom.core.results.TableResult;
import elsom.core.results.UnitValues;
import elsom.core.results.Verdict;
import elsom.core.section.Amount;
import elsom.core.section.Cell;
import elsom.core.section.Column;
import elsom.core.section.Table;
import elsom.core.seedling.Dish;
import elsom.core.seedling.GerminationCourse;
import elsom.core.seedling.GerminationIndex;
import elsom.core.seedling.GerminationIntervals;
import elsom.core.stats.Interval;
import elsom.core.stats.Outcome;
import elsom.core.stats.Proportion;
import elsom.core.stats.Summary;
import elsom.core.trial.CountedOf;
import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.Reading;
import elsom.core.trial.TrialRecord;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Germination and root growth of each treatment against the control: valid only when the control is. */
public final class GerminationAnswers implements Analysis {
    static final EndpointCode GERMINATED = new EndpointCode("germinated");
    static final EndpointCode ROOT = new EndpointCode("root-length");
    private static final EndpointCode EC = new EndpointCode("ec");
    private static final EndpointCode PH = new EndpointCode("ph");
    private static final double FEWEST = 0.8;
    private static final double WIDEST_CV = 0.3;

    /** An index below which an extract is said to hinder, in percent. */
    private static final double HINDERS = 80;

    private static final double STRONGLY = 50;

    /** From which salts alone hold tender seeds back, mS/cm. */
    private static final double SALTY = 2;

    /** A treatment's dishes; {@code k} of {@code n} seeds germinated in all of them. */
    private record Side(int arm, List<Dish> dishes, int k, int n) {}

    @Override
    public void add(Evidence evidence, Findings.Draft findings) {
        TrialRecord record = evidence.record();
        Optional<Look> look = known(evidence, GERMINATED).flatMap(code -> evidence.lookOf(code));
        OptionalInt control = IntStream.range(0, record.treatments().size())
                .filter(arm -> record.treatments().get(arm).isControl())
                .findFirst();
        if (look.isEmpty() || control.isEmpty()) {
            return;
        }
        List<Side> sides = IntStream.range(0, record.treatments().size())
                .mapToObj(arm -> side(evidence, arm, look.get()))
                .filter(side -> side.n() > 0)
                .toList();
        sides.stream()
                .filter(side -> side.arm() == control.getAsInt())
                .findFirst()
                .ifPresent(clean -> {
                    Optional<String> invalid = invalid(clean);
                    findings.answer(answer(record, sides, clean, look.get(), invalid));
                    findings.section(table(evidence, sides, clean, look.get(), invalid));
                });
    }

    private static Optional<EndpointCode> known(Evidence evidence, EndpointCode code) {
        return evidence.measured().stream()
                .map(measure -> measure.endpoint().code())
                .filter(code::equals)
                .findFirst();
    }

    private static Side side(Evidence evidence, int arm, Look look) {
        TrialRecord record = evidence.record();
        Endpoint counted = record.endpoint(GERMINATED);
        Optional<Look> measured = known(evidence, ROOT).flatMap(code -> evidence.lookOf(code));
        List<Dish> dishes = new ArrayList<>();
        for (ExperimentalUnit unit : record.units()) {
            if (unit.treatment() == arm + 1) {
                UnitValues.readings(record, counted, look, unit).stream()
                        .flatMap(reading -> CountedOf.read(reading, counted).stream())
                        .findFirst()
                        .ifPresent(count -> dishes.add(new Dish(
                                count.n(),
                                count.k(),
                                measured.map(at -> roots(record, at, unit)).orElse(List.of()))));
            }
        }
        return new Side(
                arm,
                dishes,
                dishes.stream().mapToInt(Dish::germinated).sum(),
                dishes.stream().mapToInt(Dish::seeds).sum());
    }

    private static List<Double> roots(TrialRecord record, Look look, ExperimentalUnit unit) {
        return UnitValues.readings(record, record.endpoint(ROOT), look, unit).stream()
                .map(Reading::value)
                .map(Objects::requireNonNull)
                .toList();
    }

    /** Why the trial does not hold; empty when it does. */
    private static Optional<String> invalid(Side control) {
        double share = (double) control.k() / control.n();
        if (share < FEWEST) {
            return Optional.of("of the control only " + Decimals.percent(share, 0)
                    + " % germinated, where 80 % is the least: the seed, the paper or the warmth is at fault");
        }
        List<Double> means = control.dishes().stream()
                .filter(dish -> !dish.rootLengthsMm().isEmpty())
                .map(dish -> dish.rootLengthsMm().stream()
                        .mapToDouble(Double::doubleValue)
                        .average()
                        .orElseThrow())
                .toList();
        if (means.size() < 2) {
            return Optional.empty();
        }
        Summary roots =
                Summary.of(means.stream().mapToDouble(Double::doubleValue).toArray());
        double cv = roots.sd().orElse(0) / roots.mean();
        return cv > WIDEST_CV
                ? Optional.of("the control's roots scatter by " + Decimals.percent(cv, 0)
                        + " % between dishes, where 30 % is the most")
                : Optional.empty();
    }

    private static Findings.Answered answer(
            TrialRecord record, List<Side> sides, Side control, Look look, Optional<String> invalid) {
        if (invalid.isPresent()) {
            return Findings.Answered.unasked(new Verdict(
                    Verdict.Firmness.CANT_TELL,
                    "The germination test does not hold at " + look.said() + ": " + invalid.get() + ".",
                    "Do it again with a control that germinates."));
        }
        List<Said> said = new ArrayList<>();
        for (Side side : sides) {
            Optional<GerminationIndex> found = index(side, control).asOptional();
            if (side.arm() != control.arm() && found.isPresent()) {
                said.add(Said.of(record.treatments().get(side.arm()).name(), found.get(), side, control));
            }
        }
        Verdict.Firmness firmness = said.stream().anyMatch(one -> one.firmness() == Verdict.Firmness.WORSE)
                ? Verdict.Firmness.WORSE
                : said.stream().allMatch(one -> one.firmness() == Verdict.Firmness.SOUND)
                        ? Verdict.Firmness.SOUND
                        : Verdict.Firmness.CANT_TELL;
        List<String> details = new ArrayList<>();
        details.add("The control germinated " + Decimals.percent((double) control.k() / control.n(), 0)
                + " %, so the test holds.");
        said.stream().map(Said::parts).filter(parts -> !parts.isEmpty()).forEach(details::add);
        return Findings.Answered.unasked(new Verdict(
                        said.isEmpty() ? Verdict.Firmness.CANT_TELL : firmness,
                        said.isEmpty()
                                ? "No index at " + look.said()
                                        + ": it needs roots measured in the control and in a sample."
                                : "At " + look.said() + ": "
                                        + said.stream().map(Said::sentence).collect(Collectors.joining("; ")) + ".",
                        "Fresh composts also hinder by ammonia and acids that go off in weeks, and salts look like toxins:"
                                + " see EC and pH beside."))
                .with(details);
    }

    /**
     * What is said of a treatment.
     *
     * @param kind its class, where its interval lets one be named
     * @param parts germination and roots apart; empty where chance is not known
     */
    private record Said(String sentence, String kind, String parts, Verdict.Firmness firmness) {
        static Said of(String name, GerminationIndex found, Side side, Side control) {
            Outcome<GerminationIntervals> sure = GerminationIntervals.of(side.dishes(), control.dishes());
            double percent = 100 * found.index();
            String index = "germination index " + Decimals.fixed(percent, 0) + " %";
            if (sure.asOptional().isEmpty() && fewGerminate(side, control)) {
                return new Said(
                        name + " hinders strongly: " + (side.k() == 0 ? "none" : "only " + side.k()) + " of " + side.n()
                                + " germinated, " + control.k() + " of " + control.n() + " in the control",
                        effect(0),
                        "",
                        Verdict.Firmness.WORSE);
            }
            if (sure.asOptional().isEmpty()) {
                return new Said(
                        name + " can't be told: " + index + ", of too few dishes to know what is chance",
                        "not judged",
                        "",
                        Verdict.Firmness.CANT_TELL);
            }
            GerminationIntervals intervals = sure.asOptional().get();
            boolean hinders = 100 * intervals.index().high() < HINDERS;
            boolean clear = 100 * intervals.index().low() >= HINDERS;
            String shown = " (" + index + ", 95 % interval " + span(intervals.index()) + ")";
            return new Said(
                    name
                            + (hinders || clear
                                    ? " " + kind(intervals.index())
                                    : " may hinder or not: it can't be told")
                            + shown,
                    hinders || clear ? kind(intervals.index()) : "can't be told",
                    name + ": " + part("germination", found.relativeGermination(), intervals.germination()) + ", "
                            + part("root length", found.relativeRootLength(), intervals.roots()) + ".",
                    hinders ? Verdict.Firmness.WORSE : clear ? Verdict.Firmness.SOUND : Verdict.Firmness.CANT_TELL);
        }

        /** The class in which the whole interval lies, or what it has in common. */
        private static String kind(Interval index) {
            String low = effect(100 * index.low());
            String high = effect(100 * index.high());
            return low.equals(high) ? low : 100 * index.low() >= HINDERS ? effect(HINDERS) : "hinders";
        }

        /** Whether so few germinate, in two dishes or more, that no length of their roots could make up for it. */
        private static boolean fewGerminate(Side side, Side control) {
            double most = new Proportion(side.k(), side.n()).wilson95().high();
            double least = new Proportion(control.k(), control.n()).wilson95().low();
            return side.dishes().size() > 1 && control.dishes().size() > 1 && 100 * most / least < STRONGLY;
        }

        private static String part(String what, double ratio, Interval interval) {
            boolean parted = interval.high() < 1 || interval.low() > 1;
            return what + " is " + Decimals.percent(ratio, 0) + " % of the control's (" + span(interval) + ")"
                    + (parted ? "" : ", not told from it");
        }

        private static String span(Interval shares) {
            return Decimals.percent(shares.low(), 0) + " to " + Decimals.percent(shares.high(), 0) + " %";
        }
    }

    private static Outcome<GerminationIndex> index(Side side, Side control) {
        return GerminationIndex.of(side.dishes(), control.dishes());
    }

    /** The classes of Zucconi et al. (1981). */
    static String effect(double percent) {
        return percent < STRONGLY
                ? "hinders strongly"
                : percent < HINDERS
                        ? "hinders somewhat"
                        : percent <= 100 ? "does not hinder" : "does not hinder, rather helps";
    }

    private static TableResult table(
            Evidence evidence, List<Side> sides, Side control, Look look, Optional<String> invalid) {
        List<Column<Side>> columns = new ArrayList<>(List.of(
                Column.cells("Treatment", side -> Cell.of(evidence.record().treatment(side.arm() + 1))),
                Column.numbers("Germinated", GerminationAnswers::germinated),
                Column.numbers("95 % interval", GerminationAnswers::interval),
                Column.numbers("Roots", side -> roots(side, control)),
                Column.numbers("Germination index", side -> share(side, control, GerminationIndex::index)),
                Column.numbers("95 % interval of it", side -> sure(side, control)),
                Column.words("Class", side -> invalid.isPresent() ? "void" : kind(side, control)),
                Column.numbers(
                        "Vitality index", side -> share(side, control, GerminationIndex::vitalityOverControlProducts)),
                Column.numbers("Half by", side -> half(evidence, side))));
        known(evidence, EC)
                .flatMap(evidence::lookOf)
                .ifPresent(at -> columns.add(Column.numbers("EC of the extract", side -> salt(evidence, side, at))));
        known(evidence, PH)
                .flatMap(evidence::lookOf)
                .ifPresent(at -> columns.add(Column.numbers("pH", side -> acid(evidence, side, at))));
        return new TableResult(
                "Germination and roots",
                look,
                Table.of("germination", "Germination and roots", columns, sides),
                List.of(
                        "Germination index (G/Gc)·(L/Lc) with lengths as means of dish means; classes of Zucconi and"
                                + " others 1981: below 50 % hinders strongly, to 80 % somewhat, above not, above 100 % helps; named only"
                                + " where the whole interval lies on one side of 80 %. Its interval: by the scatter of dishes, on"
                                + " the logarithm of the ratio, both parts of a dish together (delta method).",
                        "Vitality index: mean of germination times root length of the dishes over that of the control"
                                + " (Munoo-Liisa). Half by: T50 of the counts (Farooq and others 2005). Interval: Wilson 1927,"
                                + " of all seeds of a treatment together."));
    }

    private static Cell germinated(Side side) {
        Proportion share = new Proportion(side.k(), side.n());
        return Cell.number(
                side.k() + " of " + side.n() + ", " + Decimals.percent(share.share(), 0) + " %",
                Amount.of(share.share(), UnitOfMeasure.FRACTION).within(share.wilson95()));
    }

    private static Cell interval(Side side) {
        Interval wilson = new Proportion(side.k(), side.n()).wilson95();
        return Cell.none(Decimals.percent(wilson.low(), 0) + " to " + Decimals.percent(wilson.high(), 0) + " %");
    }

    private static Cell roots(Side side, Side control) {
        return index(side, control)
                .asOptional()
                .flatMap(one -> one.sample().rootMm().stream().boxed().findFirst())
                .map(mm -> Cell.number(Decimals.fixed(mm, 1) + " mm", Amount.of(mm, UnitOfMeasure.MILLIMETRE)))
                .orElseGet(() -> Cell.none(Cell.NONE));
    }

    private static Cell share(Side side, Side control, ToDoubleFunction<GerminationIndex> of) {
        return index(side, control)
                .asOptional()
                .map(of::applyAsDouble)
                .map(share -> Cell.number(Decimals.percent(share, 0) + " %", Amount.of(share, UnitOfMeasure.FRACTION)))
                .orElseGet(() -> Cell.none(Cell.NONE));
    }

    private static Cell sure(Side side, Side control) {
        return Cell.none(
                side.arm() == control.arm()
                        ? Cell.NONE
                        : GerminationIntervals.of(side.dishes(), control.dishes())
                                .asOptional()
                                .map(found -> Said.span(found.index()))
                                .orElse(Cell.NONE));
    }

    private static String kind(Side side, Side control) {
        return side.arm() == control.arm()
                ? "control"
                : index(side, control)
                        .asOptional()
                        .map(one -> Said.of("", one, side, control).kind())
                        .orElse(Cell.NONE);
    }

    private static Cell half(Evidence evidence, Side side) {
        OptionalDouble days = course(evidence, side).t50Farooq();
        return days.isPresent()
                ? Cell.number(
                        Decimals.fixed(24 * days.getAsDouble(), 0) + " h",
                        Amount.of(24 * days.getAsDouble(), UnitOfMeasure.HOUR))
                : Cell.none(Cell.NONE);
    }

    private static Cell salt(Evidence evidence, Side side, Look at) {
        return mean(evidence, side, EC, at)
                .map(ec -> Cell.number(
                        Decimals.fixed(ec, 1) + " mS/cm" + (ec > SALTY ? ", salty" : ""),
                        Amount.of(ec, UnitOfMeasure.MILLISIEMENS_PER_CENTIMETRE)))
                .orElseGet(() -> Cell.none(Cell.NONE));
    }

    private static Cell acid(Evidence evidence, Side side, Look at) {
        return mean(evidence, side, PH, at)
                .map(ph -> Cell.number(Decimals.fixed(ph, 1), Amount.of(ph, UnitOfMeasure.PH)))
                .orElseGet(() -> Cell.none(Cell.NONE));
    }

    /** New germinations at each look, of all dishes of a treatment. */
    private static GerminationCourse course(Evidence evidence, Side side) {
        TrialRecord record = evidence.record();
        Endpoint counted = record.endpoint(GERMINATED);
        List<GerminationCourse.Count> counts = new ArrayList<>();
        int before = 0;
        for (Look look : evidence.looksOf(GERMINATED)) {
            int now = record.units().stream()
                    .filter(unit -> unit.treatment() == side.arm() + 1)
                    .flatMap(unit -> UnitValues.readings(record, counted, look, unit).stream())
                    .flatMap(reading -> CountedOf.read(reading, counted).stream())
                    .collect(Collectors.summingInt(CountedOf::k));
            // A count that was lower later was one too many before: it does not germinate back.
            if (look.hoursAfterStart() > 0) {
                counts.add(new GerminationCourse.Count(look.hoursAfterStart() / 24, Math.max(0, now - before)));
                before = Math.max(before, now);
            }
        }
        return GerminationCourse.of(Math.max(side.n(), before), counts);
    }

    private static Optional<Double> mean(Evidence evidence, Side side, EndpointCode code, Look look) {
        OptionalDouble mean = evidence.record().units().stream()
                .filter(unit -> unit.treatment() == side.arm() + 1)
                .flatMap(unit ->
                        UnitValues.readings(evidence.record(), evidence.record().endpoint(code), look, unit).stream())
                .mapToDouble(reading -> Objects.requireNonNull(reading.value()))
                .average();
        return mean.isPresent() ? Optional.of(mean.getAsDouble()) : Optional.empty();
    }
}
