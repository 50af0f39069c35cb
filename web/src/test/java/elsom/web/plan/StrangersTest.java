package elsom.web.plan;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.plan.APlan;
import java.util.List;
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
        assertThat(Strangers.of(APlan.ofGrowth().list("coir", mix).plan(), SHELF))
                .extracting(flag -> flag.seen().replaceAll(".*Did you mean “(.*)”\\?", "$1"))
                .isEqualTo(meant == null ? List.of() : List.of(meant));
    }
}
