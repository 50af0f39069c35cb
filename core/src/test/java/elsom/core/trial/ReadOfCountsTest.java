package elsom.core.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elsom.core.plan.APlan;
import elsom.core.plan.Measured;
import elsom.core.quantity.UnitOfMeasure;
import org.junit.jupiter.api.Test;

/** Roots are read of what rooted: of none rooted nothing is asked, and the look is complete without it. */
class ReadOfCountsTest {
    private static Measured trial(String protocol) {
        return Measured.started(
                APlan.of(protocol).list("plain", "dipped").replicates(2).plan());
    }

    private static ReadingRef ref(ExperimentalUnit unit, Look look, String endpoint, int sub) {
        return new ReadingRef(unit.code(), look.number(), new EndpointCode(endpoint), sub);
    }

    private static Look last(Measured trial, String endpoint) {
        return trial.record().looks().stream()
                .filter(look -> look.endpoints().contains(new EndpointCode(endpoint)))
                .reduce((first, second) -> second)
                .orElseThrow();
    }

    @Test
    void ofNoneRootedNoRootLengthIsAskedAndTheUnitIsDone() {
        Measured trial = trial("cuttings");
        Look potting = last(trial, "root-length");
        ExperimentalUnit none = trial.unit(1, 1);
        assertThat(trial.record().possible(ref(none, potting, "root-length", 1)))
                .as("nothing is counted yet")
                .isTrue();
        trial.add(none, potting, "rooted", 1, 0);
        assertThat(trial.record().possible(ref(none, potting, "root-length", 1)))
                .isFalse();
        assertThat(trial.record().possible(ref(none, potting, "rooted", 1))).isTrue();
        assertThat(trial.record().progress(potting).done()).isOne();
        ExperimentalUnit some = trial.unit(2, 1);
        trial.add(some, potting, "rooted", 1, 3);
        assertThat(trial.record().progress(potting).done())
                .as("roots of the rooted are still to be read")
                .isOne();
        trial.add(some, potting, "roots-each", 1, 4).add(some, potting, "root-length", 1, 31);
        assertThat(trial.record().progress(potting).done()).isEqualTo(2);
    }

    @Test
    void aCorrectedCountAsksForTheRootsAgain() {
        Measured trial = trial("cuttings");
        Look potting = last(trial, "root-length");
        ExperimentalUnit unit = trial.unit(1, 1);
        trial.add(unit, potting, "rooted", 1, 0).add(unit, potting, "rooted", 1, 2);
        assertThat(trial.record().possible(ref(unit, potting, "root-length", 1)))
                .isTrue();
        assertThat(trial.record().progress(potting).done()).isZero();
    }

    @Test
    void ofTwoGerminatedTwoRootsAreMeasuredNotFive() {
        Measured trial = trial("germination");
        Look look = last(trial, "root-length");
        ExperimentalUnit dish = trial.unit(1, 1);
        trial.add(dish, look, "germinated", 1, 2)
                .add(dish, look, "root-length", 1, 12)
                .add(dish, look, "root-length", 2, 15);
        assertThat(trial.record().possible(ref(dish, look, "root-length", 2))).isTrue();
        assertThat(trial.record().possible(ref(dish, look, "root-length", 3))).isFalse();
        assertThat(trial.record().progress(look).done()).isOne();
    }

    @Test
    void anEndpointIsNotReadOfItself() {
        EndpointCode roots = new EndpointCode("roots");
        assertThatThrownBy(() -> new Endpoint(roots, "Roots", UnitOfMeasure.COUNT, Counting.SINGLE, 1, 0, 10, 0, roots))
                .hasMessageContaining("can't be read of itself");
    }
}
