package elsom.web.findings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elsom.core.diagnosis.Cause;
import elsom.core.diagnosis.Likelihoods;
import elsom.web.platform.Settings;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The table of one's own is a file beside the store; a broken one keeps nothing from starting. */
class LikelihoodTableTest {
    @TempDir
    private Path home;

    private static String own() {
        return Likelihoods.SHIPPED.csv().lines().findFirst().orElseThrow() + "\ncupped,legume"
                + ",0.5".repeat(Cause.values().length) + ",mine\n";
    }

    @Test
    void withoutAFileItIsTheOneThatComesWithElsom() {
        LikelihoodTable table = new LikelihoodTable(new Settings(home, null, false, false, Set.of(), "", "test"));
        assertThat(table.own()).isFalse();
        assertThat(table.current()).isEqualTo(Likelihoods.SHIPPED);
    }

    @Test
    void anotherIsUsedAtOnceAndAfterARestart() {
        LikelihoodTable table = new LikelihoodTable(new Settings(home, null, false, false, Set.of(), "", "test"));
        AtomicInteger told = new AtomicInteger();
        table.onChange(told::incrementAndGet);
        table.replace(own());
        assertThat(table.own()).isTrue();
        assertThat(told).hasValue(1);
        assertThat(new LikelihoodTable(new Settings(home, null, false, false, Set.of(), "", "test"))
                        .current()
                        .rows())
                .hasSize(1);
        table.restore();
        assertThat(told).hasValue(2);
        assertThat(new LikelihoodTable(new Settings(home, null, false, false, Set.of(), "", "test")).own())
                .isFalse();
    }

    @Test
    void aRefusedOneLeavesWhatThereIs() {
        LikelihoodTable table = new LikelihoodTable(new Settings(home, null, false, false, Set.of(), "", "test"));
        table.replace(own());
        assertThatThrownBy(() -> table.replace("sign,plants\n")).hasMessageContaining("no column");
        assertThat(table.current().rows()).hasSize(1);
        assertThat(new LikelihoodTable(new Settings(home, null, false, false, Set.of(), "", "test"))
                        .current()
                        .rows())
                .hasSize(1);
    }

    @Test
    void aFileThatSomebodyBrokeIsNotUsed() throws IOException {
        Files.writeString(home.resolve("likelihoods.csv"), "not a table");
        assertThat(new LikelihoodTable(new Settings(home, null, false, false, Set.of(), "", "test")).current())
                .isEqualTo(Likelihoods.SHIPPED);
    }
}
