package elsom.core.results;

import elsom.core.section.Account;
import elsom.core.section.Cell;
import elsom.core.section.Column;
import elsom.core.section.Part;
import elsom.core.section.Section;
import elsom.core.section.Table;
import elsom.core.trial.TrialRecord;
import java.util.List;

/**
 * How alike stations scored the same units.
 *
 * @param rows one for each endpoint, look and second station
 * @param remarks how it was worked out, and what follows from it
 */
public record AgreementResult(List<Row> rows, List<String> remarks) implements Section {
    /**
     * Two stations at a look.
     *
     * @param n units that both scored
     * @param kappa weighted
     * @param intraclass correlation
     * @param difference the second's mean less the first's, or why nothing can be told
     */
    public record Row(
            String endpoint, String look, String stations, int n, Cell kappa, Cell intraclass, Cell difference) {}

    public AgreementResult {
        rows = List.copyOf(rows);
        remarks = List.copyOf(remarks);
    }

    @Override
    public Account account(TrialRecord record) {
        return Account.of("agreement", "Do two stations score alike?")
                .part(Part.of(Table.of(
                        "agreement",
                        "Agreement of stations",
                        List.of(
                                Column.<Row>words("Scored", row -> row.endpoint() + ", " + row.look()),
                                Column.words("By", Row::stations),
                                Column.numbers("Units", row -> Cell.count(row.n())),
                                Column.numbers("Weighted κ (95 %)", Row::kappa),
                                Column.numbers("ICC (95 %)", Row::intraclass),
                                Column.numbers("Second less first", Row::difference)),
                        rows)))
                .notes(remarks)
                .build();
    }
}
