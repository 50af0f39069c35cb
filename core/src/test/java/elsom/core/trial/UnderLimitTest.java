package elsom.core.trial;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.flag.FlagCode;
import elsom.core.notebook.Going;
import elsom.core.notebook.Notebook;
import elsom.core.plan.Direction;
import elsom.core.protocol.Protocols;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Typed;
import elsom.core.results.Evidence;
import elsom.core.results.Findings;
import elsom.core.results.Verdict;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What lies below a limit is kept as that, counts as half of it, and decides nothing by it. */
class UnderLimitTest {
    private static final List<Notebook.Measured> SALT =
            List.of(new Notebook.Measured("Salt", UnitOfMeasure.MILLISIEMENS_PER_CENTIMETRE, Direction.HIGHER));

    private static Endpoint endpoint(UnitOfMeasure unit) {
        return Endpoint.single(new EndpointCode("x"), "X", unit, 0, 100, 2);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"<1|0.5|<1 mS/cm", "< 0,05 mS/cm|0.025|<0.05 mS/cm", "≤2|1|<2 mS/cm", "<200 µS/cm|0.1|<0.2 mS/cm"})
    void aLimitCountsAsHalfOfItAndIsShownAsOne(String text, double value, String shown) {
        Endpoint salt = endpoint(UnitOfMeasure.MILLISIEMENS_PER_CENTIMETRE);
        assertThat(salt.typed(text)).isInstanceOfSatisfying(Typed.Understood.class, typed -> {
            assertThat(typed.stored().value()).isEqualTo(value);
            Reading reading = new Reading(
                    new ReadingId(1),
                    new ReadingRef(new UnitCode("A11"), 1, salt.code(), 1),
                    typed.stored().value(),
                    text,
                    typed.typed().unit(),
                    Instant.EPOCH,
                    Instant.EPOCH,
                    "Bench A",
                    Instrument.HAND,
                    null,
                    null);
            assertThat(UnderLimit.is(reading, salt)).isTrue();
            assertThat(UnderLimit.shown(reading, salt)).isEqualTo(shown);
        });
    }

    /** Half of a pH or of a temperature means nothing. */
    @Test
    void aScaleThatDoesNotBeginAtNoneHasNoLimit() {
        assertThat(endpoint(UnitOfMeasure.PH).typed("<4")).isInstanceOf(Typed.Refused.class);
        assertThat(endpoint(UnitOfMeasure.CELSIUS).typed("<4")).isInstanceOf(Typed.Refused.class);
        assertThat(endpoint(UnitOfMeasure.GRAM).typed("<0")).isInstanceOf(Typed.Refused.class);
        assertThat(endpoint(UnitOfMeasure.GRAM).typed("<")).isInstanceOf(Typed.Refused.class);
        assertThat(endpoint(UnitOfMeasure.GRAM).typed("<none")).isInstanceOf(Typed.Refused.class);
    }

    private static Findings found(String lines) {
        Map<Integer, String> problems = new HashMap<>();
        Notebook.Pages pages = Notebook.read(lines, SALT, List.of(), LocalDate.of(2026, 6, 1), problems);
        assertThat(problems).isEmpty();
        Notebook.Copied copied = new Notebook(
                        "Which?",
                        SALT,
                        Optional.empty(),
                        pages.lines(),
                        List.of(),
                        Notebook.Factors.NONE,
                        Going.over(LocalDate.of(2026, 6, 1)))
                .copied(ZoneOffset.UTC, Instant.parse("2026-06-01T08:00:00Z"), 7);
        return Protocols.find(copied.plan().protocol())
                .orElseThrow()
                .findings(Evidence.of(copied.plan(), copied.record(), OptionalInt.empty()));
    }

    @Test
    void anAnswerThatHangsOnTheLimitIsNotGiven() {
        Findings far = found("none; 3\nnone; 3.2\nnone; 2.9\nnone; 3.1\nash; <1\nash; <1\nash; 1.2\nash; <1");
        assertThat(far.answers().get(0).verdict().firmness()).isEqualTo(Verdict.Firmness.WORSE);
        assertThat(far.flags())
                .anyMatch(flag ->
                        flag.code() == FlagCode.BELOW_LIMIT && flag.seen().startsWith("3 "));
        Findings near = found("none; 0.7\nnone; 0.75\nnone; 0.72\nnone; 0.71\nash; <1\nash; <1\nash; <1\nash; <1");
        assertThat(near.answers().get(0).verdict().firmness()).isEqualTo(Verdict.Firmness.CANT_TELL);
        assertThat(near.answers().get(0).verdict().sentence()).contains("below the limit");
        assertThat(near.answers().get(0).details()).anyMatch(detail -> detail.startsWith("With the whole limit: "));
        Findings all = found("none; <1\nnone; <1\nnone; <1\nash; <1\nash; <1\nash; <1");
        assertThat(all.answers().get(0).verdict().firmness())
                .isIn(Verdict.Firmness.CANT_TELL, Verdict.Firmness.NO_DIFFERENCE);
    }
}
