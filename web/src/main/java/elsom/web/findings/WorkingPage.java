package elsom.web.findings;

import elsom.core.figure.Figure;
import elsom.core.figure.FigureKind;
import elsom.core.figure.GroupFigure;
import elsom.core.results.Findings;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialRecord;
import elsom.core.working.Term;
import elsom.core.working.Working;
import elsom.web.kit.TrialHeader;
import java.time.Instant;
import java.util.List;

/** The working of one figure. */
record WorkingPage(
        TrialHeader header,
        String title,
        String term,
        String value,
        String formula,
        List<Line> terms,
        List<String> steps,
        String source,
        List<String> remarks,
        String backHref) {

    /** A number put in, and where it came from. */
    record Line(String name, String value, String origin, String href) {}

    static WorkingPage of(
            TrialRecord record, Findings findings, FigureKind kind, Figure figure, Instant now, int bench) {
        return page(record, findings, kind, figure.result(), figure.working(), now, bench);
    }

    static WorkingPage of(
            TrialRecord record, Findings findings, FigureKind kind, GroupFigure figure, Instant now, int bench) {
        return page(record, findings, kind, figure.result(), figure.working(), now, bench);
    }

    private static WorkingPage page(
            TrialRecord record,
            Findings findings,
            FigureKind kind,
            String value,
            Working working,
            Instant now,
            int bench) {
        String base = "/trials/" + record.trial().id();
        return new WorkingPage(
                TrialHeader.of(record, now, TrialHeader.Step.FINDINGS, findings.comparedAt()),
                working.title(),
                kind.term(),
                value,
                working.formula(),
                working.terms().stream()
                        .map(term -> line(record, term, kind, findings.comparedAt(), base))
                        .toList(),
                working.steps(),
                working.source().citation(),
                working.remarks(),
                base + "/findings?bench=" + bench + "&at=" + findings.comparedAt());
    }

    private static Line line(TrialRecord record, Term term, FigureKind kind, int comparedAt, String base) {
        var unit = term.computedFor();
        if (unit != null) {
            return new Line(
                    unit.value(),
                    term.show(),
                    "its own working",
                    base + "/findings/working?kind=" + kind.code() + "&at=" + comparedAt + "&unit=" + unit);
        }
        if (term.origins().isEmpty()) {
            return new Line(term.name(), term.show(), "", "");
        }
        ReadingRef ref = term.origins().get(0);
        return new Line(
                term.name(),
                term.show(),
                ref.unit() + ", " + record.look(ref.look()).orElseThrow().name(),
                base + "/bench?look=" + ref.look() + "&unit=" + ref.unit());
    }
}
