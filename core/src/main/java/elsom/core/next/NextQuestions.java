package elsom.core.next;

import elsom.core.plan.Asked;
import elsom.core.plan.Hypothesis;
import elsom.core.plan.Plan;
import elsom.core.plan.Question;
import elsom.core.plan.Stated;
import java.util.List;

/** Questions of a plan whose treatments are others now: each of all beside the control, once an endpoint and direction. */
final class NextQuestions {
    private NextQuestions() {}

    /** What it states, of treatments and at the newest look: levels and looks are others now. */
    private static Hypothesis anew(Question q) {
        Hypothesis stated = q.hypothesis();
        return new Hypothesis(stated.claim(), null, stated.figure(), 0, stated.place());
    }

    static Asked ofAll(Plan plan) {
        Asked asked = plan.asked();
        List<Question> all = asked.questions().stream()
                .map(q -> new Question(
                        List.of(),
                        0,
                        q.endpoint(),
                        q.direction(),
                        q.matters(),
                        q.inPercent(),
                        Stated.BEFORE_START,
                        anew(q)))
                .distinct()
                .toList();
        return new Asked(asked.question(), asked.crop(), all, asked.measures());
    }
}
