package elsom.web.bench;

import elsom.core.protocol.Protocols;
import elsom.core.protocol.Step;
import elsom.core.quantity.Dimension;
import elsom.core.quantity.Spans;
import elsom.core.seedling.InjuryScore;
import elsom.core.seedling.SeedlingPart;
import elsom.core.sim.HandMeter;
import elsom.core.sim.ScaleFault;
import elsom.core.trial.CorrectionReason;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.LookTiming;
import elsom.core.trial.Mishap;
import elsom.core.trial.MishapKind;
import elsom.core.trial.SecondWalk;
import elsom.core.trial.Skip;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import elsom.core.trial.Walk;
import elsom.web.kit.BenchMap;
import elsom.web.kit.Json;
import elsom.web.kit.Times;
import elsom.web.kit.TrialHeader;
import elsom.web.platform.Station;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** The bench at one look. */
record BenchPage(
        TrialHeader header,
        BenchMap map,
        String lookName,
        int look,
        Step step,
        LookTiming timing,
        String plannedWords,
        String early,
        int done,
        int expected,
        String station,
        BenchData.Task first,
        String data,
        List<CorrectionReason> reasons,
        List<MishapKind> mishapKinds,
        List<MishapLine> mishaps,
        List<ScaleFault> scaleFaults,
        ScaleFault scaleFault,
        List<HandMeter.Fault> meterFaults,
        boolean weighs,
        boolean walks,
        List<SeedlingPart> parts,
        List<Scored> scored,
        List<Scored> skippable,
        List<SkipLine> skips) {

    /** A score of the look that a second pair of eyes can make again. */
    record Scored(String code, String name) {}

    /** What is not read at the look. */
    record SkipLine(String code, String name, String reason, String when) {}

    /** Something that went wrong, and whether it can still be taken back. */
    record MishapLine(int number, String what, String units, String note, String when) {}

    /** The words under a score of injury. */
    public String anchor(int score) {
        return InjuryScore.anchor(score);
    }

    private static final List<CorrectionReason> CHOSEN_BY_HAND =
            List.of(CorrectionReason.MISTYPED, CorrectionReason.WRONG_UNIT, CorrectionReason.WEIGHED_AGAIN);

    static BenchPage of(
            TrialRecord record,
            Look look,
            Optional<UnitCode> unit,
            LookTiming timing,
            Station station,
            ScaleFault scaleFault,
            Instant now) {
        TrialRecord.Progress progress = record.progress(look);
        BenchData data = BenchData.of(record, look, timing.name(), unit);
        BenchData.Task first = data.first();
        String start = first.code();
        Map<String, List<BenchData.Task>> byUnit =
                data.tasks().stream().collect(Collectors.groupingBy(BenchData.Task::code));
        return new BenchPage(
                TrialHeader.of(record, now, TrialHeader.Step.BENCH, look.number()),
                BenchMap.of(
                        record,
                        u -> face(
                                record,
                                look,
                                u,
                                start,
                                byUnit.getOrDefault(u.code().value(), List.of()))),
                look.name(),
                look.number(),
                Protocols.find(record.trial().protocol()).orElseThrow().stepBefore(record, look),
                timing,
                Times.dayAndTime(
                        look.plannedAt(record.trial().start()), record.trial().zone()),
                LookTiming.early(record, look, now)
                        .map(left -> Spans.words(left.toMinutes() / 60.0))
                        .orElse(""),
                progress.done(),
                progress.expected(),
                station.name().orElse(""),
                first,
                Json.of(data),
                CHOSEN_BY_HAND,
                MishapKind.offered(),
                mishaps(record),
                Arrays.asList(ScaleFault.values()),
                scaleFault,
                List.of(HandMeter.Fault.values()),
                look.endpoints().stream()
                        .anyMatch(code -> record.endpoint(code).unit().dimension() == Dimension.MASS),
                Walk.byHand(record, look).size() > 1,
                look.endpoints().stream().anyMatch(code -> record.endpoint(code).takesSymptoms())
                        ? List.of(SeedlingPart.values())
                        : List.of(),
                look.endpoints().stream()
                        .map(record::endpoint)
                        .filter(SecondWalk::scored)
                        .map(endpoint -> new Scored(endpoint.code().value(), endpoint.name()))
                        .toList(),
                Walk.byHand(record, look).stream()
                        .filter(code -> Skip.problem(record, look, code).isEmpty())
                        .map(record::endpoint)
                        .map(endpoint -> new Scored(endpoint.code().value(), endpoint.name()))
                        .toList(),
                skips(record, look));
    }

    private static List<SkipLine> skips(TrialRecord record, Look look) {
        return record.beside().skips().stream()
                .filter(skip -> skip.look() == look.number())
                .map(skip -> new SkipLine(
                        skip.endpoint().value(),
                        record.endpoint(skip.endpoint()).name(),
                        skip.reason(),
                        Times.dayAndTime(skip.at(), record.trial().zone()) + ", " + skip.station()))
                .toList();
    }

    private static BenchMap.Face face(
            TrialRecord record, Look look, ExperimentalUnit unit, String start, List<BenchData.Task> tasks) {
        String href = "/trials/" + record.trial().id() + "/bench?look=" + look.number() + "&unit=" + unit.code();
        long possible = tasks.stream().filter(BenchData.Task::possible).count();
        List<String> read = tasks.stream()
                .flatMap(task -> Optional.ofNullable(task.current()).stream())
                .map(current ->
                        tasks.get(0).words() ? "✓" : current.value().replaceFirst(" (?:g|points?)(?:,.*)?$", ""))
                .toList();
        String value = read.isEmpty() ? "" : tasks.size() == 1 ? read.get(0) : read.size() + "/" + possible;
        BenchMap.State state = unit.code().value().equals(start)
                ? BenchMap.State.NOW
                : !record.expected(unit.code(), look.number())
                        ? BenchMap.State.LOST
                        : value.isEmpty() ? BenchMap.State.TODO : BenchMap.State.DONE;
        return new BenchMap.Face(value, state, href);
    }

    private static List<MishapLine> mishaps(TrialRecord record) {
        return record.mishaps().stream()
                .filter(Mishap::stands)
                .map(mishap -> new MishapLine(
                        mishap.number(),
                        mishap.kind().label(),
                        mishap.units().stream().map(UnitCode::value).collect(Collectors.joining(" ")),
                        mishap.note(),
                        Times.dayAndTime(mishap.happenedAt(), record.trial().zone())))
                .toList();
    }
}
