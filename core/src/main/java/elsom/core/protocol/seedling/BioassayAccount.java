package elsom.core.protocol.seedling;

import elsom.core.diagnosis.Diagnosis;
import elsom.core.diagnosis.Seen;
import elsom.core.section.Account;
import elsom.core.section.Cell;
import elsom.core.section.Column;
import elsom.core.section.Door;
import elsom.core.section.Part;
import elsom.core.section.Table;
import elsom.core.section.Tone;
import java.util.ArrayList;
import java.util.List;

/** Tells what hurts seedlings in a lot: the board of causes. */
final class BioassayAccount {
    private static final int MOST_SIGNS = 8;
    private static final int FEWEST_CAUSES = 3;

    private BioassayAccount() {}

    /** An account without parts where no cause is asked for. */
    static Account of(BioassayResult result) {
        Account.Builder account = Account.of("causes", "What hurts them in " + result.lot())
                .about(result.look().name());
        result.diagnosis()
                .ifPresent(found -> account.part(board(found))
                        .note(
                                "++ speaks strongly for it, + for, · says nothing, − against, −− strongly against. What was looked"
                                        + " for and not found speaks too.")
                        .note(
                                "Causes on the list are taken as equally likely beforehand, something else as more than twice so,"
                                        + " eaters, cold and old seed as half, since they strike the clean medium too. Signs go"
                                        + " together, so each counts a little less than one that spoke for itself (naive Bayes,"
                                        + " tempered): trust the order, not the distance. Two causes at once are named where they"
                                        + " explain what was seen eight times better than any one.")
                        .door(Door.LIKELIHOODS));
        return account.build();
    }

    private static Part board(Diagnosis found) {
        List<Seen> telling = found.telling(MOST_SIGNS);
        List<Diagnosis.Standing> all = found.standings();
        int open = Math.max(FEWEST_CAUSES, (int)
                all.stream().filter(standing -> !standing.ruledOut()).count());
        List<Column<Diagnosis.Standing>> columns = new ArrayList<>();
        columns.add(Column.cells(
                "Cause",
                standing ->
                        Cell.verdict(standing.cause().label(), tone(standing)).with(standing.word())));
        telling.forEach(seen -> columns.add(Column.cells(seen.words(), standing -> mark(standing.of(seen)))));
        Table board = Table.of(
                "board",
                "Causes, most likely first, with what each sign says of them",
                columns,
                all.subList(0, open),
                BioassayWording::sentence);
        if (open == all.size()) {
            return Part.of(board);
        }
        return Part.of(
                board,
                Table.of(
                                "ruled-out",
                                "All but ruled out",
                                List.of(
                                        Column.<Diagnosis.Standing>words(
                                                "Cause",
                                                standing -> standing.cause().label()),
                                        Column.words("Why", BioassayWording::sentence)),
                                all.subList(open, all.size()))
                        .folded());
    }

    private static Tone tone(Diagnosis.Standing standing) {
        return standing.named() ? Tone.WORSE : standing.ruledOut() ? Tone.SILENT : Tone.CANT_TELL;
    }

    private static Cell mark(Diagnosis.Weight weight) {
        return Cell.mark(
                weight.mark(),
                weight.words(),
                switch (weight) {
                    case STRONGLY_FOR, FOR -> Tone.FOR;
                    case SILENT -> Tone.SILENT;
                    case AGAINST, STRONGLY_AGAINST -> Tone.AGAINST;
                });
    }
}
