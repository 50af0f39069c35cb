package elsom.core.protocol.seedling;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.diagnosis.Cause;
import elsom.core.diagnosis.Diagnosis;
import elsom.core.diagnosis.Likelihoods;
import elsom.core.diagnosis.Seen;
import elsom.core.diagnosis.Sign;
import java.io.IOException;
import java.io.StringReader;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What counts as seen in a trial, and what was not looked for. */
class LotSignsTest {
    private static List<Seen> seen(ABioassay trial) {
        return trial.lots().get(0).diagnosis().orElseThrow().first().reasons().stream()
                .map(Diagnosis.Reason::seen)
                .toList();
    }

    private static Optional<Boolean> said(ABioassay trial, Sign sign) {
        return seen(trial).stream()
                .filter(one -> one.sign() == sign)
                .map(Seen::present)
                .findFirst();
    }

    private static String harmed(String treatment, String marks) {
        return ABioassay.share(treatment) > 0 ? "7 " + marks : "0";
    }

    /** A little scatter, so that there is something to judge by. */
    private static String plain(String treatment, double days, int replicate) {
        return (ABioassay.share(treatment) > 0 ? 6 + replicate % 2 : replicate % 2) + " ";
    }

    private static ABioassay.Eye with(String marks, int fewestReplicates) {
        return (treatment, days, replicate) -> {
            String number = plain(treatment, days, replicate).strip();
            return ABioassay.share(treatment) > 0 && replicate <= fewestReplicates ? number + " " + marks : number;
        };
    }

    @ParameterizedTest
    @CsvSource({"4, true", "2, true", "1, false"})
    void aLotShowsWhatHalfOfItsPotsShow(int pots, boolean present) {
        ABioassay trial = ABioassay.of(ABioassay.LOT).scored(with("burnt", pots));
        assertThat(said(trial, Sign.BURNT)).contains(present);
    }

    @Test
    void whatTheCleanPotsShowTooIsNotTheLots() {
        ABioassay trial = ABioassay.of(ABioassay.LOT)
                .scored((treatment, days, replicate) ->
                        plain(treatment, days, replicate).strip() + " yellow");
        assertThat(said(trial, Sign.YELLOW)).isNotEqualTo(Optional.of(true));
    }

    @Test
    void whereNobodyWroteASymptomNoneIsAbsent() {
        ABioassay trial = ABioassay.of(ABioassay.LOT)
                .scored((treatment, days, replicate) ->
                        plain(treatment, days, replicate).strip());
        assertThat(said(trial, Sign.BURNT)).isEmpty();
        assertThat(said(trial, Sign.STUNTED)).isEmpty();
    }

    @Test
    void rootsAreUnharmedOnlyWhereSomebodyLooked() {
        ABioassay unlifted = ABioassay.of(ABioassay.LOT).scored(with("stunted", 4));
        assertThat(said(unlifted, Sign.STUBBY_ROOTS)).isEmpty();
        ABioassay lifted =
                ABioassay.of(ABioassay.LOT).scored(with("stunted", 4)).read("roots", name -> 8);
        assertThat(said(lifted, Sign.STUBBY_ROOTS)).contains(false);
        ABioassay seen = ABioassay.of(ABioassay.LOT).scored(with("stubby roots", 4));
        assertThat(said(seen, Sign.STUBBY_ROOTS)).contains(true);
    }

    @Test
    void metersSpeakByTheirMeanInTheNeatest() {
        ABioassay salty = ABioassay.of(ABioassay.LOT)
                .scored(with("burnt, stunted", 4))
                .read("ec", name -> ABioassay.share(name) > 0 ? 6.2 : 1.1)
                .read("ph", name -> 6.4);
        assertThat(said(salty, Sign.HIGH_EC)).contains(true);
        assertThat(said(salty, Sign.LOW_PH)).contains(false);
        assertThat(said(salty, Sign.HIGH_PH)).contains(false);
        assertThat(salty.lots().get(0).diagnosis().orElseThrow().first().cause())
                .isEqualTo(Cause.SALTS);
        ABioassay unmeasured = ABioassay.of(ABioassay.LOT).scored(with("burnt, stunted", 4));
        assertThat(said(unmeasured, Sign.HIGH_EC)).isEmpty();
    }

