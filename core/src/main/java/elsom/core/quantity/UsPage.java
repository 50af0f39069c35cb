package elsom.core.quantity;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Puts US measures into a page as it goes by, tag by tag: into sentences, and into the cells of tables whose heading names
 * the unit ("Depth, cm", or a unit in an element of its own). Drawings, scripts and what a form sends are left alone.
 */
public final class UsPage {
    private static final Pattern TAG = Pattern.compile("<(/?)([a-zA-Z][a-zA-Z0-9]*)?([^>]*)>");
    private static final Pattern SPAN = Pattern.compile("colspan=\"(\\d{1,2})\"");
    private static final Pattern NAMED = Pattern.compile(".*, ([^ ]{1,2})");

    private final Deque<Table> tables = new ArrayDeque<>();
    private int quiet;

    /** A table that is going by: the unit of each column, as its headings said. */
    private static final class Table {
        private final List<Optional<UnitOfMeasure>> columns = new ArrayList<>();
        private final List<String> heading = new ArrayList<>();
        private boolean head;
        private int column = -1;
        private int span = 1;

        void open(String element, int columnSpan) {
            switch (element) {
                case "thead" -> head = true;
                case "tr" -> {
                    column = -1;
                    span = 1;
                    if (head) {
                        columns.clear();
                    }
                }
                case "th", "td" -> {
                    column += span;
                    span = columnSpan;
                    heading.clear();
                }
                default -> {}
            }
        }

        void close(String element) {
            if (element.equals("thead")) {
                head = false;
            } else if (head && (element.equals("th") || element.equals("td"))) {
                Optional<UnitOfMeasure> unit = headed();
                for (int i = 0; i < span; i++) {
                    columns.add(unit);
                }
            }
        }

        private Optional<UnitOfMeasure> headed() {
            if (heading.isEmpty()) {
                return Optional.empty();
            }
            String last = heading.get(heading.size() - 1);
            Matcher named = NAMED.matcher(last);
            return heading.size() > 1 && UsGloss.unit(last).isPresent()
                    ? UsGloss.unit(last)
                    : named.matches() ? UsGloss.unit(named.group(1)) : Optional.empty();
        }

        String text(String text) {
            if (head) {
                if (!text.isBlank()) {
                    heading.add(text.strip());
                }
                return text;
            }
            return column >= 0 && column < columns.size()
                    ? columns.get(column)
                            .map(unit -> UsGloss.underHeading(text, unit))
                            .orElse(text)
                    : text;
        }
    }

    /**
     * An element begins.
     *
     * @param columnSpan of a table's cell; 1 for everything else
     */
    public void open(String element, int columnSpan) {
        if (leavesAlone(element)) {
            quiet++;
        } else if (element.equals("table")) {
            tables.push(new Table());
        } else if (!tables.isEmpty()) {
            tables.peek().open(element, columnSpan);
        }
    }

    /** An element ends. */
    public void close(String element) {
        if (leavesAlone(element)) {
            quiet = Math.max(0, quiet - 1);
        } else if (element.equals("table")) {
            tables.poll();
        } else if (!tables.isEmpty()) {
            tables.peek().close(element);
        }
    }

    /** Text between tags, with US measures beside metric ones. */
    public String text(String text) {
        if (quiet > 0) {
            return text;
        }
        String inCell = tables.isEmpty() ? text : tables.peek().text(text);
        return inCell.equals(text) ? UsGloss.of(text) : inCell;
    }

    /** A piece of HTML, with all its tags. */
    public String html(String html) {
        if (html.indexOf('<') < 0) {
            return text(html);
        }
        StringBuilder glossed = new StringBuilder();
        Matcher tag = TAG.matcher(html);
        int from = 0;
        while (tag.find()) {
            glossed.append(text(html.substring(from, tag.start()))).append(tag.group());
            from = tag.end();
            tag(tag);
        }
        return glossed.append(text(html.substring(from))).toString();
    }

    private void tag(Matcher tag) {
        String element = String.valueOf(tag.group(2));
        if (!tag.group(1).isEmpty()) {
            close(element);
        } else if (!tag.group(3).endsWith("/")) {
            open(element, columnSpan(tag.group(3)));
        }
    }

    /** How many columns a cell with these attributes covers. */
    private static int columnSpan(String attributes) {
        Matcher span = SPAN.matcher(attributes);
        return span.find() ? Integer.parseInt(span.group(1)) : 1;
    }

    /** Elements whose text is no sentence: drawings, scripts, and what a form sends. */
    private static boolean leavesAlone(String element) {
        return switch (element) {
            case "svg", "script", "style", "textarea", "option", "title", "code", "kbd" -> true;
            default -> false;
        };
    }
}
