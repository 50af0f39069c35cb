package elsom.core.stats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.stats.TimeShift.Block;
import elsom.core.stats.TimeShift.Span;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class TimeShiftTest {
    private static final double FIVE_PERCENT = 0.05;
    private static final int TRIALS = 2_000;

    private static List<Span> at(double... times) {
        return Arrays.stream(times).mapToObj(Span::at).toList();
    }

    @Test
    void oneUnitEachInSixBlocksIsTheSignInterval() {
        double[] later = {1, 2, 3, 4, 5, 7};
        List<Block> blocks = IntStream.range(0, later.length)
                .mapToObj(block -> new Block(at(100 * block), at(100 * block + later[block])))
                .toList();
        TimeShift shift = TimeShift.of(blocks, FIVE_PERCENT);
        assertThat(shift.pairs()).isEqualTo(6);
        assertThat(shift.level()).hasValueCloseTo(1 - 2 / 64.0, within(1e-12));
        assertThat(shift.interval()).isEqualTo(new Interval(1, 7));
        assertThat(shift.shift()).hasValueCloseTo(3.5, within(1e-12));
        assertThat(shift.later()).isTrue();
        assertThat(TimeShift.of(blocks.subList(0, 5), FIVE_PERCENT).order())
                .as("five signs can't reach 95 %")
                .isZero();
    }

    @Test
    void theSumOverBlocksIsCountedByEveryWayOfGivingOut() {
        List<Block> blocks =
                List.of(new Block(at(1, 4, 9), at(2, 3)), new Block(at(7, 8), at(5, 6)), new Block(at(3), at(1, 2)));
        // All ranks that two of five, two of four and two of three can take: 10 * 6 * 3 ways.
        int[] sums = new int[13];
        for (int a : statistics(5)) {
            for (int b : statistics(4)) {
                for (int c : statistics(3)) {
                    sums[a + b + c]++;
                }
            }
        }
        double all = 10 * 6 * 3;
        for (double alpha : new double[] {0.05, 0.1, 0.2, 0.5}) {
            int order = 0;
            int below = 0;
            while ((below + sums[order]) / all <= alpha / 2) {
                below += sums[order++];
            }
            TimeShift shift = TimeShift.of(blocks, alpha);
            assertThat(shift.order()).as("at %s", alpha).isEqualTo(order);
            if (order > 0) {
                assertThat(shift.level()).hasValueCloseTo(1 - 2 * below / all, within(1e-12));
            }
        }
    }

    /** Wilcoxon's statistic of each two of so many. */
    private static List<Integer> statistics(int of) {
        List<Integer> all = new ArrayList<>();
        for (int i = 1; i <= of; i++) {
            for (int j = i + 1; j <= of; j++) {
                all.add(i + j - 3);
            }
        }
        return all;
    }

    @Test
    void blocksThatDifferByWeeksLeaveAShiftOfDays() {
        List<Block> blocks = List.of(
                new Block(at(10, 11), at(12.5, 13)),
                new Block(at(30, 31), at(32, 33.5)),
                new Block(at(50, 51.5), at(53, 54)));
        TimeShift within = TimeShift.of(blocks, FIVE_PERCENT);
        assertThat(within.later()).isTrue();
        assertThat(within.high().getAsDouble() - within.low().getAsDouble()).isLessThan(4);
        TimeShift left = TimeShift.of(
                blocks.stream().flatMap(block -> block.first().stream()).toList(),
                blocks.stream().flatMap(block -> block.second().stream()).toList(),
                FIVE_PERCENT);
        assertThat(left.later()).isFalse();
        assertThat(left.high().getAsDouble() - left.low().getAsDouble()).isGreaterThan(40);
    }

    @Test
    void whatTheNextLookFoundCameLaterAlthoughTheSpansTouch() {
        Span early = new Span(7, 9);
        Span late = new Span(9, 11);
        TimeShift shift = TimeShift.of(List.of(early, early, early, early), List.of(late, late, late, late), 0.05);
        assertThat(shift.interval()).isEqualTo(new Interval(0, 4));
        assertThat(shift.later()).isTrue();
        TimeShift same = TimeShift.of(List.of(early, early, early, early), List.of(early, early, late, late), 0.05);
        assertThat(same.later()).isFalse();
        assertThat(same.low()).hasValue(-2);
    }

    @Test
    void looksEveryOtherDayInBlocksKeepTheirWord() {
        Random random = new Random(21);
        int outside = 0;
        int told = 0;
        for (int trial = 0; trial < TRIALS; trial++) {
            List<Block> blocks = IntStream.range(0, 4)
                    .mapToObj(block -> {
                        double level = 12 + 6 * random.nextGaussian();
                        return new Block(looked(random, level, 3), looked(random, level, 3));
                    })
                    .toList();
            TimeShift shift = TimeShift.of(blocks, FIVE_PERCENT);
            outside += shift.interval().low() > 0 || shift.interval().high() < 0 ? 1 : 0;
            told += shift.later() || shift.sooner() ? 1 : 0;
        }
        assertThat(outside / (double) TRIALS).isLessThan(0.05);
        assertThat(told / (double) TRIALS).isLessThan(0.06);
    }

    private static List<Span> looked(Random random, double level, int units) {
        return IntStream.range(0, units)
                .mapToObj(unit -> {
                    double look = 2 * Math.ceil((30 + level + 2 * random.nextGaussian()) / 2);
                    return look > 50 ? Span.notYet(50) : new Span(look - 2, look);
                })
                .toList();
    }
}
