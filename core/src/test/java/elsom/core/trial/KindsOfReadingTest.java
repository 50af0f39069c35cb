package elsom.core.trial;

import static elsom.core.plan.WithPlaceAndWords.PLACE;
import static elsom.core.plan.WithPlaceAndWords.WORDS;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elsom.core.analysis.EndpointKind;
import elsom.core.flag.Flag;
import elsom.core.plan.APlan;
import elsom.core.plan.Asked;
import elsom.core.plan.Direction;
import elsom.core.plan.Measured;
import elsom.core.plan.Plan;
import elsom.core.plan.Question;
import elsom.core.plan.Stated;
import elsom.core.plan.WithPlaceAndWords;
import elsom.core.plan.check.PlanCheck;
import elsom.core.protocol.Protocols;
import elsom.core.read.Typed;
import elsom.core.results.Evidence;
import elsom.core.results.Findings;
import elsom.core.results.TableResult;
import elsom.core.results.Tables;
import java.time.Instant;
import java.util.List;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;

/** Places and words are readings like any other, and what does not apply at a look is skipped with its reason. */
class KindsOfReadingTest {
    private static final Instant NOON = Instant.parse("2026-06-08T12:00:00Z");

    private final Plan plan = WithPlaceAndWords.of(
            APlan.ofGrowth().list("rain", "kelp", "nettle").replicates(4).plan());
    private final Measured measured = Measured.started(plan);
    private final Look ranked = measured.record().looks().get(0);

    private ReadingRef place(int treatment, int replicate) {
        return new ReadingRef(measured.unit(treatment, replicate).code(), ranked.number(), PLACE);
    }

    private Skip skip(EndpointCode endpoint) {
        return new Skip(ranked.number(), endpoint, "no canopy yet", NOON, "Bench A");
    }

    private TrialRecord skipping(Skip... skips) {
        TrialRecord record = measured.record();
        return record.with(record.beside().skips(List.of(skips)));
    }

    @Test
    void aPlaceIsAWholeNumberFromOneOnAndIsJudgedByRanks() {
        Endpoint vigour = measured.record().endpoint(PLACE);
        assertThat(vigour.typed("2")).isInstanceOf(Typed.Understood.class);
        assertThat(vigour.typed("0")).isInstanceOf(Typed.Refused.class);
        assertThat(vigour.typed("1.5")).isInstanceOf(Typed.Refused.class);
        assertThat(vigour.judged()).isEqualTo(EndpointKind.SCORE);
    }

    @Test
    void aPlaceBeyondThoseThereAreOrOneThatIsTakenIsTold() {
        TrialRecord record = measured.record();
        long among = record.units().stream()
                .filter(unit -> unit.block() == measured.unit(1, 1).block())
                .count();
        assertThat(record.endpoint(PLACE).problem(record, place(1, 1), among)).isEmpty();
        assertThat(record.endpoint(PLACE)
                        .problem(record, place(1, 1), among + 1)
                        .orElseThrow())
                .contains("no place is beyond " + among);
        ExperimentalUnit first = record.units().get(0);
        ExperimentalUnit beside = record.units().stream()
                .filter(unit -> unit.block() == first.block() && !unit.equals(first))
                .findFirst()
                .orElseThrow();
        TrialRecord one = measured.add(first, ranked, "strength-order", 1, 1).record();
        ReadingRef ref = new ReadingRef(beside.code(), ranked.number(), PLACE);
        assertThat(one.endpoint(PLACE).shared(one, ref, 1))
                .hasValue(first.code().value());
        assertThat(one.endpoint(PLACE).shared(one, ref, 2)).isEmpty();
        assertThat(one.endpoint(PLACE).shared(one, new ReadingRef(first.code(), ranked.number(), PLACE), 1))
                .isEmpty();
    }

    @Test
    void wordsAreKeptAsTypedAndToldUnderTheirTreatmentButNeverJudged() {
        Endpoint roots = measured.record().endpoint(WORDS);
        assertThat(roots.typed("tips brown, 2 of 3")).isInstanceOf(Typed.Understood.class);
        assertThat(roots.typed(" ")).isInstanceOf(Typed.Refused.class);
        assertThat(roots.typed("x".repeat(121))).isInstanceOf(Typed.Refused.class);
        ExperimentalUnit unit = measured.unit(2, 1);
        measured.typed(unit, ranked, "root-words", 1, 1, "tips brown, 2 of 3");
        Findings findings = Protocols.find(plan.protocol())
                .orElseThrow()
                .findings(Evidence.of(plan, measured.record(), OptionalInt.empty()));
        TableResult told = findings.sections(TableResult.class).get(0);
        assertThat(told.title()).isEqualTo("Roots in words");
        assertThat(Tables.cells(told, 1)).containsExactly(unit.code() + " tips brown, 2 of 3");
        assertThat(Tables.cells(told, 0)).containsExactly("–");
        assertThat(findings.kinds()).noneMatch(kind -> kind.code().equals("root-words"));
    }

    @Test
    void aPlanThatAsksAboutWordsIsToldSo() {
        Question question = new Question(List.of(2), 1, WORDS, Direction.HIGHER, 0, false, Stated.BEFORE_START);
        Plan asking = plan.with(new Asked(
                plan.question(),
                plan.asked().crop(),
                List.of(question),
                plan.asked().measures()));
        assertThat(PlanCheck.of(asking))
                .filteredOn(flag -> flag.severity() == Flag.Severity.WRONG)
                .anyMatch(flag -> flag.seen().contains("roots in words is written in words"));
    }

    @Test
    void whatIsSkippedIsNotAskedForAndTheLookIsWholeWithoutIt() {
        measured.record().units().forEach(unit -> {
            measured.add(unit, ranked, "strength-order", 1, 1);
            measured.typed(unit, ranked, "root-words", 1, 1, "white");
        });
        assertThat(measured.record().progress(ranked).complete()).isFalse();
        TrialRecord record = skipping(skip(new EndpointCode("height")));
        assertThat(Walk.byHand(record, ranked)).containsExactly(PLACE, WORDS);
        assertThat(record.progress(ranked).complete()).isTrue();
        assertThat(record.nextLook().orElseThrow().name()).isEqualTo("later");
        assertThat(record.with(record.beside().skips(List.of()))
                        .progress(ranked)
                        .complete())
                .isFalse();
    }

    @Test
    void whatWasReadOrIsAllThatIsReadCanNotBeSkipped() {
        measured.add(measured.unit(1, 1), ranked, "strength-order", 1, 1);
        assertThat(Skip.problem(measured.record(), ranked, PLACE).orElseThrow()).contains("was read of 1 unit");
        assertThat(Skip.problem(measured.record(), ranked, WORDS)).isEmpty();
        assertThat(Skip.problem(skipping(skip(WORDS), skip(PLACE)), ranked, new EndpointCode("height"))
                        .orElseThrow())
                .contains("is all that is read");
        assertThat(Skip.problem(measured.record(), ranked, new EndpointCode("leaves"))
                        .orElseThrow())
                .contains("not read");
        assertThatThrownBy(() -> skipping(new Skip(2, PLACE, "not there", NOON, "Bench A")))
                .hasMessageContaining("does not read it");
    }
}
