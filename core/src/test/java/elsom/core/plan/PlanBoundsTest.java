package elsom.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elsom.core.design.LayoutKind;
import elsom.core.quantity.Bounds;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.BenchPosition;
import elsom.core.trial.ControlKind;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.LightMap;
import elsom.core.trial.Side;
import elsom.core.trial.UnitCode;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.assertj.core.api.ThrowableAssert.ThrowingCallable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** A part of a plan that no page could show can't be made, whichever door it comes in by. */
class PlanBoundsTest {
    private static final EndpointCode HEIGHT = new EndpointCode("height");
    private static final String LONG = "x".repeat(61);

    private static Arguments refused(String because, ThrowingCallable made) {
        return Arguments.of(because, made);
    }

    static Stream<Arguments> beyond() {
        Plan plan = APlan.ofGrowth().list("leaf mould", "wood fibre").plan();
        Measure measure = plan.asked().measures().get(0);
        List<Measure> twice = List.of(measure, measure);
        Schedule schedule = plan.schedule();
        return Stream.of(
                refused("a crop's name", () -> new Asked("Why?", LONG, List.of(), List.of(measure))),
                refused("no endpoint", () -> new Asked("Why?", "", List.of(), List.of())),
                refused("an endpoint twice", () -> new Asked("Why?", "", List.of(), twice)),
                refused("a weight", () -> measure.with("", "", 101, Direction.HIGHER)),
                refused("a rule", () -> measure.with("x".repeat(241), "", 0, Direction.HIGHER)),
                refused("a scorer", () -> measure.with("", LONG, 0, Direction.HIGHER)),
                refused("what matters, endless", () -> question(1e9)),
                refused("what matters, less than nothing", () -> question(-1)),
                refused("what matters, no number", () -> question(Double.NaN)),
                refused("a level's name", () -> new Factor.Level(LONG, null, false)),
                refused("a level's amount", () -> new Factor.Level("a", 1e10, false)),
                refused("a label's rate", () -> factor(-1.0)),
                refused("a treatment's name", () -> PlannedTreatment.of(LONG, "", ControlKind.NONE)),
                refused("a mix", () -> PlannedTreatment.of("a", "x".repeat(201), ControlKind.NONE)),
                refused(
                        "a volume",
                        () -> PlannedTreatment.of("a", "a", ControlKind.NONE).in(null, 1e9)),
                refused("a look's name", () -> new PlannedLook("x".repeat(41), Duration.ZERO, List.of(HEIGHT))),
                refused("a look too late", () -> new PlannedLook("a", Duration.ofDays(4000), List.of(HEIGHT))),
                refused("a look too early", () -> new PlannedLook("a", Duration.ofDays(-400), List.of(HEIGHT))),
                refused("a look at nothing", () -> new PlannedLook("a", Duration.ZERO, List.of())),
                refused("no look", () -> schedule.with(List.of(), List.of(), Hours.ANY)),
                refused("a start", () -> schedule.startingTogether(Instant.parse("2300-01-01T00:00:00Z"))),
                refused("a step's note", () -> step("x".repeat(121), Duration.ofDays(1))),
                refused("a step that goes back", () -> step("", Duration.ofDays(-1))),
                refused("a day away", () -> new Hours.Away(LocalDate.of(1815, 6, 18), LocalDate.of(1815, 6, 19))),
                refused("a bench's name", () -> site(LONG, 100)),
                refused("a bench's length", () -> site("Sill", 1e6)),
                refused("replicates", () -> plan.arrangement().withReplicates(51)),
                refused("a place", () -> new Arrangement.Move(new UnitCode("K34"), new BenchPosition(1, 999, 1))),
                refused("turns", () -> arrangement(plan, 366, List.of())),
                refused("moves", () -> arrangement(plan, 0, Collections.nCopies(Bounds.MOVES + 1, move()))),
                refused("a refill share", () -> new Rules(WateringSchool.SAME_FOR_ALL, 0, false)),
                refused("seeds", () -> new Pots(APlan.POT, 0, 0, 10_001, 0, 0.1, 0.1, 0)),
                refused("settling", () -> new Pots(APlan.POT, 0, 0, 0, 0, 0.7, 0.1, 0)),
                refused("a unit that goes on", () -> new PlanOrigin.Kept(new UnitCode("K34"), 25)));
    }

