package elsom.web.plan;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.plan.Plan;
import elsom.core.trial.TrialId;
import elsom.web.AppTest;
import elsom.web.shelf.Containers;
import elsom.web.trial.Plans;
import elsom.web.trial.TrialLists;
import elsom.web.trial.Wanted;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.context.TestPropertySource;

/** Whoever opens a part of a demo plan and saves it untouched has the same plan. */
@AppTest
@TestPropertySource(properties = "elsom.demo=true")
class DemoFormsIT {
    @Autowired
    private TrialLists lists;

    @Autowired
    private Plans plans;

    @Autowired
    private Containers containers;

    /** Dates are typed to the minute; the demo's lie at whatever second it was made. */
    private static String toTheMinute(Plan plan) {
        return plan.toString().replaceAll(":[0-9]{2}(?:\\.[0-9]+)?Z", "Z");
    }

    @Test
    void everyPartOfEveryDemoPlanIsSavedUnchanged() {
        List<TrialId> demo = lists.search(Wanted.of(""), 0, 40).trials().stream()
                .map(one -> one.id())
                .toList();
        assertThat(demo).hasSizeGreaterThan(10);
        for (TrialId id : demo) {
            Plan plan = plans.plan(id);
            for (PartOfForm part : List.of(
                    new QuestionPart(),
                    new TreatmentsPart(TreatmentsPart.offered(plan, containers.all())),
                    new SizePart(),
                    new BenchPart(),
                    new DatesPart())) {
                Problems problems = new Problems();
                Plan back = part.read(part.of(plan), plan, problems);
                String what = part.getClass().getSimpleName() + " of “" + plan.question() + "”";
                assertThat(problems.all()).as(what).isEmpty();
                assertThat(toTheMinute(back)).as(what).isEqualTo(toTheMinute(plan));
            }
        }
    }
}
