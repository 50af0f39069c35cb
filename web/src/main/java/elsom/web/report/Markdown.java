package elsom.web.report;

import java.util.List;

/** Text as Markdown: what its own marks would be is escaped. */
final class Markdown {
    private final StringBuilder text = new StringBuilder();

    void title(String words) {
        raw("# " + escaped(words));
    }

    void heading(String words) {
        raw("## " + escaped(words));
    }

    void subheading(String words) {
        raw("### " + escaped(words));
    }

    void paragraph(String words) {
        raw(escaped(words));
    }

    void strong(String words) {
        raw("**" + escaped(words) + "**");
    }

    /** Lines that are Markdown already. */
    void raw(String lines) {
        text.append(lines).append("\n\n");
    }

    void bullets(List<String> lines) {
        if (!lines.isEmpty()) {
            lines.forEach(one -> text.append("- ").append(escaped(one)).append('\n'));
            text.append('\n');
        }
    }

    void table(List<String> heads, List<List<String>> rows) {
        row(heads.stream().map(Markdown::escaped).toList());
        row(heads.stream().map(head -> "---").toList());
        rows.forEach(cells -> row(cells.stream().map(Markdown::escaped).toList()));
        text.append('\n');
    }

    private void row(List<String> cells) {
        text.append('|');
        cells.forEach(cell -> text.append(' ').append(cell).append(" |"));
        text.append('\n');
    }

    static String escaped(String words) {
        return words.replaceAll("([\\\\`*_\\[\\]<>|#])", "\\\\$1").replace('\n', ' ');
    }

    @Override
    public String toString() {
        return text.toString();
    }
}
