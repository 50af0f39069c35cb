package elsom.web.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SecretsTest {
    @ParameterizedTest
    @ValueSource(
            strings = {"", "short", "elevenchars", "aaaaaaaaaaaaaaaa", "Ida and her four words", "my Elsom password"})
    void whatIsGuessedFirstIsNoPassword(String password) {
        assertThat(Secrets.problem(password, "Ida")).isPresent();
    }

    @Test
    void aPasswordIsKeptAsAHashThatNamesItsMethod() {
        String hash = Secrets.hash("four words without belonging");
        assertThat(hash).startsWith("{bcrypt}$2a$12$").doesNotContain("words");
        assertThat(Secrets.matches("four words without belonging", Optional.of(hash)))
                .isTrue();
        assertThat(Secrets.matches("four words without belongin", Optional.of(hash)))
                .isFalse();
        assertThat(Secrets.matches("nobody has this one", Optional.empty())).isFalse();
    }

    @Test
    void noMoreThanBcryptReads() {
        assertThat(Secrets.problem("abcdefghijkl".repeat(6), "Ida")).isEmpty();
        assertThat(Secrets.problem("abcdefghijkl".repeat(6) + "m", "Ida")).isPresent();
        assertThat(Secrets.problem("äöüßéèêëçñøå".repeat(4), "Ida")).isPresent();
    }

    @ParameterizedTest
    @ValueSource(strings = {"1234", "0000", "7890", "4321", "123", "123456789", "12a4", ""})
    void whatIsGuessedFirstIsNoPin(String pin) {
        assertThat(Secrets.pinProblem(pin)).isPresent();
    }

    @Test
    void aPinOfFourDigitsOutOfLine() {
        assertThat(Secrets.pinProblem("4071")).isEmpty();
    }
}
