package elsom.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.trial.EndpointCode;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

class DetectableTableTest {
    private static DetectableTable outlook(APlan plan, double cv) {
        Measure mass =
                plan.plan().asked().measure(new EndpointCode("fresh-mass")).orElseThrow();
        return DetectableTable.of(plan.plan(), mass, cv, OptionalDouble.empty());
    }

    private static APlan three() {
        return APlan.ofGrowth().list("a", "b", "c").pots(new Pots(APlan.POT, 400, 6, 8, 0, 0.1, 0.1, 0));
    }

    @Test
    void costsGrowWithTheUnits() {
        DetectableTable.Row five = outlook(three(), 0.2).at(5);
        assertThat(five.units()).isEqualTo(15);
        assertThat(five.mediumL()).isCloseTo(6, within(1e-9));
        assertThat(five.seeds()).isEqualTo(120);
        // A place is 11.5 cm each way.
        assertThat(five.areaM2()).isCloseTo(15 * 0.115 * 0.115, within(1e-9));
        assertThat(five.minutes())
                .isEqualTo(PlanEvents.measuring(three().plan(), 15).toMinutes());
    }

    @Test
    void saysHowManyWouldDo() {
        DetectableTable outlook = outlook(three().asking(APlan.question("fresh-mass")), 0.1);
        assertThat(outlook.matters()).hasValue(0.15);
        int needed = outlook.needed().orElseThrow();
        assertThat(outlook.at(needed).power().orElseThrow()).isGreaterThanOrEqualTo(0.8);
        assertThat(outlook.at(needed - 1).power().orElseThrow()).isLessThan(0.8);
        assertThat(outlook.sentence(needed)).endsWith("That is enough for the 15 % that matter.");
        assertThat(outlook.sentence(3)).contains("would be missed").endsWith(needed + " of each would do.");
        assertThat(outlook(three(), 0.2).sentence(4)).endsWith("four times in five.");
    }

    @Test
    void anAmountThatMattersNeedsTheUsualReading() {
        Question byGrams = new Question(
                List.of(), 0, new EndpointCode("fresh-mass"), Direction.HIGHER, 3, false, Stated.BEFORE_START);
        APlan plan = three().asking(byGrams);
        Measure mass =
                plan.plan().asked().measure(new EndpointCode("fresh-mass")).orElseThrow();
        assertThat(outlook(plan, 0.1).matters()).isEmpty();
        DetectableTable known = DetectableTable.of(plan.plan(), mass, 0.1, OptionalDouble.of(20));
        assertThat(known.matters()).hasValue(0.15);
        assertThat(known.shown(0.15)).isEqualTo("15 % (3 g)");
    }

    @Test
    void scoresAreReckonedInPoints() {
        APlan plan = APlan.of("dose-series")
                .factors(APlan.doses(null, null, 0, 1, 2))
                .asking(new Question(
                        List.of(), 0, new EndpointCode("injury"), Direction.HIGHER, 2, false, Stated.BEFORE_START));
        Measure injury = plan.plan().asked().measure(new EndpointCode("injury")).orElseThrow();
        // A scatter of 0.3 is 1.5 points of a scale to 10.
        DetectableTable outlook = DetectableTable.of(plan.plan(), injury, 0.3, OptionalDouble.empty());
        assertThat(outlook.matters()).hasValue(0.4);
        assertThat(outlook.sentence(3)).contains(" points, four times in five").contains("A difference of 2 points");
    }

    @Test
    void saysPlainlyThatOneOfEachTellsNothing() {
        assertThat(outlook(three(), 0.2).sentence(1)).startsWith("One unit of each tells nothing about fresh mass");
    }
}
