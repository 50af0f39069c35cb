package elsom.web.report;

import elsom.core.section.Account;
import elsom.core.section.Cell;
import elsom.core.section.Column;
import elsom.core.section.Fact;
import elsom.core.section.Part;
import elsom.core.section.Table;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Accounts as Markdown. */
final class SectionMarkdown {
    private final Markdown text;

    SectionMarkdown(Markdown text) {
        this.text = text;
    }

    /**
     * Writes an account.
     *
     * @param where the bench's name where there are several; may be empty
     */
    void write(Account account, String where) {
        text.subheading(account.title()
                + (where.isEmpty() ? "" : ", " + where)
                + (account.about().isEmpty() ? "" : " · " + account.about()));
        account.sentences().forEach(text::paragraph);
        account.parts().forEach(this::part);
        account.notes().forEach(text::paragraph);
        account.cautions().forEach(caution -> text.paragraph("Caution. " + caution));
        method(account.method());
    }

    private void method(Account.Method method) {
        if (!method.name().isEmpty() || !method.lines().isEmpty()) {
            text.bullets(Stream.concat(Stream.of(method.name()), method.lines().stream())
                    .filter(line -> !line.isEmpty())
                    .toList());
        }
    }

    private void part(Part part) {
        if (!part.name().isEmpty()) {
            text.strong(part.name());
        }
        if (part.standings().size() == 1) {
            standing(part.standings().get(0));
        } else if (!part.standings().isEmpty()) {
            standings(part.standings());
        }
        part.tables().forEach(this::table);
        part.notes().forEach(text::paragraph);
    }

    private void standing(Part.Standing standing) {
        text.bullets(standing.facts().stream()
                .map(fact -> named(fact) + ": " + shown(fact.value())
                        + (fact.remark().isEmpty() ? "" : ". " + fact.remark()))
                .toList());
        if (!standing.note().isEmpty()) {
            text.paragraph(standing.note());
        }
    }

    /** A row for each fact, a column for each look. */
    private void standings(List<Part.Standing> standings) {
        List<String> heads = new ArrayList<>(List.of(""));
        standings.forEach(standing -> heads.add(standing.at()));
        List<Fact> facts = standings.get(0).facts();
        text.table(
                heads,
                IntStream.range(0, facts.size())
                        .mapToObj(i -> {
                            List<String> row = new ArrayList<>(List.of(named(facts.get(i))));
                            standings.forEach(standing ->
                                    row.add(shown(standing.facts().get(i).value())));
                            return row;
                        })
                        .toList());
        text.bullets(standings.stream()
                .map(standing -> standing.at() + ": " + standing.note())
                .toList());
    }

    private static String named(Fact fact) {
        return fact.label() + (fact.term().isEmpty() ? "" : " (" + fact.term() + ")");
    }

    private void table(Table table) {
        text.strong(table.title());
        List<String> heads = new ArrayList<>(
                table.headings().stream().map(SectionMarkdown::heading).toList());
        if (table.talks()) {
            heads.add("");
        }
        text.table(
                heads,
                table.rows().stream()
                        .map(row -> {
                            List<String> cells = new ArrayList<>(row.cells().stream()
                                    .map(SectionMarkdown::shown)
                                    .toList());
                            if (table.talks()) {
                                cells.add(row.said());
                            }
                            return cells;
                        })
                        .toList());
    }

    private static String heading(Column.Heading heading) {
        return Stream.of(heading.name(), heading.note(), heading.unit())
                .filter(part -> !part.isEmpty())
                .reduce((a, b) -> a + ", " + b)
                .orElse("");
    }

    private static String shown(Cell cell) {
        return switch (cell.kind()) {
            case WORDS, NUMBER, TREATMENT -> (cell.shown() + " " + cell.small()).strip();
            case VERDICT -> cell.shown() + (cell.small().isEmpty() ? "" : " (" + cell.small() + ")");
            case MARK -> cell.shown();
        };
    }
}
