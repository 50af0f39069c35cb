package elsom.core.results;

import elsom.core.plan.Measure;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Sentence;
import elsom.core.section.Amount;
import elsom.core.section.Cell;
import elsom.core.section.Column;
import elsom.core.section.Table;
import elsom.core.series.Measurand;
import elsom.core.series.Sensed;
import elsom.core.series.SeriesSummary;
import elsom.core.stats.Interval;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.Reading;
import elsom.core.trial.Treatment;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToIntFunction;
import java.util.stream.Collectors;

/** Salt at the depths of a probe, logged or read by hand: how far it rose at each, and whether it came back; of every trial that senses it. */
final class DepthAnswers implements Analysis {
    /** What is washed down and may be washed out again. */
    private static final Set<Measurand> WASHED = EnumSet.of(Measurand.EC, Measurand.SODIUM);

    /** What is left of a rise matters from this share of it on. */
    private static final double SHARE_LEFT = 0.1;

    /** Differences below a few of the last digit shown are the sensor's. */
    private static final double DIGITS = 5;

    private static final List<String> REMARKS = List.of(
            "First, most and last: means of the treatment's units, each of the time since the look before. It has come back"
                    + " when the 95 % interval of what is left, within units, lies below a tenth of the rise.",
            "A probe's EC is of the bulk medium and rises with its water: compare looks at like wetness, and let a laboratory"
                    + " measure sodium, calcium and magnesium where SAR is to be judged.");

    /** A treatment with all its depths. */
    private record Profile(Treatment treatment, List<AtDepth> depths) {}

    /** A treatment at one depth. */
    private record AtDepth(Sensed sensed, RiseAndReturn course) {
        double matters() {
            return Math.max(
                    SHARE_LEFT * (course.mean(course.peak()) - course.mean(0)),
                    DIGITS * Math.pow(10, -sensed.what().decimals()));
        }

        RiseAndReturn.Ending ending() {
            return course.ending(matters());
        }

        String shown(double value) {
            return Decimals.fixed(value, sensed.what().decimals());
        }
    }

    @Override
    public void add(Evidence evidence, Findings.Draft findings) {
        for (Measurand what : WASHED) {
            add(evidence, what, SeriesSummary.MEAN, findings);
            add(evidence, what, SeriesSummary.BY_HAND, findings);
        }
    }

    private static void add(Evidence evidence, Measurand what, SeriesSummary summary, Findings.Draft findings) {
        List<Measure> measures = evidence.measured().stream()
                .filter(measure -> atDepth(measure, what, summary))
                .sorted(Comparator.comparing(
                        measure -> Objects.requireNonNull(measure.sensed()).depthCm()))
                .toList();
        if (measures.size() > 1) {
            add(evidence, what, measures, findings);
        }
    }

    private static boolean atDepth(Measure measure, Measurand what, SeriesSummary summary) {
        Sensed sensed = measure.sensed();
        return sensed != null && sensed.what() == what && sensed.summary() == summary && sensed.depthCm() > 0;
    }

    private static void add(Evidence evidence, Measurand what, List<Measure> measures, Findings.Draft findings) {
        TrialRecord record = evidence.record();
        List<Profile> profiles = new ArrayList<>();
        for (int arm = 0; arm < record.treatments().size(); arm++) {
            List<AtDepth> depths = new ArrayList<>();
            for (Measure measure : measures) {
                depth(evidence, arm, measure).ifPresent(depths::add);
            }
            if (depths.size() == measures.size()) {
                verdict(record.treatments().get(arm).name(), what, depths)
                        .ifPresent(verdict -> findings.answer(Findings.Answered.unasked(verdict)));
                profiles.add(new Profile(record.treatments().get(arm), depths));
            }
        }
        if (!profiles.isEmpty()) {
            String title = what.axis() + " over depth";
            findings.section(new TableResult(
                    title,
                    evidence.lookOf(measures.get(0).endpoint().code()).orElseThrow(),
                    Table.of("depths", title, columns(what, measures), profiles),
                    REMARKS));
            if (profiles.stream()
                    .anyMatch(profile -> profile.depths().stream()
                            .anyMatch(depth -> depth.course().left().isPresent()))) {
                findings.section(new TableResult(
                        title + ": what is left",
                        evidence.lookOf(measures.get(0).endpoint().code()).orElseThrow(),
                        Table.of("left", title + ": what is left", leftColumns(what, measures), profiles),
                        REMARKS));
            }
        }
    }

