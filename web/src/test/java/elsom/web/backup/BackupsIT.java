package elsom.web.backup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elsom.core.trial.TrialId;
import elsom.web.ElsomApplication;
import elsom.web.GrowthPlan;
import elsom.web.trial.Plans;
import elsom.web.trial.TrialLists;
import elsom.web.trial.Trials;
import elsom.web.trial.Wanted;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;

/** A copy made while Elsom runs is put back whole, and nothing else is. */
class BackupsIT {
    @TempDir
    private Path home;

    private ConfigurableApplicationContext start(String... more) {
        List<String> arguments =
                new ArrayList<>(List.of("--elsom.home=" + home, "--server.port=0", "--elsom.warm=false"));
        arguments.addAll(List.of(more));
        return new SpringApplicationBuilder(ElsomApplication.class).run(arguments.toArray(String[]::new));
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
        assertThat(Restore.check(home, copy)).contains("opens: 1 trial, 0 readings. Nothing was changed.");
        assertThat(Restore.from(home, copy)).contains("1 trial,");
        try (ConfigurableApplicationContext app = start()) {
            assertThat(app.getBean(TrialLists.class)
                            .search(Wanted.of(""), 0, 10)
                            .inAll())
                    .isEqualTo(1);
            assertThat(app.getBean(Trials.class).snapshot(kept).trial().question())
                    .isEqualTo(GrowthPlan.plan().question());
        }
    }

    private List<Path> aside() throws IOException {
        try (Stream<Path> files = Files.list(home)) {
            return files.filter(file -> file.getFileName().toString().startsWith("elsom-before-restore-"))
                    .sorted()
                    .toList();
        }
    }

    /** The wrong one first: what the first restore put aside is there still after the second. */
    @Test
    void aSecondRestoreTakesNothingFromTheFirst() throws Exception {
        Path one;
        Path two;
        try (ConfigurableApplicationContext app = start()) {
            app.getBean(Plans.class).begin(GrowthPlan.plan(), UUID.randomUUID());
            one = Files.move(app.getBean(Backups.class).make(), home.resolve("one.zip"));
            app.getBean(Plans.class).begin(GrowthPlan.plan(), UUID.randomUUID());
            two = Files.move(app.getBean(Backups.class).make(), home.resolve("two.zip"));
            app.getBean(Plans.class).begin(GrowthPlan.plan(), UUID.randomUUID());
        }
        assertThat(Restore.from(home, one)).contains("1 trial,").doesNotContain("earlier");
        assertThat(Restore.from(home, two)).contains("2 trials,").contains("Put aside earlier and still there: ");
        assertThat(aside()).hasSize(2);
        Files.copy(aside().get(0), home.resolve("elsom.mv.db"), java.nio.file.StandardCopyOption.REPLACE_EXISTING);
        try (ConfigurableApplicationContext app = start()) {
            assertThat(app.getBean(TrialLists.class)
                            .search(Wanted.of(""), 0, 10)
                            .inAll())
                    .isEqualTo(3);
        }
    }

    /** A laptop used for minutes has its copy when it stops, what broke off is cleared away, and its age is known. */
    @Test
    void whatIsUsedForMinutesHasItsCopyAtTheStop() throws Exception {
        Path backups = Files.createDirectories(home.resolve("backups"));
        Files.writeString(backups.resolve("elsom-2026-01-01.zip.part"), "broken off");
        try (ConfigurableApplicationContext app = start()) {
            assertThat(app.getBean(Backups.class).age()).isEmpty();
            app.getBean(Plans.class).begin(GrowthPlan.plan(), UUID.randomUUID());
        }
        assertThat(Backups.of(backups)).hasSize(1);
        assertThat(Restore.check(home, Backups.of(backups).get(0))).contains("1 trial,");
        try (Stream<Path> files = Files.list(backups)) {
            assertThat(files).noneMatch(file -> file.toString().endsWith(".part"));
        }
        try (ConfigurableApplicationContext app = start()) {
            assertThat(app.getBean(Backups.class).age().orElseThrow()).isLessThan(Duration.ofMinutes(5));
        }
    }

    /** A stick that is not plugged in is told, and gets the newest copy as soon as it is. */
    @Test
    void aSecondFolderHasTheNewestCopyOnceItIsThere() throws Exception {
        Path stick = home.resolve("stick");
        try (ConfigurableApplicationContext app = start("--elsom.backups=" + stick)) {
            app.getBean(Plans.class).begin(GrowthPlan.plan(), UUID.randomUUID());
            Backups backups = app.getBean(Backups.class);
            Path copy = backups.make();
            assertThat(backups.second().orElseThrow().there()).isFalse();
            Files.createDirectories(stick);
            assertThat(backups.second().orElseThrow().age()).isEmpty();
            backups.daily();
            assertThat(stick.resolve(copy.getFileName())).hasSameBinaryContentAs(copy);
            assertThat(backups.second().orElseThrow().age().orElseThrow()).isLessThan(Duration.ofMinutes(5));
            Files.writeString(stick.resolve(copy.getFileName()), "torn");
            backups.daily();
            assertThat(Restore.check(home, stick.resolve(copy.getFileName()))).contains("1 trial,");
        }
    }

    @Test
    void aStoreOfANewerElsomAnEmptyAndADamagedOneAreRefusedInWords() throws Exception {
        try (ConfigurableApplicationContext app = start()) {
            app.getBean(Plans.class).begin(GrowthPlan.plan(), UUID.randomUUID());
        }
        Path store = home.resolve("elsom.mv.db");
        byte[] good = Files.readAllBytes(store);
        try (Connection connection = DriverManager.getConnection("jdbc:h2:file:" + home.resolve("elsom"), "elsom", "");
                Statement sql = connection.createStatement()) {
            sql.execute(
                    "insert into \"flyway_schema_history\" select 999, '999', \"description\", \"type\", \"script\","
                            + " \"checksum\", \"installed_by\", \"installed_on\", \"execution_time\", \"success\" from"
                            + " \"flyway_schema_history\" where \"installed_rank\" = 1");
        }
        assertThatThrownBy(this::start).hasMessageContaining("was written by a newer Elsom");
        Files.write(store, new byte[0]);
        assertThatThrownBy(this::start).hasMessageContaining("is empty");
        byte[] torn = good.clone();
        java.util.Arrays.fill(torn, 0, torn.length - 10, (byte) 7);
        Files.write(store, torn);
        assertThatThrownBy(this::start).hasMessageContaining("is damaged");
        Restore.from(home, Backups.of(home.resolve("backups")).get(0));
        try (ConfigurableApplicationContext app = start()) {
            assertThat(app.getBean(TrialLists.class)
                            .search(Wanted.of(""), 0, 10)
                            .inAll())
                    .isEqualTo(1);
        }
    }
}
