package elsom.web.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

class SealTest {
    private static final byte[] KEY = "K34 got the bag".getBytes(StandardCharsets.UTF_8);

    private static Seal seal(int of) {
        byte[] secret = new byte[Seal.SECRET_BYTES];
        Arrays.fill(secret, (byte) of);
        return new Seal(secret);
    }

    @Test
    void itOpensWhatItShutAndNothingElseDoes() {
        byte[] shut = seal(1).shut(KEY);
        assertThat(new String(shut, StandardCharsets.ISO_8859_1))
                .doesNotContain("K34")
                .doesNotContain("bag");
        assertThat(seal(1).open(shut)).hasValue(KEY);
        assertThat(seal(2).open(shut)).isEmpty();
        assertThat(seal(1).shut(KEY)).as("no two alike").isNotEqualTo(shut);
    }

    @Test
    void whatWasChangedDoesNotOpen() {
        byte[] shut = seal(1).shut(KEY);
        shut[shut.length - 3] ^= 1;
        assertThat(seal(1).open(shut)).isEmpty();
    }

    @Test
    void aKeyOfAnotherElsomIsToldToBeOne() {
        byte[] sealed = SealedKey.seal(Map.of("units.csv", KEY), seal(1));
        List<BadRow> problems = new ArrayList<>();
        assertThat(SealedKey.open(sealed, Set.of("units.csv"), problems, seal(2)))
                .isEmpty();
        assertThat(problems)
                .singleElement()
                .satisfies(problem -> assertThat(problem.reason()).contains("another Elsom"));
        assertThat(SealedKey.open(sealed, Set.of("units.csv"), new ArrayList<>(), seal(1)))
                .containsEntry("units.csv", KEY);
    }

    @Test
    void whatDoesNotBelongThereIsRefused() {
        byte[] sealed = SealedKey.seal(Map.of("other.csv", KEY), seal(1));
        List<BadRow> problems = new ArrayList<>();
        SealedKey.open(sealed, Set.of("units.csv"), problems, seal(1));
        assertThat(problems).isNotEmpty();
    }
}
