package elsom.core.protocol.seedling;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.diagnosis.Diagnosis;
import elsom.core.protocol.dose.DoseResult;
import elsom.core.results.Findings;
import org.junit.jupiter.api.Test;

/** The board speaks in words: what is for and against a cause, never a bare percentage, never a name of a firm. */
class BioassayWordingTest {
    private final ABioassay trial =
            ABioassay.of(ABioassay.SEEDLINGS, ABioassay.SHARES).scored(ABioassay::auxin);
    private final Diagnosis found = trial.lots().get(0).diagnosis().orElseThrow();

    @Test
    void everyCauseHasItsSentence() {
        assertThat(found.standings()).hasSize(16).allSatisfy(standing -> {
            String sentence = BioassayWording.sentence(standing);
            assertThat(sentence).endsWith(".").doesNotContain("%");
            assertThat(sentence.startsWith("For: ") || sentence.startsWith("Nothing speaks for it."))
                    .isTrue();
        });
        assertThat(BioassayWording.sentence(found.first()))
                .contains("cupped leaf in the legume")
                .contains("unharmed: grass");
    }

    @Test
    void howFarItCanBeHeldIsAWord() {
        assertThat(found.first().word()).isEqualTo("likely");
        assertThat(found.standings().get(11).word()).isEqualTo("all but ruled out");
        assertThat(found.standings()).isSortedAccordingTo((a, b) -> Double.compare(b.share(), a.share()));
        assertThat(found.standings().stream()
                        .mapToDouble(Diagnosis.Standing::share)
                        .sum())
                .isBetween(0.999999, 1.000001);
    }

    @Test
    void theColumnsAreTheSignsThatPartTheFirstCauses() {
        assertThat(found.telling(3))
                .hasSize(3)
                .anySatisfy(seen -> assertThat(seen.words()).isEqualTo("twisted stem or petiole in the legume"));
        assertThat(found.telling(3))
                .allSatisfy(seen -> assertThat(found.standings().subList(0, 3).stream()
                                .map(standing -> standing.of(seen))
                                .distinct()
                                .count())
                        .isGreaterThan(1));
    }

    @Test
    void aHarmlessLotIsNotAccused() {
        ABioassay clean =
                ABioassay.of(ABioassay.LOT).scored((treatment, days, replicate) -> String.valueOf(replicate % 2));
        Findings.Answered answer = clean.found().answers().get(0);
        assertThat(answer.verdict().sentence())
                .isEqualTo(
                        "Use it. GW-32 at day 21, lift roots: no injury of marigold was shown up to 100 %. Nothing here points"
                                + " to a contaminant: an injury of 2 points, the least that matters, would have been seen,"
                                + " and no marked symptom is commoner in the lot.");
        assertThat(answer.details()).isEmpty();
        assertThat(clean.found().sections(DoseResult.class)).isEmpty();
    }
}
