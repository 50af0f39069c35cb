package elsom.core.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elsom.core.plan.APlan;
import elsom.core.plan.Plan;
import elsom.core.protocol.Protocols;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.results.AgreementResult;
import elsom.core.results.Evidence;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;

/** A second pair of eyes: which units it may score, and how alike both did. */
class SecondScoresTest {
    private static final Instant NOON = Instant.parse("2026-06-08T12:00:00Z");

    private final Plan plan = APlan.of("seedling-injury")
            .list("leaf mould", "GW-31", "GW-32")
            .replicates(4)
            .plan();
    private final TrialRecord drawn = plan.draw(new TrialId(1));
    private final Look look = drawn.looks().stream()
            .filter(one -> one.endpoints().contains(EndpointCode.INJURY))
            .findFirst()
            .orElseThrow();

    private TrialRecord scoredBy(String station) {
        List<Reading> readings = new ArrayList<>();
        for (ExperimentalUnit unit : drawn.units()) {
            readings.add(new Reading(
                    new ReadingId(readings.size() + 1),
                    new ReadingRef(unit.code(), look.number(), EndpointCode.INJURY),
                    (double) (unit.treatment() * 2 + unit.replicate() % 2),
                    "score",
                    UnitOfMeasure.POINT,
                    NOON,
                    NOON,
                    station,
                    Instrument.HAND,
                    null,
                    null));
        }
        return drawn.plus(readings);
    }

    private SecondScore again(ExperimentalUnit unit, String station, double score) {
        return new SecondScore(unit.code(), look.number(), EndpointCode.INJURY, station, score, NOON);
    }

    /** One person who walks to another bench is the same pair of eyes. */
    @Test
    void wherePeopleAreKnownEyesAreAPersons() {
        TrialRecord record = scoredBy("Bench A");
        List<Reading> byMo =
                record.readings().stream().map(reading -> reading.by("Mo")).toList();
        TrialRecord known = drawn.plus(byMo);
        assertThat(SecondWalk.of(known, look, EndpointCode.INJURY, "Mo").ownFirst())
                .isTrue();
        assertThat(SecondWalk.of(known, look, EndpointCode.INJURY, "Nel").units())
                .hasSize(record.units().size());
        assertThat(byMo.get(0).signed()).isEqualTo("Mo, Bench A");
        assertThat(record.readings().get(0).signed()).isEqualTo("Bench A");
    }

    @Test
    void onlyWhatAnotherStationScoredCanBeScoredAgainInAnOrderOfItsOwn() {
        TrialRecord record = scoredBy("Bench A");
        SecondWalk own = SecondWalk.of(record, look, EndpointCode.INJURY, "Bench A");
        assertThat(own.units()).isEmpty();
        assertThat(own.ownFirst()).isTrue();
        SecondWalk other = SecondWalk.of(record, look, EndpointCode.INJURY, "Bench B");
        assertThat(other.units())
                .containsExactlyInAnyOrderElementsOf(record.units())
                .isNotEqualTo(record.benchOrder());
        assertThat(other.units())
                .isNotEqualTo(SecondWalk.of(record, look, EndpointCode.INJURY, "Bench C")
                        .units());
        ExperimentalUnit first = other.next().orElseThrow();
        TrialRecord begun = record.with(record.beside().again(List.of(again(first, "Bench B", 3))));
        SecondWalk after = SecondWalk.of(begun, look, EndpointCode.INJURY, "Bench B");
        assertThat(after.done()).isEqualTo(1);
        assertThat(after.next().orElseThrow()).isEqualTo(other.units().get(1));
        assertThat(SecondWalk.of(drawn, look, EndpointCode.INJURY, "Bench B").ownFirst())
                .isFalse();
    }

    @Test
    void aSecondScoreLeavesTheReadingsAndTheProgressAsTheyAre() {
        TrialRecord record = scoredBy("Bench A");
        TrialRecord twice =
                record.with(record.beside().again(List.of(again(record.units().get(0), "Bench B", 9))));
        assertThat(twice.readings()).isEqualTo(record.readings());
        assertThat(twice.progress(look)).isEqualTo(record.progress(look));
        assertThatThrownBy(() -> record.with(
                        record.beside().again(List.of(again(record.units().get(0), "Bench B", 11)))))
                .hasMessageContaining("which the trial does not read");
    }

    @Test
    void theFindingsSayHowAlikeTheTwoAre() {
        TrialRecord record = scoredBy("Bench A");
        List<SecondScore> scores = record.units().stream()
                .map(unit -> again(
                        unit, "Bench B", unit.treatment() * 2 + unit.replicate() % 2 + (unit.replicate() == 1 ? 1 : 0)))
                .toList();
        AgreementResult result = Protocols.find(record.trial().protocol())
                .orElseThrow()
                .findings(Evidence.of(plan, record.with(record.beside().again(scores)), OptionalInt.empty()))
                .sections(AgreementResult.class)
                .get(0);
        assertThat(result.rows()).singleElement().satisfies(row -> {
            assertThat(row.stations()).isEqualTo("Bench A and Bench B");
            assertThat(row.n()).isEqualTo(12);
            assertThat(row.difference().shown()).startsWith("0.25 (");
            assertThat(row.kappa().shown()).startsWith("0.9");
        });
    }

    @Test
    void whatASensorGivesIsNotAskedForByHandUnlessALookHasNothingElse() {
        assertThat(Walk.byHand(drawn, look)).isEqualTo(look.endpoints());
        assertThat(Walk.units(drawn, look)).isEqualTo(drawn.benchOrder());
    }
}
