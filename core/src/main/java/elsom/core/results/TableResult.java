package elsom.core.results;

import elsom.core.section.Account;
import elsom.core.section.Part;
import elsom.core.section.Section;
import elsom.core.section.Table;
import elsom.core.trial.Look;
import elsom.core.trial.TrialRecord;
import java.util.List;

/**
 * Numbers that need no picture.
 *
 * @param table a row for each treatment
 * @param remarks how they were worked out, and where their classes come from
 */
public record TableResult(String title, Look look, Table table, List<String> remarks) implements Section {
    public TableResult {
        remarks = List.copyOf(remarks);
    }

    @Override
    public Account account(TrialRecord record) {
        return Account.of(table.key(), title)
                .about(look.name())
                .part(Part.of(table))
                .notes(remarks)
                .build();
    }
}
