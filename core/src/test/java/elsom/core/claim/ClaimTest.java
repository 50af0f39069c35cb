package elsom.core.claim;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.claim.Checked.Outcome;
import elsom.core.stats.Summary;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Thirty claims as people word them, with what the numbers say of each. */
class ClaimTest {
    private static Checked named(String claim, String numbers) {
        Map<String, ClaimedGroup> groups = ClaimedGroup.several(numbers).orElseThrow();
        return Checked.of(
                ClaimCase.of(claim, "", "", new ArrayList<>(groups.keySet()), 0), new ArrayList<>(groups.values()));
    }

    private static ClaimCase said(String claim) {
        return ClaimCase.of(claim, "", "", List.of(), 0);
    }

    private static Checked checked(String claim, String first, String other) {
        return Checked.of(
                said(claim),
                List.of(
                        ClaimedGroup.read(first).orElseThrow(),
                        ClaimedGroup.read(other).orElseThrow()));
    }

    @ParameterizedTest(name = "{0} | {1} | {2} is {3}")
    @CsvSource(
            delimiter = '|',
            value = {
                "30 % more than usual practice|15.0 ± 1.0 n 8|10.0 ± 1.0 n 8|SUPPORTED",
                "30 % more than usual practice|13.0 ± 1.0 n 8|10.0 ± 1.0 n 8|CANT_TELL",
                "30 % more than usual practice|10.4 ± 1.0 n 8|10.0 ± 1.0 n 8|NOT_SUPPORTED",
                "30 % less runoff|6.0 ± 0.6 n 10|10.0 ± 0.6 n 10|SUPPORTED",
                "30 % less runoff|13.0 ± 0.6 n 10|10.0 ± 0.6 n 10|NOT_SUPPORTED",
                "kelp raises yield by 20 percent|14.0 ± 0.8 n 9|10.0 ± 0.8 n 9|SUPPORTED",
                "kelp raises yield by 50 percent|12.0 ± 0.8 n 9|10.0 ± 0.8 n 9|NOT_SUPPORTED",
                "it cuts damping off by 50 %|3.0 ± 0.9 n 9|10.0 ± 0.9 n 9|SUPPORTED",
                "twice the roots|24 ± 2 n 8|10.0 ± 1 n 8|SUPPORTED",
                "twice the roots|13 ± 2 n 8|10.0 ± 1 n 8|NOT_SUPPORTED",
                "doubles the harvest|22.7 22.4 23.1 22.2|10.2 9.6 10.4 9.9|SUPPORTED",
                "doubles the harvest|22,7 22,4 23,1 22,2|10.2; 9.6; 10.4; 9.9|SUPPORTED",
                "half the weight|4.1 ± 0.5 n 8|10 ± 0.5 n 8|SUPPORTED",
                "threefold leaves|34 ± 2 n 8|10 ± 0.5 n 8|SUPPORTED",
                "2.5 times as heavy|29 ± 2 n 8|10 ± 0.5 n 8|SUPPORTED",
                "A beats B|12.4 ± 1.1 n 8|9.8 ± 1.2 n 8|SUPPORTED",
                "A beats B|10.4 ± 2.1 n 4|9.8 ± 2.2 n 4|CANT_TELL",
                "A beats B|8.4 ± 0.5 n 8|9.8 ± 0.5 n 8|NOT_SUPPORTED",
                "A is better than B|12 13 12 14|9 8 9 10|SUPPORTED",
                "compost is worse than peat-free mix|7.0 ± 0.8 n 8|9.8 ± 0.9 n 8|SUPPORTED",
                "wood fibre is as good as bark|11.1 ± 0.3 n 20|10.0 ± 0.3 n 20|SUPPORTED",
                "wood fibre is as good as bark|10.1 ± 3 n 4|10.0 ± 3 n 4|CANT_TELL",
                "wood fibre is as good as bark|6 ± 1 n 8|10.0 ± 1 n 8|NOT_SUPPORTED",
                "no better than none|12.6 ± 1.0 n 8|10.0 ± 1.0 n 8|NOT_SUPPORTED",
                "not better|12.6 ± 1.0 n 8|10.0 ± 1.0 n 8|NOT_SUPPORTED",
                "no more than none|12.6 ± 1.0 n 8|10.0 ± 1.0 n 8|NOT_SUPPORTED",
                "at least as good as none|12.6 ± 1.0 n 8|10.0 ± 1.0 n 8|SUPPORTED",
                "half as much again|18 ± 1.0 n 8|10.0 ± 1.0 n 8|SUPPORTED",
                "three quarters more|12.6 ± 1.0 n 8|10.0 ± 1.0 n 8|NOT_SUPPORTED",
                "+35 %|15 ± 1.0 n 8|10.0 ± 0.5 n 8|SUPPORTED",
                "100 g more|12.6 ± 1.0 n 8|10.0 ± 1.0 n 8|CANT_BE_READ",
                "the same as none|10.1 ± 0.3 n 20|10.0 ± 0.3 n 20|CANT_BE_READ",
                "1 % is safe|10.0 ± 0.2 n 24|10.0 ± 0.2 n 24|CANT_BE_READ",
                "3 times more|40 ± 1 n 8|10 ± 1 n 8|CANT_BE_READ",
                "it is amazing|14 ± 1 n 8|10 ± 1 n 8|CANT_BE_READ",
                "50 % more come up|38 of 40|14 of 40|SUPPORTED",
                "50 % more come up|7 of 10|6 of 10|CANT_TELL",
                "30 % more from the best plants|best 5 of 40: 14.2|10 ± 2 n 40|NOT_TESTABLE",
                "30 % more|14.2|10.9|NOT_TESTABLE",
                "30 % more come up|3 of 10|0 of 10|NOT_TESTABLE",
                "30 % more|14 ± 1 n 8|7 of 10|NOT_TESTABLE"
            })
    void aClaimIsHeldAgainstItsNumbers(String claim, String first, String other, Outcome outcome) {
        Checked checked = checked(claim, first, other);
        assertThat(checked.outcome()).as(checked.sentence()).isEqualTo(outcome);
        assertThat(checked.sentence()).isNotBlank();
        if (outcome != Outcome.SUPPORTED && outcome != Outcome.NOT_SUPPORTED) {
            assertThat(checked.test()).isNotBlank();
        }
    }

