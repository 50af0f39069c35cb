package elsom.core.stats;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class CompactLettersTest {
    private static boolean[][] all(int groups) {
        boolean[][] alike = new boolean[groups][groups];
        Arrays.stream(alike).forEach(row -> Arrays.fill(row, true));
        return alike;
    }

    @Test
    void sixtyGroupsThatAreAllAlikeShareALetterAtOnce() {
        List<Double> means = Collections.nCopies(60, 1.0);
        assertThat(CompactLetters.of(means, all(60))).containsOnly("a");
    }

    /** Two groups share a letter exactly when they are alike, for whatever is alike to what. */
    @Test
    void lettersSayNeitherMoreNorLess() {
        SplittableRandom random = new SplittableRandom(7);
        for (int trial = 0; trial < 200; trial++) {
            int k = 2 + random.nextInt(8);
            boolean[][] alike = all(k);
            for (int i = 0; i < k; i++) {
                for (int j = 0; j < i; j++) {
                    alike[i][j] = random.nextDouble() < 0.6;
                    alike[j][i] = alike[i][j];
                }
            }
            List<String> letters = CompactLetters.of(
                    IntStream.range(0, k).mapToObj(i -> random.nextDouble()).toList(), alike);
            for (int i = 0; i < k; i++) {
                for (int j = 0; j < i; j++) {
                    String other = letters.get(j);
                    boolean shared = letters.get(i).chars().anyMatch(c -> other.indexOf(c) >= 0);
                    assertThat(shared).isEqualTo(alike[i][j]);
                }
            }
        }
    }
}