    @Test
    void sourIsLowPh() {
        ABioassay sour = ABioassay.of(ABioassay.LOT)
                .scored(with("purple, stunted", 4))
                .read("ph", name -> ABioassay.share(name) > 0 ? 4.2 : 6.2);
        assertThat(said(sour, Sign.LOW_PH)).contains(true);
        assertThat(sour.lots().get(0).diagnosis().orElseThrow().first().cause()).isEqualTo(Cause.LOW_PH);
    }

    @Test
    void severityIsGraded() {
        ABioassay mild = ABioassay.of(ABioassay.LOT).scored(with("yellow", 4));
        ABioassay dead = ABioassay.of(ABioassay.LOT)
                .scored((treatment, days, replicate) ->
                        harmed(treatment, "yellow").replace("7", "10"));
        assertThat(said(dead, Sign.SEVERE)).contains(true);
        assertThat(mild.lots().get(0).diagnosis().orElseThrow().first().reasons())
                .extracting(Diagnosis.Reason::seen)
                .filteredOn(seen -> seen.sign() == Sign.SEVERE)
                .singleElement()
                .satisfies(seen -> assertThat(seen.degree()).isStrictlyBetween(0.0, 1.0));
    }

    @Test
    void injuryThatComesLateIsSaid() {
        ABioassay late = ABioassay.of(ABioassay.LOT)
                .scored((treatment, days, replicate) -> days < 12
                        ? String.valueOf(replicate % 2)
                        : harmed(treatment, "cupped").replace("7", String.valueOf(6 + replicate % 2)));
        assertThat(said(late, Sign.LATE)).contains(true);
        ABioassay soon = ABioassay.of(ABioassay.LOT).scored(with("cupped", 4));
        assertThat(said(soon, Sign.LATE)).contains(false);
    }

    @Test
    void thinningHelpsWhereHalfOfTheHarmIsGone() {
        ABioassay falls = ABioassay.of(ABioassay.SHARES).scored(ABioassay::auxin);
        assertThat(said(falls, Sign.DILUTION)).contains(true);
        ABioassay stays = ABioassay.of(ABioassay.SHARES).scored(with("collapsed", 4));
        assertThat(said(stays, Sign.DILUTION)).contains(false);
        ABioassay one = ABioassay.of(ABioassay.LOT).scored(with("collapsed", 4));
        assertThat(said(one, Sign.DILUTION)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "with charcoal, CHARCOAL",
        "leached, LEACHING",
        "aired, AIRING",
        "with nitrogen, NITROGEN",
        "limed, LIME"
    })
    void aPairSpeaksOfItsRemedy(String level, Sign sign) {
        ABioassay helped = ABioassay.of(ABioassay.LOT, ABioassay.pair(level))
                .scored((treatment, days, replicate) -> treatment.contains(level)
                        ? String.valueOf(replicate % 2)
                        : plain(treatment, days, replicate).strip());
        assertThat(said(helped, sign)).contains(true);
        ABioassay stayed = ABioassay.of(ABioassay.LOT, ABioassay.pair(level))
                .scored((treatment, days, replicate) ->
                        plain(treatment, days, replicate).strip());
        assertThat(said(stayed, sign)).contains(false);
    }

    /** The board is worked out by the table that is in use. */
    @Test
    void anotherTableGivesAnotherBoard() throws IOException {
        String own = Likelihoods.SHIPPED.csv().lines().findFirst().orElseThrow() + "\ninjured,all"
                + ",0.5".repeat(Cause.values().length) + ",mine\n";
        ABioassay trial = ABioassay.of(ABioassay.SEEDLINGS, ABioassay.SHARES).scored(ABioassay::auxin);
        BioassayResult result = trial.foundAt(4, Likelihoods.parse(new StringReader(own)))
                .sections(BioassayResult.class)
                .get(0);
        assertThat(result.injurious()).isTrue();
        assertThat(result.contaminant()).isEmpty();
        assertThat(trial.lots().get(0).contaminant()).contains(Cause.AUXIN);
    }
}
