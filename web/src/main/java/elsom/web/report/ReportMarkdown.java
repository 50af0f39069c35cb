package elsom.web.report;

import elsom.core.audit.Fault;
import elsom.core.audit.Grade;
import elsom.core.chain.Pooled;
import elsom.core.next.Proposal;
import elsom.core.plan.PlanSentence;
import elsom.core.results.FigureKind;
import elsom.core.results.Findings;
import elsom.core.results.GroupFigure;
import elsom.core.results.GroupResult;
import elsom.core.results.JudgedQuestion;
import elsom.core.results.Section;
import elsom.core.results.UnitResult;
import elsom.core.results.Wording;
import elsom.web.findings.Money;
import elsom.web.kit.Chapter;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** A report as Markdown: what the printed one says, in plain text that any editor keeps. */
final class ReportMarkdown {
    private final StringBuilder text = new StringBuilder();
    private final Told told;
    private final ReportPage page;

    private ReportMarkdown(Told told, ReportPage page) {
        this.told = told;
        this.page = page;
    }

    static String of(Told told, ReportPage page) {
        return new ReportMarkdown(told, page).written();
    }

    private String written() {
        line("# " + escaped(told.record().trial().question()));
        line(escaped(PlanSentence.of(told.plan())));
        heading("Answer");
        told.findings().answers().forEach(this::answer);
        differences();
        figures();
        told.chapters().forEach(this::chapter);
        fair();
        money();
        next();
        heading("What to be careful of");
        bullets(Stream.concat(
                        told.findings().flags().stream().map(flag -> flag.seen() + " " + flag.why()),
                        page.cautions().stream())
                .toList());
        heading("How it was done");
        bullets(page.method());
        heading("What went wrong");
        bullets(page.wentWrong().isEmpty() ? List.of("Nothing was written down.") : page.wentWrong());
        if (!page.changed().isEmpty()) {
            heading("Changed after the start");
            bullets(page.changed());
        }
        if (!page.corrections().isEmpty()) {
            heading("Corrected readings");
            bullets(page.corrections());
        }
        raw();
        line("*" + escaped(page.made()) + "*");
        return text.toString();
    }

    private void line(String words) {
        text.append(words).append("\n\n");
    }

    private void heading(String words) {
        line("## " + words);
    }

    private void bullets(List<String> lines) {
        lines.forEach(one -> text.append("- ").append(escaped(one)).append('\n'));
        text.append('\n');
    }

    private void answer(Findings.Answered answered) {
        var cap = told.mark().cap(answered);
        line("**" + answered.verdict().firmness().label() + "** "
                + escaped(answered.verdict().sentence())
                + (answered.marked().isEmpty() ? "" : " (" + answered.marked() + ")")
                + (cap == null ? "" : " *" + cap.grade().label() + ": " + escaped(cap.seen()) + "*")
                + (answered.verdict().wouldChange().isEmpty()
                        ? ""
                        : " " + escaped(answered.verdict().wouldChange())));
    }

    private void differences() {
        for (Section.Contrasts section : told.findings().sections(Section.Contrasts.class)) {
            JudgedQuestion question = section.question();
            List<List<String>> rows = question.judgement().comparisons().stream()
                    .map(c -> List.of(
                            question.name(c.treatment()),
                            question.name(c.comparator()),
                            Wording.difference(question.kind(), c.difference()),
                            c.interval()
                                    .map(interval -> Wording.interval(question.kind(), interval))
                                    .orElse("–"),
                            switch (c.answer()) {
                                case BETTER -> "better";
                                case WORSE -> "worse";
                                case NO_DIFFERENCE -> "no difference that matters";
                                case CANT_TELL -> "can't tell";
                            }))
                    .toList();
            if (!rows.isEmpty()) {
                line("### " + escaped(question.kind().label()));
                table(List.of("Treatment", "Beside", "Difference", "95 % interval", "Answer"), rows);
            }
        }
    }