    /** Fieller by hand: 12 and 10, sd 1 each of 4; t(6) 2.4469, g 0.014969; (0.2 + g ∓ …)/(1 − g) · 100. */
    @Test
    void theIntervalIsFiellers() {
        Checked checked = checked("20 % more", "12 ± 1 n 4", "10 ± 1 n 4");
        double t = 2.446911851;
        double g = t * t * 0.25 / 100;
        double middle = 1.2 / (1 - g);
        double half = t / (1 - g) / 10 * Math.sqrt(0.25 + 1.44 * 0.25 - g * 0.25);
        assertThat(checked.percent().orElseThrow()).isCloseTo(20, within(1e-9));
        assertThat(checked.percent95().orElseThrow().low()).isCloseTo(100 * (middle - half - 1), within(1e-5));
        assertThat(checked.percent95().orElseThrow().high()).isCloseTo(100 * (middle + half - 1), within(1e-5));
    }

    /** Katz by hand: 0.9 / 0.6, error √(1/36 − 1/40 + 1/24 − 1/40) = 0.13944; points after Newcombe 11.1 to 46.5. */
    @Test
    void theIntervalOfTwoSharesIsKatzsAndThatOfPointsNewcombes() {
        Checked checked = checked("50 % more come up", "36 of 40", "24 of 40");
        assertThat(checked.percent().orElseThrow()).isCloseTo(50, within(1e-9));
        assertThat(checked.percent95().orElseThrow().low()).isCloseTo(14.1292267, within(1e-6));
        assertThat(checked.percent95().orElseThrow().high()).isCloseTo(97.1449439, within(1e-6));
        assertThat(checked.remarks())
                .contains(
                        "From 60 % to 90 % is +30 points (95 % interval +11 to +47), and that in percent of the other: "
                                + "percent of percent sounds like more.");
    }

