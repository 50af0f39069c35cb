package elsom.web.audit;

import elsom.core.audit.Audit;
import elsom.core.audit.Fault;
import elsom.core.audit.Grade;
import elsom.core.figure.FigureKind;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import elsom.web.kit.BenchMap;
import elsom.web.kit.TrialHeader;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Was it fair: what was seen, what it does, which way it pushes, what to do next time.
 *
 * @param shown the number of the fault whose units are marked on the map; 0 for none
 */
public record FairPage(
        TrialHeader header,
        Grade grade,
        String words,
        List<Line> faults,
        List<Line> notes,
        BenchMap map,
        int shown,
        String shownSeen,
        int rules) {
    /**
     * A fault as it is told.
     *
     * @param touches which verdicts it touches; empty when all
     * @param units codes in words; empty when it is about the whole trial
     */
    public record Line(
            int number,
            Grade grade,
            String seen,
            String why,
            String pushes,
            String next,
            String touches,
            String units,
            boolean onMap) {}

    private static final int FEW = 12;

    /** The page, with the units of one fault marked. */
    public static FairPage of(TrialRecord record, FairMark mark, Audit audit, int shown, Instant now) {
        List<Line> lines = new ArrayList<>();
        for (Fault fault : audit.faults()) {
            lines.add(line(fault, lines.size() + 1));
        }
        boolean known =
                shown >= 1 && shown <= lines.size() && lines.get(shown - 1).onMap();
        Set<UnitCode> marked =
                known ? new HashSet<>(audit.faults().get(shown - 1).units()) : Set.of();
        return new FairPage(
                TrialHeader.of(record, now, TrialHeader.Step.FINDINGS),
                audit.grade(),
                mark.words(),
                lines.stream().filter(line -> line.grade() != Grade.SOUND).toList(),
                lines.stream().filter(line -> line.grade() == Grade.SOUND).toList(),
                BenchMap.of(record, unit -> face(record, unit, marked)),
                known ? shown : 0,
                known ? lines.get(shown - 1).seen() : "",
                Audit.rules());
    }

    private static BenchMap.Face face(TrialRecord record, ExperimentalUnit unit, Set<UnitCode> marked) {
        BenchMap.State state = marked.contains(unit.code())
                ? BenchMap.State.NOW
                : record.ended(unit.code()).isPresent() ? BenchMap.State.LOST : BenchMap.State.TODO;
        return new BenchMap.Face(
                marked.contains(unit.code()) ? "this" : "",
                state,
                "/trials/" + record.trial().id() + "/units/" + unit.code());
    }

    private static Line line(Fault fault, int number) {
        return new Line(
                number,
                fault.grade(),
                fault.seen(),
                fault.why(),
                fault.pushes(),
                fault.next(),
                fault.about().stream().map(FigureKind::label).sorted().collect(Collectors.joining(", ")),
                fault.units().isEmpty() || fault.units().size() > FEW
                        ? ""
                        : fault.units().stream().map(UnitCode::value).collect(Collectors.joining(" ")),
                !fault.units().isEmpty());
    }
}
