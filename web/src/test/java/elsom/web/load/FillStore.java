package elsom.web.load;

import elsom.core.plan.Asked;
import elsom.core.plan.Plan;
import elsom.core.trial.TrialId;
import elsom.web.ElsomApplication;
import elsom.web.GrowthPlan;
import elsom.web.exchange.PackedTrials;
import elsom.web.trial.Plans;
import elsom.web.trial.Trials;
import elsom.web.trial.WholeTrial;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;

/**
 * Fills a store for bin/bench: the large trial first, then many small ones, started, planned and due. Writes the zips that
 * are read in while it is measured. Arguments: folder of the store, folder for the zips, number of small trials.
 */
public final class FillStore {
    private FillStore() {}

    public static void main(String[] arguments) throws IOException {
        Path zips = Path.of(arguments[1]);
        Files.write(zips.resolve("36000.zip"), PackedTrials.packed(LargeTrials.measured(600, 20, 3)));
        Files.write(zips.resolve("200000.zip"), PackedTrials.packed(LargeTrials.measured(600, 85, 4)));
        try (ConfigurableApplicationContext app = SpringApplication.run(
                ElsomApplication.class, "--elsom.home=" + arguments[0], "--server.port=0", "--elsom.demo=false")) {
            Trials trials = app.getBean(Trials.class);
            Plans plans = app.getBean(Plans.class);
            trials.create(LargeTrials.measured(600, 20, 3), UUID.randomUUID());
            WholeTrial finished = LargeTrials.measured(12, 4, 1);
            for (int i = 0; i < Integer.parseInt(arguments[2]); i++) {
                if (i % 4 == 0) {
                    trials.create(finished, UUID.randomUUID());
                } else {
                    TrialId id = plans.begin(small(i), UUID.randomUUID());
                    if (i % 4 != 1) {
                        plans.start(id);
                    }
                }
            }
        }
    }

    private static Plan small(int number) {
        Plan plan = GrowthPlan.plan();
        return plan.with(new Asked(
                        "Trial " + number + ": does a dip help?",
                        "marigold",
                        List.of(),
                        plan.asked().measures()))
                .with(plan.schedule().startingTogether(Instant.now().minus(Duration.ofHours(number % 900))));
    }
}