    /** What is told of a claim that stands, could stand, or does not, in both directions. */
    @ParameterizedTest(name = "{0} | {1} | {2}: {3}")
    @CsvSource(
            delimiter = '|',
            value = {
                "30 % more|16.0 ± 1.0 n 8|10.0 ± 1.0 n 8|at least 130 % of the other|all of that is within",
                "30 % more|13.0 ± 1.0 n 8|10.0 ± 1.0 n 8|at least 130 % of the other|some of that is within",
                "80 % more|13.0 ± 1.0 n 8|10.0 ± 1.0 n 8|at least 180 % of the other|none of that is within",
                "80 % less|7.0 ± 0.4 n 8|10.0 ± 0.4 n 8|at most 20 % of the other|none of that is within",
                "A beats B|12.4 ± 1.1 n 8|9.8 ± 1.2 n 8|more than the other|all of that is within",
                "A is no better than B|8.4 ± 0.5 n 8|9.8 ± 0.5 n 8|no more than the other|all of that is within",
                "A is as good as B|14 ± 1 n 8|10.0 ± 1 n 8|no less than the other|all of that is within"
            })
    void whatItIsReadAsIsSaidBackWithHowMuchOfTheIntervalIsWithin(
            String claim, String first, String other, String read, String says) {
        assertThat(checked(claim, first, other).read()).isEqualTo(read);
        assertThat(checked(claim, first, other).sentence()).startsWith("It is ").contains("): " + says);
    }

    @Test
    void figuresWithoutScatterSayWhatTheyDifferByAndThatItMayBeChance() {
        assertThat(checked("30 % more", "14.2", "10").remarks())
                .containsExactly(
                        "The two figures differ by +42 %, but of one unit or a bare mean nobody can say how much of"
                                + " that is chance.");
        assertThat(checked("30 % more", "14.2", "0").remarks())
                .anyMatch(remark -> remark.contains("same kind of numbers"));
        assertThat(checked("30 % more", "14 ± 1 n 8", "7 of 10").remarks())
                .anyMatch(remark -> remark.contains("same kind of numbers"));
        assertThat(checked("30 % more", "12 ± 0 n 4", "10 ± 0 n 4").outcome()).isEqualTo(Outcome.NOT_TESTABLE);
        assertThat(checked("30 % more come up", "0 of 10", "3 of 10").test()).contains("−30 points");
    }

