package elsom.web.backup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elsom.core.trial.TrialId;
import elsom.web.ElsomApplication;
import elsom.web.GrowthPlan;
import elsom.web.trial.Plans;
import elsom.web.trial.TrialLists;
import elsom.web.trial.Trials;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;

/** A copy made while Elsom runs is put back whole, and nothing else is. */
class BackupsIT {
    @TempDir
    private Path home;

    private ConfigurableApplicationContext start() {
        return new SpringApplicationBuilder(ElsomApplication.class)
                .run("--elsom.home=" + home, "--server.port=0", "--elsom.warm=false");
    }

    @Test
    void whatWasThereAtTheBackupIsThereAgain() throws Exception {
        Path copy;
        TrialId kept;
        try (ConfigurableApplicationContext app = start()) {
            kept = app.getBean(Plans.class).begin(GrowthPlan.plan(), UUID.randomUUID());
            for (int day = 1; day < 20; day++) {
                Path old = home.resolve("backups").resolve("elsom-2020-01-%02d.zip".formatted(day));
                Files.createDirectories(old.getParent());
                Files.writeString(old, "old");
            }
            Backups backups = app.getBean(Backups.class);
            copy = backups.make();
            assertThat(backups.latest()).contains(copy);
            assertThat(copy.getFileName().toString()).contains(LocalDate.now().toString());
            assertThat(Backups.of(home.resolve("backups"))).hasSize(Backups.KEPT);
            app.getBean(Plans.class).begin(GrowthPlan.plan(), UUID.randomUUID());
            assertThatThrownBy(() -> Restore.from(home, copy)).hasMessageContaining("Stop it first");
        }
        Path none = Files.writeString(home.resolve("none.zip"), "no zip");
        assertThatThrownBy(() -> Restore.from(home, none))
                .isInstanceOf(IOException.class)
                .hasMessageContaining("no backup of a store");
        assertThat(Restore.from(home, copy)).contains("1 trial.");
        try (ConfigurableApplicationContext app = start()) {
            assertThat(app.getBean(TrialLists.class).search("", 0, 10).inAll()).isEqualTo(1);
            assertThat(app.getBean(Trials.class).snapshot(kept).trial().question())
                    .isEqualTo(GrowthPlan.plan().question());
        }
    }
}
