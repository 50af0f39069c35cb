/**
 * How a result tells itself, once: an {@link elsom.core.section.Account} of sentences, facts, tables with typed cells, what
 * its picture shows, and how it was worked out. The findings page, the report, Markdown, the spreadsheet and findings.json
 * render accounts and know no kind of trial. To add a kind of result, implement {@link elsom.core.section.Section}; for a
 * picture of a new kind add a {@link elsom.core.section.Chart} and the script that it names.
 */
@NullMarked
package elsom.core.section;

import org.jspecify.annotations.NullMarked;