    private void figures() {
        List<FigureKind> kinds = told.findings().kinds();
        List<String> heads = new ArrayList<>(List.of("Treatment", "Units"));
        kinds.forEach(kind -> heads.add(kind.label() + (kind.unitSymbol().isEmpty() ? "" : ", " + kind.unitSymbol())));
        List<List<String>> rows = new ArrayList<>();
        for (GroupResult group : told.findings().groups()) {
            List<String> row = new ArrayList<>(List.of(
                    group.name()
                            + (told.record().benches().size() > 1
                                    ? ", "
                                            + told.record()
                                                    .bench(group.key().bench())
                                                    .name()
                                    : ""),
                    String.valueOf(group.planned())));
            kinds.forEach(kind ->
                    row.add(group.figure(kind).map(ReportMarkdown::shown).orElse("–")));
            rows.add(row);
        }
        if (!rows.isEmpty()) {
            heading("Figures");
            table(heads, rows);
        }
    }

    private static String shown(GroupFigure figure) {
        FigureKind finer = figure.kind().finer();
        return finer.number(figure.summary().mean())
                + (figure.summary().sd().isPresent()
                        ? " ± " + finer.number(figure.summary().sd().getAsDouble())
                        : "");
    }

    private void chapter(Chapter chapter) {
        heading(chapter.title());
        for (Chapter.Part part : chapter.parts()) {
            line("### " + escaped(part.heading()));
            if (!part.sentence().isEmpty()) {
                line("**" + escaped(part.sentence()) + "**");
            }
            bullets(part.lines());
        }
    }

    private void fair() {
        heading("Was it fair?");
        line("**" + told.audit().grade().label() + "** " + escaped(told.mark().words()));
        bullets(told.audit().faults().stream().map(ReportMarkdown::fault).toList());
    }

    private static String fault(Fault fault) {
        return (fault.grade() == Grade.SOUND ? "" : fault.grade().label() + ": ") + fault.seen()
                + (fault.pushes().isEmpty() ? "" : " " + fault.pushes()) + " Next time: " + fault.next();
    }

    private void money() {
        if (told.money().isPresent()) {
            Money.MoneyPage money = told.money().get();
            heading("Does it pay?");
            table(
                    List.of("Treatment", "Beside", "Net, a unit", "95 % interval", "Extra cost", "Answer"),
                    money.rows().stream()
                            .map(row -> List.of(
                                    row.swatch().name(),
                                    row.comparator(),
                                    row.net(),
                                    row.net95(),
                                    row.extraCost(),
                                    row.says().label()))
                            .toList());
        }
    }

    private void next() {
        List<Pooled> pooled = told.chain().pooled();
        if (!pooled.isEmpty()) {
            heading("Over the trials of this series");
            bullets(pooled.stream()
                    .map(one -> one.verdict().sentence() + " " + one.heterogeneity())
                    .toList());
        }
        if (!told.proposals().isEmpty()) {
            heading("What next?");
            bullets(told.proposals().stream()
                    .map((Proposal one) -> one.kind().label() + ": " + one.what() + " " + one.reason())
                    .toList());
        }
    }

    private void raw() {
        if (!page.raw().isEmpty()) {
            heading("Every unit");
            List<String> heads = new ArrayList<>(List.of("Unit", "Treatment"));
            told.findings().kinds().forEach(kind -> heads.add(kind.label()));
            List<List<String>> rows = new ArrayList<>();
            for (UnitResult unit : page.raw()) {
                List<String> row = new ArrayList<>(List.of(
                        unit.unit().code().value(),
                        told.record().treatment(unit.unit()).name()));
                told.findings()
                        .kinds()
                        .forEach(kind -> row.add(unit.figure(kind)
                                .map(figure -> kind.number(figure.value()))
                                .orElse("–")));
                rows.add(row);
            }
            table(heads, rows);
        }
    }

    private void table(List<String> heads, List<List<String>> rows) {
        row(heads);
        row(heads.stream().map(head -> "---").toList());
        rows.forEach(this::row);
        text.append('\n');
    }

    private void row(List<String> cells) {
        text.append('|');
        cells.forEach(cell -> text.append(' ').append(escaped(cell)).append(" |"));
        text.append('\n');
    }

    /** What Markdown would take for its own marks. */
    private static String escaped(String words) {
        return words.replaceAll("([\\\\`*_\\[\\]<>|#])", "\\\\$1").replace('\n', ' ');
    }
}
