package elsom.web;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.trial.Trials;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Objects;
import java.util.stream.IntStream;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;

/**
 * A store of each schema that was ever released, as the Elsom of that day wrote it with its demo, opens in this one: not a
 * reading is another, and every trial can be read. The files are {@code stores/V1.zip} and so on, of a compacted store.
 */
class ReleasedStoresIT {
    @TempDir
    private Path home;

    private void unpack(int version) throws Exception {
        try (InputStream file = Objects.requireNonNull(
                        ReleasedStoresIT.class.getResourceAsStream("/stores/V" + version + ".zip"));
                ZipInputStream zip = new ZipInputStream(file)) {
            zip.getNextEntry();
            Files.copy(zip, home.resolve("elsom.mv.db"));
        }
    }

    /** All of them where all is run; the first, one in the middle and the last where a developer waits. */
    static IntStream released() {
        return Boolean.getBoolean("elsom.whole") ? IntStream.rangeClosed(1, 20) : IntStream.of(1, 9, 20);
    }

    @ParameterizedTest
    @MethodSource("released")
    void aStoreOfEveryReleaseOpens(int version) throws Exception {
        unpack(version);
        assertThat(StoreFile.in(home).rows("select max(cast(\"version\" as integer)) from \"flyway_schema_history\""))
                .containsExactly(String.valueOf(version));
        List<String> before = StoreFile.in(home).readings();
        List<String> trials = StoreFile.in(home).rows("select id, question from trial order by id");
        try (ConfigurableApplicationContext app = new SpringApplicationBuilder(ElsomApplication.class)
                .run("--elsom.home=" + home, "--server.port=0", "--elsom.warm=false")) {
            Web web = new Web(
                    Integer.parseInt(Objects.requireNonNull(app.getEnvironment().getProperty("local.server.port"))));
            for (String line : trials) {
                TrialId id = new TrialId(Long.parseLong(line.substring(0, line.indexOf('|'))));
                TrialRecord record = app.getBean(Trials.class).snapshot(id);
                assertThat(line).endsWith(record.trial().question());
            }
            for (String page :
                    List.of("/", "/trials", "/shelf", "/trials/1/findings", "/trials/1/plan", "/trials/1/trial.zip")) {
                assertThat(web.get(page).statusCode()).as(page).isEqualTo(200);
            }
        }
        assertThat(StoreFile.in(home).readings()).isNotEmpty().isEqualTo(before);
    }
}
