package elsom.web.report;

import elsom.core.audit.Fault;
import elsom.core.audit.Grade;
import elsom.core.chain.Pooled;
import elsom.core.figure.UnitResult;
import elsom.core.next.Proposal;
import elsom.core.plan.PlanSentence;
import elsom.core.results.Findings;
import elsom.core.section.Account;
import elsom.core.section.Section;
import elsom.web.findings.MoneyPages;
import elsom.web.kit.Chapter;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** A report as Markdown: what the printed one says, in plain text that any editor keeps. */
final class ReportMarkdown {
    private final Markdown text = new Markdown();
    private final ReportTold told;
    private final ReportPage page;

    private ReportMarkdown(ReportTold told, ReportPage page) {
        this.told = told;
        this.page = page;
    }

    static String of(ReportTold told, ReportPage page) {
        return new ReportMarkdown(told, page).written();
    }

    private String written() {
        text.title(told.record().trial().question());
        text.raw(Markdown.escaped(PlanSentence.of(told.plan())));
        text.heading("Answer");
        told.findings().answers().forEach(this::answer);
        sections();
        told.chapters().forEach(this::chapter);
        fair();
        money();
        next();
        text.heading("What to be careful of");
        text.bullets(Stream.concat(
                        told.findings().flags().stream().map(flag -> flag.seen() + " " + flag.why()),
                        page.cautions().stream())
                .toList());
        text.heading("How it was done");
        text.bullets(page.method());
        text.heading("What went wrong");
        text.bullets(page.wentWrong().isEmpty() ? List.of("Nothing was written down.") : page.wentWrong());
        if (!page.changed().isEmpty()) {
            text.heading("Changed after the start");
            text.bullets(page.changed());
        }
        if (!page.corrections().isEmpty()) {
            text.heading("Corrected readings");
            text.bullets(page.corrections());
        }
        raw();
        text.raw("*" + Markdown.escaped(page.made()) + "*");
        return text.toString();
    }

    private void answer(Findings.Answered answered) {
        var cap = told.mark().cap(answered);
        text.raw("**" + told.mark().word(answered) + "** "
                + Markdown.escaped(answered.verdict().sentence())
                + (answered.marked().isEmpty() ? "" : " (" + answered.marked() + ")")
                + (cap == null ? "" : " *" + Markdown.escaped(cap.seen()) + "*")
                + (answered.verdict().wouldChange().isEmpty()
                        ? ""
                        : " " + Markdown.escaped(answered.verdict().wouldChange())));
    }

    private void sections() {
        SectionMarkdown sections = new SectionMarkdown(text);
        for (Section section : told.findings().sections()) {
            Account account = section.account(told.record());
            if (!account.parts().isEmpty()) {
                sections.write(account, told.benchOf(section));
            }
        }
    }

    private void chapter(Chapter chapter) {
        text.heading(chapter.title());
        for (Chapter.Part part : chapter.parts()) {
            text.subheading(part.heading());
            if (!part.sentence().isEmpty()) {
                text.raw("**" + Markdown.escaped(part.sentence()) + "**");
            }
            text.bullets(part.lines());
        }
    }

    private void fair() {
        text.heading("Was it fair?");
        text.raw("**" + told.audit().grade().label() + "** "
                + Markdown.escaped(told.mark().words()));
        text.bullets(told.audit().faults().stream().map(ReportMarkdown::fault).toList());
    }

    private static String fault(Fault fault) {
        return (fault.grade() == Grade.SOUND ? "" : fault.grade().label() + ": ") + fault.seen()
                + (fault.pushes().isEmpty() ? "" : " " + fault.pushes()) + " Next time: " + fault.next();
    }

    private void money() {
        if (told.money().isPresent()) {
            MoneyPages.MoneyPage money = told.money().get();
            text.heading("Does it pay?");
            text.table(
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
            text.heading("Over the trials of this series");
            text.bullets(pooled.stream()
                    .map(one -> one.verdict().sentence() + " " + one.heterogeneity())
                    .toList());
        }
        if (!told.proposals().isEmpty()) {
            text.heading("What next?");
            text.bullets(told.proposals().stream()
                    .map((Proposal one) -> one.kind().label() + ": " + one.what() + " " + one.reason())
                    .toList());
        }
    }

    private void raw() {
        if (!page.raw().isEmpty()) {
            text.heading("Every unit");
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
            text.table(heads, rows);
        }
    }
}