    /** For each depth what it was first, at its most, and last. */
    private static List<Column<Profile>> columns(Measurand what, List<Measure> measures) {
        List<Column<Profile>> columns = new ArrayList<>();
        columns.add(Column.cells("Treatment", profile -> Cell.of(profile.treatment())));
        for (int i = 0; i < measures.size(); i++) {
            int at = i;
            String depth = centimetres(Objects.requireNonNull(measures.get(i).sensed()));
            String unit = what.unit().symbol();
            columns.add(Column.numbers(
                    depth, "first", unit, profile -> cell(profile.depths().get(at), RiseAndReturn::first)));
            columns.add(Column.numbers(
                    depth, "most", unit, profile -> cell(profile.depths().get(at), RiseAndReturn::peak)));
            columns.add(Column.numbers(
                    depth, "last", unit, profile -> cell(profile.depths().get(at), RiseAndReturn::last)));
        }
        return columns;
    }

    /** For each depth the last less the first, with its interval. */
    private static List<Column<Profile>> leftColumns(Measurand what, List<Measure> measures) {
        List<Column<Profile>> columns = new ArrayList<>();
        columns.add(Column.cells("Treatment", profile -> Cell.of(profile.treatment())));
        for (int i = 0; i < measures.size(); i++) {
            int at = i;
            columns.add(Column.numbers(
                    centimetres(Objects.requireNonNull(measures.get(i).sensed())),
                    "95 % interval",
                    what.unit().symbol(),
                    profile -> leftCell(profile.depths().get(at))));
        }
        return columns;
    }

    private static Cell leftCell(AtDepth depth) {
        RiseAndReturn course = depth.course();
        double left = course.mean(course.last()) - course.mean(0);
        return course.left()
                .map(interval -> Cell.number(
                        depth.shown(left) + " (" + depth.shown(interval.low()) + " to " + depth.shown(interval.high())
                                + ")",
                        Amount.of(left, depth.sensed().what().unit()).within(Optional.of(interval))))
                .orElse(Cell.none(Cell.NONE));
    }

    private static Cell cell(AtDepth depth, ToIntFunction<RiseAndReturn> when) {
        double value = depth.course().mean(when.applyAsInt(depth.course()));
        return Cell.number(
                depth.shown(value), Amount.of(value, depth.sensed().what().unit()));
    }

    private static Optional<AtDepth> depth(Evidence evidence, int arm, Measure measure) {
        List<Look> looks = evidence.looksOf(measure.endpoint().code());
        List<Map<UnitCode, Double>> byLook = new ArrayList<>();
        for (Look look : looks) {
            Map<UnitCode, Double> values = new LinkedHashMap<>();
            for (ExperimentalUnit unit : evidence.record().units()) {
                if (unit.treatment() == arm + 1) {
                    UnitValues.readings(evidence.record(), measure.endpoint(), look, unit).stream()
                            .map(Reading::value)
                            .findFirst()
                            .ifPresent(value -> values.put(unit.code(), Objects.requireNonNull(value)));
                }
            }
            byLook.add(values);
        }
        return byLook.stream().anyMatch(Map::isEmpty)
                ? Optional.empty()
                : Optional.of(new AtDepth(Objects.requireNonNull(measure.sensed()), new RiseAndReturn(looks, byLook)));
    }

    private static String centimetres(Sensed sensed) {
        return Decimals.upTo(sensed.depthCm(), 1) + " cm";
    }

