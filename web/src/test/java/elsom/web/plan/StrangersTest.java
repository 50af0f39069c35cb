package elsom.web.plan;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.flag.Flag;
import elsom.core.plan.APlan;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A name that the shelf does not know is asked about when it is likely another's, never when it is a lot of its own. */
class StrangersTest {
    private static final List<String> SHELF = List.of("leaf mould", "GW-31", "coir");

    @ParameterizedTest
    @CsvSource({
        "leaf mold, leaf mould",
        "Leaf Mould, ",
        "3 leef mould + 1 GW-31, leaf mould",
        "GW-32, ",
        "gw31, GW-31",
        "cor, coir",
        "bark, "
    })
    void aNameThatIsLikeAnotherIsAskedAbout(String mix, String meant) {
        assertThat(Strangers.of(APlan.ofGrowth().list("coir", mix).plan(), SHELF).stream()
                        .filter(flag -> flag.seen().contains("Did you mean")))
                .extracting(flag -> flag.seen().replaceAll(".*Did you mean “(.*)”\\?", "$1"))
                .isEqualTo(meant == null ? List.of() : List.of(meant));
    }

    /** One that is like no other is taken as new, and said to be. */
    @Test
    void aNameThatIsLikeNoneIsSaidToBeNew() {
        assertThat(Strangers.of(APlan.ofGrowth().list("coir", "2 bark + 1 coir").plan(), SHELF))
                .extracting(Flag::seen)
                .containsExactly("Not on the shelf: “bark”. New, or another name of what is there?");
        assertThat(Strangers.of(APlan.ofGrowth().list("coir", "leaf mould").plan(), SHELF))
                .isEmpty();
    }
}
