package elsom.web.series;

import elsom.core.quantity.Decimals;
import elsom.core.series.DepthProfile;
import elsom.core.series.Measurand;
import elsom.core.series.SeriesSummary;
import elsom.core.series.Stretch;
import elsom.core.series.Thinning;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.Swatch;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Courses as they are drawn.
 *
 * @param fromHours where the drawing begins, from the trial's start
 * @param looks where looks are, in hours from the start
 */
record SeriesDrawing(double fromHours, double toHours, List<Mark> looks, List<Panel> panels, List<Profile> profiles) {
    /** As many as the drawing is wide: more can't be seen. */
    private static final int COLUMNS = 700;

    private static final Set<Measurand> SETTLING =
            Set.of(Measurand.EC, Measurand.SODIUM, Measurand.MOISTURE, Measurand.PH);

    private static final double MILLIS_AN_HOUR = 3_600_000;

    /** A look on the time axis. */
    record Mark(double hours, String name) {}

    /** Courses of one thing at one depth. */
    record Panel(String label, String unit, int decimals, List<Line> lines) {}

    /**
     * A course.
     *
     * @param unit code; empty for the whole trial
     * @param points "hours value;…"
     * @param samples how many there are of it
     */
    record Line(String unit, @Nullable Swatch swatch, String points, long samples) {}

    /** Something over depth, a line a treatment. */
    record Profile(String label, String unit, int decimals, List<Depths> lines) {}

    /** A treatment over depth. */
    record Depths(Swatch swatch, List<At> at) {}

    /** A mean at a depth with its 95 % interval, where there is one. */
    record At(
            double depth,
            double mean,
            int n,
            @Nullable Double low,
            @Nullable Double high) {}

    static SeriesDrawing of(
            TrialRecord record, List<SeriesStore.Head> series, SeriesStore store, Instant from, Instant to) {
        Instant start = record.trial().start();
        Map<String, ExperimentalUnit> units = record.units().stream()
                .collect(Collectors.toMap(unit -> unit.code().value(), unit -> unit));
        Map<String, List<Line>> lines = new LinkedHashMap<>();
        Map<String, SeriesKey> keys = new LinkedHashMap<>();
        Map<Measurand, List<DepthProfile.OfUnit>> depths = new LinkedHashMap<>();
        for (SeriesStore.Head head : series) {
            if (head.last().isBefore(from) || head.first().isAfter(to)) {
                continue;
            }
            Thinning thinning = new Thinning(from.toEpochMilli(), to.toEpochMilli(), COLUMNS);
            Stretch stretch = new Stretch(from, to, 0);
            store.course(head.id(), from, to).each((at, value) -> {
                if (at >= from.toEpochMilli() && at <= to.toEpochMilli()) {
                    thinning.add(at, value);
                    stretch.add(at, value);
                }
            });
            String label = head.key().label();
            ExperimentalUnit unit = units.get(head.key().unit());
            keys.putIfAbsent(label, head.key());
            lines.computeIfAbsent(label, none -> new ArrayList<>())
                    .add(new Line(
                            head.key().unit(),
                            unit == null ? null : Swatch.of(record.treatment(unit)),
                            points(thinning, start),
                            thinning.samples()));
            if (unit != null
                    && head.key().depthCm() > 0
                    && SETTLING.contains(head.key().what())) {
                stretch.figure(SeriesSummary.MEAN)
                        .ifPresent(mean -> depths.computeIfAbsent(head.key().what(), none -> new ArrayList<>())
                                .add(new DepthProfile.OfUnit(
                                        unit.treatment(),
                                        head.key().unit(),
                                        head.key().depthCm(),
                                        mean)));
            }
        }
        List<Panel> panels = lines.entrySet().stream()
                .map(entry -> panel(
                        entry.getKey(),
                        Optional.ofNullable(keys.get(entry.getKey()))
                                .orElseThrow()
                                .what(),
                        entry.getValue()))
                .toList();
        List<Profile> profiles = depths.entrySet().stream()
                .flatMap(entry -> profile(record, entry.getKey(), entry.getValue()).stream())
                .toList();
        return new SeriesDrawing(hours(start, from), hours(start, to), marks(record), panels, profiles);
    }

    private static Panel panel(String label, Measurand what, List<Line> lines) {
        return new Panel(label, what.unit().symbol(), what.decimals(), lines);
    }

    private static Optional<Profile> profile(TrialRecord record, Measurand what, List<DepthProfile.OfUnit> units) {
        Map<Integer, List<DepthProfile.Point>> byTreatment = DepthProfile.of(units).stream()
                .collect(Collectors.groupingBy(DepthProfile.Point::treatment, LinkedHashMap::new, Collectors.toList()));
        return byTreatment.isEmpty()
                ? Optional.empty()
                : Optional.of(new Profile(
                        what.label(),
                        what.unit().symbol(),
                        what.decimals(),
                        byTreatment.entrySet().stream()
                                .map(entry -> new Depths(
                                        Swatch.of(record.treatments().get(entry.getKey() - 1)),
                                        entry.getValue().stream()
                                                .map(SeriesDrawing::at)
                                                .toList()))
                                .toList()));
    }

    private static At at(DepthProfile.Point point) {
        return new At(
                point.depthCm(),
                point.mean(),
                point.n(),
                point.interval().map(interval -> interval.low()).orElse(null),
                point.interval().map(interval -> interval.high()).orElse(null));
    }

    private static List<Mark> marks(TrialRecord record) {
        return record.looks().stream()
                .map(look -> new Mark(look.hoursAfterStart(), look.name()))
                .toList();
    }

    private static double hours(Instant start, Instant at) {
        return Duration.between(start, at).toMillis() / MILLIS_AN_HOUR;
    }

    private static String points(Thinning thinning, Instant start) {
        StringBuilder text = new StringBuilder();
        thinning.points()
                .forEach(sample -> text.append(text.isEmpty() ? "" : ";")
                        .append(Decimals.upTo((sample.at() - start.toEpochMilli()) / MILLIS_AN_HOUR, 3))
                        .append(' ')
                        .append(Decimals.upTo(sample.value(), 3)));
        return text.toString().replace('−', '-');
    }
}
