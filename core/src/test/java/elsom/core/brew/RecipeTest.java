package elsom.core.brew;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.quantity.UnitOfMeasure;
import org.junit.jupiter.api.Test;

class RecipeTest {
    private static final String TEXT = """
            water vitamin C, chlorine 0.8 mg/L
            temperature 70 F
            air 0.5 L/min per L
            compost 15 g/L
            kelp 2 g/L in kelp
            +12 h molasses 2 mL/L in kelp
            """;

    @Test
    void aRecipeIsScaledToTheVessel() {
        Recipe.Read read = Recipe.read(TEXT);
        assertThat(read.problems()).isEmpty();
        Recipe recipe = read.recipe();
        assertThat(recipe.celsius().orElseThrow()).isEqualTo(21.11, within(0.01));
        assertThat(recipe.sheet("stone, none", 10))
                .extracting(Recipe.SheetLine::name, Recipe.SheetLine::metric)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple("water", "10 L"),
                        org.assertj.core.groups.Tuple.tuple(
                                "ascorbic acid against its chlorine, stirred in first", "20 mg"),
                        org.assertj.core.groups.Tuple.tuple("compost", "150 g"),
                        org.assertj.core.groups.Tuple.tuple("air, all the time", "5 L/min"));
        assertThat(recipe.sheet("none, kelp", 10)).anySatisfy(line -> {
            assertThat(line.name()).isEqualTo("molasses");
            assertThat(line.metric()).isEqualTo("20 mL");
            assertThat(line.afterHours()).isEqualTo(12);
        });
        assertThat(recipe.feedings()).containsExactly(12.0);
    }

    @Test
    void usMeasuresAreRead() {
        Recipe recipe = Recipe.kept("compost 2 oz/gal\nmolasses 1 tbsp/gal");
        assertThat(recipe.ingredients().get(0).unit()).isEqualTo(UnitOfMeasure.GRAM);
        // 56.699 g in 3.785 L; 14.787 mL in 3.785 L.
        assertThat(recipe.ingredients().get(0).perLitre()).isEqualTo(14.978, within(0.001));
        assertThat(recipe.ingredients().get(1).perLitre()).isEqualTo(3.906, within(0.001));
    }

    /** Whose gallon, and an ounce of what, is asked; a fraction is read, a range is not. */
    @Test
    void aRecipeIsReadAsEveryOtherBox() {
        Recipe.Read read = Recipe.read("compost 1 1/2 cup per US gal\nfeed 10-5-5 2 g/L in kelp\n+12 h kelp ½ tsp/L");
        assertThat(read.problems()).isEmpty();
        assertThat(read.recipe().ingredients())
                .extracting(one -> one.name() + " " + Math.round(one.perLitre() * 100) / 100.0 + " " + one.unit())
                .containsExactly("compost 93.75 MILLILITRE", "feed 10-5-5 2.0 GRAM", "kelp 2.46 MILLILITRE");
        Recipe.Read asked = Recipe.read("compost 2 oz/gal\nkelp 2-3 g/L\nkelp 15 %\nkelp 5 g");
        assertThat(asked.recipe().ingredients()).isEmpty();
        assertThat(asked.problems()).hasSize(4);
        assertThat(asked.problems().get(0)).contains("2 oz by weight/US gal").contains("imp gal");
    }

    @Test
    void waterIsStoodOrTreated() {
        assertThat(Recipe.read("water stand 24 h")
                        .recipe()
                        .water()
                        .orElseThrow()
                        .standsOnly())
                .isTrue();
        assertThat(Recipe.read("water rain").recipe().water()).contains(new Recipe.Water(0, 0));
    }

    @Test
    void everyLineThatCannotBeReadIsToldWithAnExample() {
        Recipe.Read read = Recipe.read("compost\nwater boiled\n+900 h kelp 1 g/L\nkelp 2 g/L");
        assertThat(read.problems()).hasSize(3).allMatch(problem -> problem.contains("Accepted: "));
        assertThat(read.recipe().ingredients()).hasSize(1);
    }
}
