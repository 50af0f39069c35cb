package elsom.web.findings;

import elsom.core.results.Findings;
import elsom.core.section.Account;
import elsom.core.section.Cell;
import elsom.core.section.Chart;
import elsom.core.section.Column;
import elsom.core.section.Section;
import elsom.core.section.Table;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.Json;
import elsom.web.kit.Swatch;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** An account as pages show it: with the addresses that it leads to, and what scripts draw. */
public record SectionView(Section section, Account account, Links links) {
    /** Sections that one bench's page shows, in order; those with nothing to show are left out. */
    static List<SectionView> of(TrialRecord record, Findings findings, int bench) {
        Links links = new Links(record, findings.comparedAt(), bench);
        return findings.sections().stream()
                .filter(section -> section.bench().orElse(bench) == bench)
                .map(section -> new SectionView(section, section.account(record), links))
                .filter(view -> !view.account().parts().isEmpty())
                .toList();
    }

    boolean ofBench() {
        return section.bench().isPresent();
    }

    /** Where the result is put to use; null where nowhere. */
    public @Nullable String doorHref() {
        return account.way().map(this::href).orElse(null);
    }

    DrawnSection.@Nullable Door door() {
        return account.way()
                .map(way -> new DrawnSection.Door(way.door().label(), href(way)))
                .orElse(null);
    }

    private String href(Account.Way way) {
        return switch (way.door()) {
            case MIXING -> links.mixing(way.of());
            case BLENDING -> links.blending();
            case LIMING -> links.liming();
            case RESIDUE -> links.residue();
            case LIKELIHOODS -> "/likelihoods";
        };
    }

    /** The address of a number's working; null where it has none. */
    public @Nullable String workingHref(Cell cell) {
        return cell.worked()
                .map(worked -> links.working(worked.kind(), worked.group()))
                .orElse(null);
    }

    public Swatch swatch(Cell cell) {
        return Swatch.of(cell.treatment().orElseThrow());
    }

    /** Classes of a cell in a column. */
    public String css(Cell cell, Column.Heading heading) {
        return switch (cell.kind()) {
            case WORDS, TREATMENT, VERDICT -> heading.number() ? "num" : "";
            case NUMBER -> "num";
            case MARK -> "mark " + cell.tone().name().toLowerCase(Locale.ROOT);
        };
    }

    /** Whether pictures can be swapped for their numbers. */
    public boolean swaps() {
        return account.parts().stream()
                .anyMatch(part -> !part.placed(Table.Placing.PICTURED).isEmpty());
    }

    /** Whether its numbers lead to their working. */
    public boolean works() {
        return account.parts().stream().flatMap(part -> part.tables().stream()).anyMatch(Table::works);
    }

    /** Its first picture; empty where it has none. */
    Optional<DrawnSection.Picture> picture() {
        return account.parts().stream()
                .flatMap(part -> part.chart().stream())
                .filter(chart -> !chart.blank())
                .findFirst()
                .map(chart -> new DrawnSection.Picture(chart.script(), data(chart)));
    }

    /** What its script draws. */
    public String data(Chart chart) {
        return Json.of(chart);
    }
}
