package elsom.web.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import org.junit.jupiter.api.Test;

class TriesTest {
    private final Tries tries = new Tries(3, Duration.ofMinutes(15));

    @Test
    void whoTriedTooOftenWaitsAndNobodyElseDoes() {
        for (int i = 0; i < 3; i++) {
            assertThat(tries.wait("Ida")).isEmpty();
            assertThat(tries.count("ida")).isEmpty();
        }
        assertThat(tries.wait("IDA"))
                .hasValueSatisfying(wait -> assertThat(wait).isPositive().isLessThanOrEqualTo(Duration.ofMinutes(5)));
        assertThat(tries.count("Ida")).isPresent();
        assertThat(tries.wait("Mo")).isEmpty();
    }

    @Test
    void oneThatWasRightForgetsTheOthers() {
        for (int i = 0; i < 3; i++) {
            tries.count("Ida");
        }
        tries.forget("Ida");
        assertThat(tries.wait("Ida")).isEmpty();
    }
}
