package elsom.core.next;

import elsom.core.analysis.Answer;
import elsom.core.analysis.Comparison;
import elsom.core.plan.Arrangement;
import elsom.core.plan.FollowUp;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What could not be told, with as many units as would; what is settled leaves its room to the rest. An interval narrows with
 * the root of the units.
 */
final class Sharper implements Proposer {
    @Override
    public Optional<Proposal> after(Ended trial) {
        List<Comparison> open = trial.comparisons().stream()
                .filter(c -> c.answer() == Answer.CANT_TELL)
                .toList();
        if (open.isEmpty()) {
            return Optional.empty();
        }
        Set<Integer> settled = trial.told();
        int now = trial.plan().arrangement().replicates();
        int all = trial.plan().treatments().size();
        int left = all - settled.size();
        int sameRoom = now * all / Math.max(1, left);
        int wanted = open.stream()
                .flatMapToInt(c -> c.unitsThatWouldTell().stream())
                .max()
                .orElse(2 * now);
        int units =
                Math.min(Arrangement.MOST_REPLICATES, Math.max(Math.max(sameRoom, Math.min(wanted, 4 * now)), now + 1));
        if (left < 2 || units <= now || now < 2) {
            return Optional.empty();
        }
        String dropped = settled.isEmpty()
                ? ""
                : " without " + settled.stream().map(trial::name).collect(Collectors.joining(", "));
        double narrowing = 1 - Math.sqrt(now / (double) units);
        return Optional.of(Proposal.of(
                FollowUp.SHARPER,
                units + " units of each instead of " + now + dropped + ".",
                open.size() + (open.size() == 1 ? " comparison" : " comparisons") + " could not be told; "
                        + (units >= wanted
                                ? "that many likely would, by the scatter seen here."
                                : wanted
                                        + " would likely tell, which is more than four times as many: this narrows it by "
                                        + Math.round(100 * narrowing) + " %."),
                trial,
                trial.anew(settled, units),
                narrowing));
    }
}
