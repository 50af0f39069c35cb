package elsom.web.exchange;

import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.trial.Trials;
import elsom.web.trial.WholeTrial;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** All that features keep of a trial, out and in. */
@Component
class PackageParts {
    private final List<PackagePart> parts;
    private final Trials trials;

    PackageParts(List<PackagePart> parts, Trials trials) {
        this.parts = parts;
        this.trials = trials;
    }

    /**
     * A table that has rows.
     *
     * @param secret whether nobody is to know yet what it tells
     */
    record Filled(PackageTable table, List<List<?>> rows, boolean secret) {}

    /** Paths that a zip may hold. */
    Set<String> paths() {
        return parts.stream()
                .flatMap(part -> part.tables().stream())
                .map(PackageTable::path)
                .collect(Collectors.toUnmodifiableSet());
    }

    /** The tables that have rows for a trial. */
    List<Filled> of(TrialRecord record) {
        List<Filled> filled = new ArrayList<>();
        for (PackagePart part : parts) {
            for (PackageTable table : part.tables()) {
                List<List<?>> rows = part.rows(record, table).collect(Collectors.toList());
                if (!rows.isEmpty()) {
                    filled.add(new Filled(table, rows, part.secret(record, table)));
                }
            }
        }
        return filled;
    }

    /**
     * Reads what came with a trial; problems are added to the list.
     *
     * @return what keeps it under the trial's number
     */
    List<Consumer<TrialId>> read(Map<String, byte[]> files, TrialRecord record, List<BadRow> problems) {
        List<Consumer<TrialId>> keeping = new ArrayList<>();
        PackagePart.Rows rows = new PackagePart.Rows() {
            @Override
            public <T> List<T> of(PackageTable table, Function<CsvTable.Row, T> make) {
                byte[] bytes = files.get(table.path());
                return bytes == null
                        ? List.of()
                        : CsvTable.of(table.path(), bytes, table.requiredNames(), problems)
                                .map(make);
            }
        };
        for (PackagePart part : parts) {
            try {
                keeping.add(part.read(record, rows));
            } catch (IllegalArgumentException unfit) {
                problems.add(
                        new BadRow(part.tables().get(0).path(), 0, "It does not fit the trial: " + unfit.getMessage()));
            }
        }
        return keeping;
    }

    /** Creates a trial with all that came with it, once for its token: all or nothing. */
    @Transactional
    public TrialId create(WholeTrial whole, List<Consumer<TrialId>> keeping, UUID token) {
        TrialId id = trials.create(whole, token);
        keeping.forEach(keep -> keep.accept(id));
        return id;
    }
}