    private static Question question(double matters) {
        return new Question(List.of(), 0, HEIGHT, Direction.HIGHER, matters, true, Stated.BEFORE_START);
    }

    private static Factor factor(double label) {
        return new Factor(
                "Dose",
                FactorKind.DOSE,
                UnitOfMeasure.PERCENT,
                List.of(new Factor.Level("0", 0.0, true), new Factor.Level("1", 1.0, false)),
                label,
                null);
    }

    private static Recurring step(String note, Duration every) {
        return new Recurring(Recurring.Kind.WATER, note, Duration.ZERO, every, Duration.ofDays(5));
    }

    private static Site site(String name, double length) {
        return new Site(name, length, 50, Side.TOP, Side.RIGHT, LightMap.NONE, List.of());
    }

    private static Arrangement.Move move() {
        return new Arrangement.Move(new UnitCode("K34"), new BenchPosition(1, 1, 1));
    }

    private static Arrangement arrangement(Plan plan, int rotate, List<Arrangement.Move> moves) {
        return new Arrangement(LayoutKind.BLOCKS, 3, plan.arrangement().sites(), true, 0, false, rotate, 1, moves);
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("beyond")
    void isRefusedInWords(String because, ThrowingCallable made) {
        assertThatThrownBy(made).isInstanceOf(IllegalArgumentException.class).hasMessageMatching("(?s).{10,}");
    }

    @Test
    void whatLiesOnTheBoundIsTaken() {
        assertThatCode(() -> {
                    site("x".repeat(60), 10_000);
                    question(1e-9);
                    step("x".repeat(120), Duration.ofDays(1));
                    new PlannedLook("x".repeat(40), Bounds.AFTER, List.of(HEIGHT));
                })
                .doesNotThrowAnyException();
    }

    @Test
    void aLookMeasuresOnlyWhatThePlanDoes() {
        Plan plan = APlan.ofGrowth().list("leaf mould", "wood fibre").plan();
        Schedule schedule = plan.schedule();
        List<PlannedLook> unknown =
                List.of(new PlannedLook("day 1", Duration.ofDays(1), List.of(new EndpointCode("beauty"))));
        assertThatThrownBy(() -> plan.with(schedule.with(unknown, List.of(), Hours.ANY)))
                .hasMessageContaining("beauty")
                .hasMessageContaining("no endpoint of the plan");
    }

    @Test
    void anEndpointThatIsLeftOutLeavesItsLooks() {
        Plan plan = APlan.ofGrowth().list("leaf mould", "wood fibre").plan();
        List<Measure> fewer = plan.asked().measures().stream()
                .filter(measure -> !measure.endpoint().code().equals(HEIGHT))
                .toList();
        Plan left = plan.measuring(new Asked("Why?", "pea", List.of(), fewer));
        assertThat(left.schedule().looks()).hasSameSizeAs(plan.schedule().looks());
        assertThat(left.schedule().looks()).noneMatch(look -> look.endpoints().contains(HEIGHT));
    }

    @Test
    void namesThatAreClippedAlikeArePartedByANumber() {
        String shared = "a medium with a very long name that goes on and on for some time";
        Factor first = new Factor(
                "One",
                FactorKind.HANDLING,
                UnitOfMeasure.COUNT,
                List.of(
                        new Factor.Level(shared.substring(0, 58), null, true),
                        new Factor.Level(shared.substring(0, 57) + "!", null, false)),
                null,
                null);
        Factor second = new Factor(
                "Two",
                FactorKind.HANDLING,
                UnitOfMeasure.COUNT,
                List.of(new Factor.Level("north", null, true), new Factor.Level("north-east", null, false)),
                null,
                null);
        List<PlannedTreatment> all =
                Treatments.crossed(List.of(first, second), "", List.of()).all();
        assertThat(all)
                .extracting(PlannedTreatment::name)
                .doesNotHaveDuplicates()
                .allMatch(name -> name.length() <= 60);
        assertThat(all).extracting(PlannedTreatment::properties).containsOnly(Map.of());
    }
}