    /** Blom's five best of 40 stand 1.59 of 2.0 above a mean of 10: 31.8 % by choosing alone. */
    /** What is said back; words that are left over, or may be two things, are asked about. */
    @ParameterizedTest(name = "{0} is {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "Kelp outyields water by at least 15 %|ratio >= 1.15",
                "Kelp trays are 10 g heavier than water trays|difference >= 10 g",
                "Kelp doesn't beat water|difference <= 0",
                "Kelp is not as good as water|difference < 0",
                "Kelp halves the yield against water|ratio <= 0.5",
                "Kelp gives half as much as water|ratio <= 0.5",
                "Kelp gives one and a half times the mass of water|ratio >= 1.5",
                "Kelp differs from water by no more than 10 %|ratio in [0.9, 1.1]",
                "Kelp and water differ|difference != 0",
                "Kelp gives more than 10 % more than water|ratio > 1.1",
                "Kelp falls 5 g short of water|difference <= -5 g",
                "Kelp isn't 20 % better than water|ratio < 1.2",
                "Water gives 20 % less than kelp|ratio >= 1.25",
                "Water gives 25 % more|ratio <= 0.8",
                "Against kelp, water gives 25 % more|ratio <= 0.8",
                "Against water, kelp gives 25 % more|ratio >= 1.25",
                "Water is the best|difference < 0",
                "Kelp gives between 10 g and 20 g more than water|difference in [10 g, 20 g]",
                "Kelp gives 12,5 g more than water|difference >= 12.5 g",
                "More than twice the mass with kelp than with water|ratio > 2",
                "kelp < water|order: water > kelp",
                "Kelp gives 1,250 g more than water|ask: a comma before three figures: thousands or decimals?",
                "Kelp gives 20 % more or less than water|ask: which of the two?",
                "Kelp is better than water in spring|ask: “spring” is left unread",
                "Kelp is heavier than water and cheaper|ask: “cheaper” is left unread",
                "Kelp plants are taller than water plants|ask: another measure than the one here: “taller”",
                "Kelp is safe|ask: no comparison that figures could decide"
            },
            quoteCharacter = '~')
    void othersOfTheKind(String claim, String says) {
        assertThat(ClaimCase.of(claim, "fresh mass a tray, more is better", "g", List.of("kelp", "water"), 0)
                        .meant()
                        .says())
                .isEqualTo(says);
    }

    @Test
    void theBestOfSeveralMustBeTheOneItIsAbout() {
        List<String> three = List.of("kelp", "water", "comfrey");
        assertThat(ClaimCase.of("Kelp is the best of the three", "", "g", three, 0)
                        .meant()
                        .says())
                .isEqualTo("each: difference > 0");
        assertThat(ClaimCase.of("Comfrey is the best of the three", "", "g", three, 0)
                        .meant())
                .isInstanceOf(Meant.Asked.class);
        assertThat(ClaimCase.of("Kelp is the best of the four", "", "g", three, 0)
                        .meant())
                .isInstanceOf(Meant.Asked.class);
    }

    @Test
    void whatChoosingAloneDoesIsWorkedOutInPercent() {
        assertThat(Checked.liftOfBest(5, 40)).isCloseTo(1.5912669, within(1e-7));
        assertThat(checked("the best plants are 30 % more", "best 5 of 40: 14.2", "10 ± 2 n 40")
                        .remarks())
                .containsExactly(
                        "The best 5 of 40 of the very same plants would stand 1.6 standard deviations above their"
                                + " mean: here about +32 %, by choosing alone.");
        assertThat(checked("the best plants are 30 % more", "best 5 of 40: 14.2", "-1 0 1")
                        .remarks())
                .containsExactly(
                        "The best 5 of 40 of the very same plants would stand 1.6 standard deviations above their"
                                + " mean.");
    }

    /** Mean and standard deviation of the values that stand for "12.4 ± 2.1" are these, for even and odd numbers. */
    @ParameterizedTest
    @CsvSource({"2", "5", "8"})
    void valuesWithExactlyThatScatter(int n) {
        ClaimedGroup.Measured group =
                (ClaimedGroup.Measured) ClaimedGroup.read("12.4 ± 2.1 n " + n).orElseThrow();
        double[] values =
                group.group().values().stream().mapToDouble(Double::doubleValue).toArray();
        assertThat(values).hasSize(n);
        assertThat(Summary.of(values).mean()).isCloseTo(12.4, within(1e-12));
        assertThat(Summary.of(values).sd().orElseThrow()).isCloseTo(2.1, within(1e-12));
    }

    @Test
    void theEdgesOfWhatCanBeRead() {
        assertThat(ClaimedGroup.read("12.4 ± 2.1 n 1")).contains(new ClaimedGroup.Bare(12.4));
        assertThat(ClaimedGroup.read("12.4 ± 2.1 n 0")).isEmpty();
        assertThat(ClaimedGroup.read("10 of 10")).isPresent();
        assertThat(ClaimedGroup.read("0 of 10")).isPresent();
        assertThat(ClaimedGroup.read("best 4 of 4")).isPresent();
        assertThat(ClaimedGroup.read("best 0 of 4")).isEmpty();
        assertThat(Outcome.SUPPORTED.label()).isEqualTo("supported");
        assertThat(Outcome.NOT_TESTABLE.label()).isEqualTo("not testable from this");
    }

    /** Blom's scores of 1 of 1 are 0, of the best 1 of 10 about 1.54 (Harter 1961: 1.5388). */
    @Test
    void theBestOfManyStandAboveAllByChoosingAlone() {
        assertThat(Checked.liftOfBest(1, 1)).isZero();
        assertThat(Checked.liftOfBest(1, 10)).isCloseTo(1.5388, within(0.02));
        assertThat(checked("the best plants are 30 % more", "best 5 of 40: 14.2", "10 ± 2 n 40")
                        .remarks())
                .anyMatch(remark -> remark.contains("by choosing alone"));
    }

    @Test
    void percentOfPercentAndTimesMoreAreTold() {
        assertThat(checked("50 % more come up", "36 of 40", "24 of 40").remarks())
                .anyMatch(remark -> remark.contains("+30 points"));
        assertThat(checked("3 times more", "3 ± 1 n 8", "1 ± 0.2 n 8").sentence())
                .contains("3 times as much, or that much more");
    }

    /** 30 g from 12 plants beside 24 g from 8: a quarter more a tray, and a sixth less a plant. */
    @Test
    void unlikeSpacingIsWorkedOut() {
        ClaimedGroup first = ClaimedGroup.read("30 ± 1 n 8").orElseThrow();
        ClaimedGroup other = ClaimedGroup.read("24 ± 1 n 8").orElseThrow();
        Checked alike = Checked.per(said("20 % more"), List.of(first, other), List.of(12.0, 8.0));
        assertThat(alike.outcome()).isEqualTo(Outcome.NOT_SUPPORTED);
        assertThat(alike.percent().orElseThrow()).isCloseTo(-100 / 6.0, within(1e-9));
        assertThat(alike.remarks()).anyMatch(remark -> remark.contains("12 and 8") && remark.contains("+25 %"));
        assertThat(Checked.per(said("20 % more"), List.of(first, other), List.of(8.0, 8.0))
                        .outcome())
                .isEqualTo(Outcome.SUPPORTED);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "kelp > nettle > none|kelp: 14 ± 1 n 8; nettle: 12 ± 1 n 8; none: 9 ± 1 n 8|SUPPORTED|Each step",
                "kelp > nettle > none|kelp: 14 ± 1 n 8; nettle: 9.2 ± 1 n 8; none: 9 ± 1 n 8|CANT_TELL|Not every",
                "Kelp > None|kelp: 14 ± 1 n 8; nettle: 9 ± 1 n 8|CANT_BE_READ|some name in this order",
            })
    void anOrderStandsWhenEachIsAboveTheNext(String claim, String numbers, Outcome outcome, String says) {
        Checked checked = named(claim, numbers);
        assertThat(checked.outcome()).isEqualTo(outcome);
        assertThat(checked.sentence()).contains(says);
    }

    @Test
    void aRankThatSlippedIsTold() {
        Checked slipped = named("kelp > nettle > none", "kelp: 14 ± 1 n 8; none: 12 ± 1 n 8; nettle: 9 ± 1 n 8");
        assertThat(slipped.outcome()).isEqualTo(Outcome.NOT_SUPPORTED);
        assertThat(slipped.remarks().get(0)).contains("kelp (14), none (12), nettle (9). A place has slipped");
        assertThat(ClaimedGroup.several("kelp 14")).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"about ten", "11 of 10", "5 of 0", "best 9 of 4", "12 ± x n 3"})
    void whatAreNoNumbersIsNotRead(String text) {
        assertThat(ClaimedGroup.read(text)).isEmpty();
    }
}
