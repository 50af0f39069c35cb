package elsom.core.results;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class ShadesTest {
    @Test
    void equalStepsFromTheLowestToTheHighest() {
        Shades shades = Shades.between(List.of(10.0, 20.0));
        assertThat(List.of(10.0, 11.9, 12.0, 15.0, 19.9, 20.0)).map(shades::of).containsExactly(1, 1, 2, 3, 5, 5);
    }

    @Test
    void outFromNothingWhicheverWay() {
        Shades shades = Shades.from0(List.of(-4.0, 1.0));
        assertThat(List.of(-4.0, -0.1, 0.1, 1.0)).map(shades::of).containsExactly(5, 1, 1, 2);
    }

    @Test
    void alikeValuesAreAlike() {
        assertThat(Shades.between(List.of(3.0, 3.0)).of(3)).isEqualTo(3);
    }
}
