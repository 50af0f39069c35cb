package elsom.web.exchange;

import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * What a feature keeps of a trial beside the trial's own tables: it leaves with the trial's zip and comes back with it. A zip
 * without its tables is whole.
 */
public interface PackagePart {
    List<PackageTable> tables();

    /** The rows of one of its tables. */
    Stream<List<?>> rows(TrialRecord record, PackageTable table);

    /** Whether one of its tables tells what nobody is to know yet: it leaves sealed then. */
    default boolean secret(TrialRecord record, PackageTable table) {
        return false;
    }

    /**
     * Reads its tables, which are checked before anything is kept.
     *
     * @param record the trial that they came with, not yet numbered
     * @return keeps what was read under the trial's new number, once
     * @throws IllegalArgumentException in words, if rows do not fit each other or the trial
     */
    Consumer<TrialId> read(TrialRecord record, Rows rows);

    /** Rows of a zip; those that can't be read are noted and left out. */
    @FunctionalInterface
    interface Rows {
        <T> List<T> of(PackageTable table, Function<CsvTable.Row, T> make);
    }
}
