package elsom.web.series;

import elsom.core.plan.Measure;
import elsom.core.series.Measurand;
import elsom.core.trial.Instrument;
import elsom.core.trial.Look;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.Times;
import elsom.web.kit.TrialHeader;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;

/** The sensors of a trial: their courses, the files they came from, and what reaches the looks. */
record SeriesPage(
        TrialHeader header,
        boolean any,
        List<Measurand> measured,
        List<Window> windows,
        List<FileLine> files,
        List<SensedLine> sensed,
        List<String> sources,
        List<Watches.Line> watches,
        WatchController.Typing typing,
        List<Measurand> watchable,
        String problem,
        boolean started) {

    /** A stretch of time that can be looked at; the value "0" is the whole. */
    public record Window(String value, String label) {}

    /** A file that was taken. */
    public record FileLine(long id, String name, String source, String rows, String when) {}

    /** An endpoint that series give, with how many of its readings are there. */
    public record SensedLine(String name, String rule, String looks, String read) {}

    static SeriesPage of(
            TrialRecord record,
            List<Measure> measures,
            List<SeriesStore.Head> series,
            List<SeriesStore.Taken> files,
            List<String> sources,
            List<Watches.Line> watches,
            WatchController.Typing typing,
            String problem,
            Instant now) {
        ZoneId zone = record.trial().zone();
        return new SeriesPage(
                TrialHeader.of(record, now, TrialHeader.Step.BENCH),
                !series.isEmpty(),
                series.stream().map(head -> head.key().what()).distinct().toList(),
                windows(record),
                files.stream()
                        .map(file -> new FileLine(
                                file.id(),
                                file.name(),
                                file.source(),
                                String.valueOf(file.rows()),
                                Times.dayAndTime(file.at(), zone)))
                        .toList(),
                SensedReadings.measures(measures).stream()
                        .map(measure -> line(record, measure))
                        .toList(),
                sources,
                watches,
                typing,
                List.of(Measurand.values()),
                problem,
                record.trial().started());
    }

    /** From each look to the next, and the whole time. */
    private static List<Window> windows(TrialRecord record) {
        List<Window> windows = new ArrayList<>();
        windows.add(new Window("0", "the whole time"));
        String before = "start";
        for (Look look : record.looks()) {
            if (!look.afterStart().isNegative() && !look.afterStart().isZero()) {
                windows.add(new Window(String.valueOf(look.number()), before + " to “" + look.name() + "”"));
                before = "“" + look.name() + "”";
            }
        }
        return windows;
    }

    private static SensedLine line(TrialRecord record, Measure measure) {
        List<Look> looks = record.looks().stream()
                .filter(look -> look.endpoints().contains(measure.endpoint().code()))
                .toList();
        long read = looks.stream()
                .flatMap(look -> record.units().stream()
                        .map(unit -> new ReadingRef(
                                unit.code(), look.number(), measure.endpoint().code())))
                .flatMap(ref -> record.current(ref).stream())
                .filter(reading -> reading.instrument() == Instrument.SENSOR)
                .count();
        return new SensedLine(
                measure.endpoint().name(),
                measure.rule(),
                looks.isEmpty() ? "no look takes it yet" : looks.size() + (looks.size() == 1 ? " look" : " looks"),
                read + " of " + (long) looks.size() * record.units().size());
    }
}
