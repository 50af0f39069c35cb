package elsom.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elsom.core.trial.ControlKind;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Questions go on being about what they named when the treatments change. */
class AskedAnewTest {
    private static Plan asking(Plan plan, String line) {
        Question question = new QuestionReader(plan.treatments(), new NamedTreatments(plan.treatments()))
                .read(new QuestionText(plan, plan.asked().measures()).read(line), Stated.BEFORE_START);
        return plan.with(
                new Asked(plan.question(), "", List.of(question), plan.asked().measures()));
    }

    private static Treatments list(String... names) {
        return Treatments.listed(Stream.of(names)
                .map(name ->
                        PlannedTreatment.of(name, name, name.equals(names[0]) ? ControlKind.CONTROL : ControlKind.NONE))
                .toList());
    }

    private static String said(Plan plan, Treatments after) {
        Plan anew = AskedAnew.with(plan, after, plan.pots());
        return anew.asked().questions().get(0).sentence(anew);
    }

    private final Plan listed =
            asking(APlan.ofGrowth().list("none", "kelp", "nettle").plan(), "Height: higher in nettle than in none");

    @Test
    void anotherOrderOrNameIsFollowed() {
        assertThat(said(listed, list("none", "nettle", "kelp"))).isEqualTo("Height: higher in nettle than in none?");
        assertThat(said(listed, list("none", "kelp", "nettle tea")))
                .isEqualTo("Height: higher in nettle tea than in none?");
        assertThat(said(listed, list("none", "borage", "kelp", "nettle")))
                .isEqualTo("Height: higher in nettle than in none?");
    }

    @Test
    void treatmentsThatBecomeLevelsAreAskedAboutAsLevels() {
        Treatments crossed = Treatments.crossed(
                List.of(
                        APlan.factor("Feed", FactorKind.MATERIAL, "none", "kelp", "nettle"),
                        APlan.factor("Crop", FactorKind.MATERIAL, "pea", "barley")),
                "leaf mould",
                List.of());
        assertThat(said(listed, crossed))
                .isEqualTo("Height: higher in nettle than in none, in each crop and over all?");
    }

    @Test
    void whatIsAskedAboutAndGoneIsTold() {
        assertThatThrownBy(() -> said(listed, list("none", "kelp")))
                .hasMessageContaining("Comparison 1 is about “nettle”");
        assertThatThrownBy(() -> said(listed, list("bare", "kelp", "borage", "comfrey")))
                .hasMessageContaining("Comparison 1 is about “nettle”, “none”");
    }

    @Test
    void aLookIsFollowedByItsNameAndMissedWhenItIsGone() {
        Plan plan =
                asking(APlan.ofGrowth().list("none", "kelp").plan(), "Height: higher in kelp than in none, at day 21");
        List<PlannedLook> looks = plan.schedule().looks();
        Plan fewer = AskedAnew.with(plan, scheduled(plan, looks.subList(1, looks.size())));
        assertThat(fewer.asked().questions().get(0).sentence(fewer))
                .isEqualTo("Height: higher in kelp than in none, at day 21?");
        assertThatThrownBy(() -> AskedAnew.with(plan, scheduled(plan, looks.subList(0, 2))))
                .hasMessageContaining("Comparison 1 is about “day 21”");
    }

    private static Schedule scheduled(Plan plan, List<PlannedLook> looks) {
        return plan.schedule()
                .with(looks, plan.schedule().steps(), plan.schedule().hours());
    }

    @Test
    void aLevelThatIsRenamedIsFollowed() {
        Factor crop = APlan.factor("Crop", FactorKind.MATERIAL, "pea", "barley");
        Plan plan = asking(
                APlan.ofGrowth()
                        .factors(APlan.factor("Feed", FactorKind.MATERIAL, "none", "kelp"), crop)
                        .plan(),
                "Height: higher in kelp than in none");
        assertThat(said(
                        plan,
                        Treatments.crossed(
                                List.of(APlan.factor("Feed", FactorKind.MATERIAL, "none", "seaweed"), crop),
                                "leaf mould",
                                List.of())))
                .startsWith("Height: higher in seaweed than in none");
    }
}
