package elsom.core.chain;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.Simulations;
import elsom.core.analysis.Answer;
import elsom.core.audit.Grade;
import elsom.core.figure.FigureKind;
import elsom.core.plan.Direction;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.stats.Summary;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** How often trials of a series together claim a difference where on average there is none, and hold the true one. */
class PooledErrorsTest {
    private static final int SERIES = 4000;
    private static final int UNITS = 6;
    private static final double SCATTER = 0.15;

    /** @param apart scatter of true effects between trials, on the log scale: 0.1 is as much as units make of a trial's own */
    private static Pooled drawn(SplittableRandom random, int trials, double effect, double apart) {
        return Pooled.of(
                "kelp",
                "none",
                Direction.HIGHER,
                IntStream.range(0, trials)
                        .mapToObj(i -> repeat(random, i, Math.exp(effect + apart * random.nextGaussian())))
                        .toList());
    }

    private static Repeat repeat(SplittableRandom random, int at, double ratio) {
        return new Repeat(
                new Repeat.Key("fresh-mass", "kelp", "none"),
                at + 1,
                "Does kelp help?",
                ZonedDateTime.of(2026, 3, 1, 9, 0, 0, 0, ZoneOffset.UTC).plusDays(40L * at),
                "leaf mould",
                at > 0,
                Grade.SOUND,
                new FigureKind("fresh-mass", "Fresh mass", "", UnitOfMeasure.GRAM, 1),
                side(random, 10 * ratio),
                side(random, 10),
                true,
                0);
    }

    private static Repeat.Side side(SplittableRandom random, double mean) {
        Summary units = Summary.of(IntStream.range(0, UNITS)
                .mapToDouble(i -> mean * (1 + SCATTER * random.nextGaussian()))
                .toArray());
        double sd = units.sd().orElseThrow();
        return new Repeat.Side(UNITS, units.mean(), sd * sd / UNITS);
    }

    @ParameterizedTest
    @CsvSource({"2, 0", "3, 0", "4, 0", "8, 0", "2, 0.1", "3, 0.1", "4, 0.1", "8, 0.1"})
    void togetherTheySeldomClaimWhatIsNotThere(int trials, double apart) {
        SplittableRandom random = new SplittableRandom(20261206L + trials);
        int claimed = 0;
        int held = 0;
        int told = 0;
        for (int i = 0; i < Simulations.of(SERIES); i++) {
            Pooled none = drawn(random, trials, 0, apart);
            claimed += none.answer() == Answer.CANT_TELL ? 0 : 1;
            Pooled some = drawn(random, trials, Math.log(1.3), apart);
            held += some.effects().interval95().low() <= Math.log(1.3)
                            && some.effects().interval95().high() >= Math.log(1.3)
                    ? 1
                    : 0;
            told += some.answer() == Answer.BETTER ? 1 : 0;
        }
        double of = Simulations.of(SERIES);
        if (Boolean.getBoolean("elsom.print")) {
            System.out.printf(
                    "k %d apart %.1f claimed %.1f held %.1f told %.1f%n",
                    trials, apart, 100 * claimed / of, 100 * held / of, 100 * told / of);
        }
        assertThat(claimed / of).isLessThanOrEqualTo(Simulations.most(0.06, SERIES));
        assertThat(held / of).isGreaterThanOrEqualTo(Simulations.least(0.93, SERIES));
    }
}
