package elsom.core.design;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elsom.core.trial.UnitCode;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class UnitCodesTest {
    @ParameterizedTest
    @ValueSource(ints = {1, 24, 49, 50, 200, 343, 1000})
    void noSlipOfOneCharacterMakesAnotherCode(int count) {
        List<UnitCode> codes = UnitCodes.draw(count, 42);
        assertThat(codes).hasSize(count).doesNotHaveDuplicates();
        for (int i = 0; i < Math.min(count, 120); i++) {
            for (int j = i + 1; j < count; j++) {
                assertThat(differences(codes.get(i).value(), codes.get(j).value()))
                        .as("%s and %s", codes.get(i), codes.get(j))
                        .isGreaterThanOrEqualTo(2);
            }
        }
    }

    private static int differences(String one, String other) {
        int count = 0;
        for (int i = 0; i < one.length(); i++) {
            count += one.charAt(i) == other.charAt(i) ? 0 : 1;
        }
        return count;
    }

    @Test
    void swappingTheDigitsNeverMakesAnotherCode() {
        List<UnitCode> codes = UnitCodes.draw(49, 1);
        for (UnitCode code : codes) {
            String swapped = "" + code.value().charAt(0) + code.value().charAt(2)
                    + code.value().charAt(1);
            if (!swapped.equals(code.value())) {
                assertThat(codes).doesNotContain(new UnitCode(swapped));
            }
        }
    }

    @Test
    void leavesOutWhatIsMisread() {
        assertThat(UnitCodes.draw(UnitCodes.MOST, 3))
                .allSatisfy(code -> assertThat(code.value()).matches("[HKMRTWX][2346789]{4}"));
    }

    @Test
    void theSeedRepeatsTheDraw() {
        assertThat(UnitCodes.draw(20, 5)).isEqualTo(UnitCodes.draw(20, 5)).isNotEqualTo(UnitCodes.draw(20, 6));
    }

    @Test
    void refusesMoreThanThereAre() {
        assertThatThrownBy(() -> UnitCodes.draw(UnitCodes.MOST + 1, 1)).hasMessageContaining("1000");
    }
}