    /** A sentence for a treatment at all depths; empty where nothing rose or there is but one look. */
    private static Optional<Verdict> verdict(String name, Measurand what, List<AtDepth> depths) {
        Set<RiseAndReturn.Ending> endings = depths.stream().map(AtDepth::ending).collect(Collectors.toSet());
        if (endings.stream()
                .allMatch(one -> one == RiseAndReturn.Ending.ONE_LOOK || one == RiseAndReturn.Ending.NEVER_ROSE)) {
            return Optional.empty();
        }
        String sentence = name + ": " + what.label() + " "
                + depths.stream().map(DepthAnswers::words).collect(Collectors.joining("; ")) + ".";
        String brief = brief(name, what, depths);
        if (endings.contains(RiseAndReturn.Ending.STAYS)) {
            return Optional.of(new Verdict(
                    Verdict.Firmness.WORSE,
                    sentence,
                    "More clean water, or a longer wait, and another look: what stays below moves up again as the surface"
                            + " dries.",
                    brief));
        }
        if (endings.contains(RiseAndReturn.Ending.NOT_FALLEN)) {
            return Optional.of(new Verdict(
                    Verdict.Firmness.SO_FAR, sentence, "A look after leaching tells whether it comes back.", brief));
        }
        return Optional.of(
                endings.contains(RiseAndReturn.Ending.UNCLEAR)
                        ? new Verdict(Verdict.Firmness.CANT_TELL, sentence, "More units with a probe narrow it.", brief)
                        : new Verdict(
                                Verdict.Firmness.SETTLED,
                                sentence,
                                "Salt that drained below the deepest sensor is not seen.",
                                brief));
    }

    /** "100 %: EC has come back at 3 cm; it has not come back at 8 and 15 cm." */
    private static String brief(String name, Measurand what, List<AtDepth> depths) {
        Map<String, List<String>> at = new LinkedHashMap<>();
        depths.forEach(depth ->
                at.computeIfAbsent(ending(depth), none -> new ArrayList<>()).add(centimetres(depth.sensed())));
        return name + ": " + what.label() + " "
                + at.entrySet().stream()
                        .map(one -> one.getKey() + " at " + Sentence.listed(one.getValue()))
                        .collect(Collectors.joining("; it "))
                + ".";
    }

    private static String ending(AtDepth depth) {
        return switch (depth.ending()) {
            case ONE_LOOK -> "was looked at once";
            case NEVER_ROSE -> "did not rise";
            case NOT_FALLEN -> "rose and has not fallen yet";
            case BACK -> "has come back";
            case STAYS -> "has not come back";
            case UNCLEAR -> "can't be told to have come back";
        };
    }

    private static String words(AtDepth depth) {
        RiseAndReturn course = depth.course();
        String at = "at " + centimetres(depth.sensed()) + " ";
        String unit = (" " + depth.sensed().what().unit().symbol()).stripTrailing();
        String rose = at + "rose from " + depth.shown(course.mean(0)) + " to "
                + depth.shown(course.mean(course.peak())) + unit + " ("
                + course.looks().get(course.peak()).name()
                + ") and ";
        String left = course.left().map(interval -> left(depth, interval)).orElse("");
        return switch (depth.ending()) {
            case ONE_LOOK -> at + "was looked at once";
            case NEVER_ROSE -> at + "did not rise";
            case NOT_FALLEN -> rose + "has not fallen yet";
            case BACK -> rose + "has come back" + left;
            case STAYS -> rose + "has not come back" + left;
            case UNCLEAR -> rose + "can't be told to have come back" + left;
        };
    }

    private static String left(AtDepth depth, Interval interval) {
        RiseAndReturn course = depth.course();
        return " (" + depth.shown(course.mean(course.last()) - course.mean(0)) + " left, 95 % interval "
                + depth.shown(interval.low()) + " to " + depth.shown(interval.high()) + ")";
    }
}
