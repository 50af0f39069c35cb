package elsom.core.next;

import elsom.core.analysis.Answer;
import elsom.core.plan.FollowUp;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedLook;
import elsom.core.results.JudgedQuestion;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** An answer that still changed at the last look, looked at for twice as long. */
final class Longer implements Proposer {
    @Override
    public Optional<Proposal> after(Ended trial) {
        Optional<JudgedQuestion> moving =
                trial.questions().stream().filter(Longer::stillMoves).findFirst();
        List<PlannedLook> looks = trial.plan().schedule().looks();
        Duration length =
                looks.stream().map(PlannedLook::after).max(Duration::compareTo).orElse(Duration.ZERO);
        if (moving.isEmpty() || length.isZero() || looks.size() + 2 > PlannedLook.MOST) {
            return Optional.empty();
        }
        PlannedLook last = looks.stream()
                .filter(look -> look.after().equals(length))
                .findFirst()
                .orElseThrow();
        List<PlannedLook> more = new ArrayList<>(looks);
        for (int half = 3; half <= 4; half++) {
            Duration at = Duration.ofHours(length.toHours() * half / 2);
            more.add(new PlannedLook(named(at), at, last.endpoints()));
        }
        Plan again = trial.anew();
        Plan longer = again.with(again.schedule()
                .with(more, again.schedule().steps(), again.schedule().hours()));
        return Optional.of(Proposal.of(
                FollowUp.LONGER,
                "Looks at " + named(more.get(more.size() - 2).after()) + " and "
                        + named(more.get(more.size() - 1).after()) + " more.",
                moving.get().kind().label() + ": the answer changed at the last look, so it had not come to its end.",
                trial,
                longer,
                0.6));
    }

    private static boolean stillMoves(JudgedQuestion question) {
        List<JudgedQuestion.AtLook> course = question.overTime();
        if (course.size() < 2) {
            return false;
        }
        List<Answer> last = course.get(course.size() - 1).answers();
        return !last.equals(course.get(course.size() - 2).answers());
    }

    private static String named(Duration at) {
        return at.toHours() % 24 == 0 ? "day " + at.toDays() : at.toHours() + " h";
    }
}
