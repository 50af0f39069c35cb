package elsom.core.seedling;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.diagnosis.Sign;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Typed;
import elsom.core.trial.Counting;
import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import org.junit.jupiter.api.Test;

/** A score is a number with what was seen behind it; what can't be is refused with what can. */
class InjuryScoreTest {
    private static final Endpoint INJURY =
            new Endpoint(EndpointCode.INJURY, "Injury", UnitOfMeasure.POINT, Counting.SINGLE, 1, 0, 10, 0, null);

    @Test
    void aNumberWithSymptomsIsReadAndWrittenAlike() {
        InjuryScore score = InjuryScore.typed("7 Twisted, cupped leaf").orElseThrow();
        assertThat(score.symptoms()).containsExactlyInAnyOrder(Symptom.CUPPED, Symptom.TWISTED);
        assertThat(score.text()).isEqualTo("7 cupped, twisted");
        assertThat(InjuryScore.typed(score.text())).contains(score);
        assertThat(score.words()).isEqualTo("cupped leaf, twisted stem or petiole");
        assertThat(InjuryScore.typed("0").orElseThrow().symptoms()).isEmpty();
        assertThat(InjuryScore.typed("cupped")).isEmpty();
    }

    @Test
    void everySymptomIsFoundByItsCodeAndItsLabelAndLiesOnOnePart() {
        for (Symptom symptom : Symptom.values()) {
            assertThat(Symptom.called(symptom.code())).contains(symptom);
            assertThat(Symptom.called(symptom.label())).contains(symptom);
            assertThat(symptom.part().symptoms()).contains(symptom);
            assertThat(InjuryScore.typed("3 " + symptom.code()).orElseThrow().symptoms())
                    .containsExactly(symptom);
        }
    }

    @Test
    void whatCantBeIsRefusedWithWhatCan() {
        assertThat(INJURY.typed("7 cupped, twisted"))
                .isInstanceOfSatisfying(
                        Typed.Understood.class,
                        typed -> assertThat(typed.stored().value()).isEqualTo(7));
        assertThat(INJURY.typed("11"))
                .isInstanceOfSatisfying(
                        Typed.Refused.class,
                        refused -> assertThat(refused.message())
                                .contains("can't be 11")
                                .contains("0 to 10"));
        assertThat(INJURY.typed("11 cupped")).isInstanceOf(Typed.Refused.class);
        assertThat(INJURY.typed("-1 cupped")).isInstanceOf(Typed.Refused.class);
        assertThat(INJURY.typed("7 curly"))
                .isInstanceOfSatisfying(
                        Typed.Refused.class,
                        refused -> assertThat(refused.message())
                                .isEqualTo("“curly” is no symptom known here. Accepted: 7 cupped, twisted"));
    }

    /** Seed leaves have a part of their own on the drawing; what they show speaks for a cause as leaves do. */
    @Test
    void burntSeedLeavesAreWrittenAsSuchAndWeighAsBurntLeaves() {
        InjuryScore score = InjuryScore.typed("4 burnt seed leaves, wilted").orElseThrow();
        assertThat(score.symptoms()).containsExactlyInAnyOrder(Symptom.SEED_BURNT, Symptom.WILTED);
        assertThat(score.text()).isEqualTo("4 burnt seed leaves, wilted");
        assertThat(Sign.of(Symptom.SEED_BURNT)).isEqualTo(Sign.BURNT);
        assertThat(SeedlingPart.COTYLEDON.symptoms())
                .isNotEmpty()
                .allMatch(symptom -> symptom.like().part() == SeedlingPart.LEAF);
    }
}
