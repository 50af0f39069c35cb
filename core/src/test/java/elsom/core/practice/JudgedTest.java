package elsom.core.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;

class JudgedTest {
    @Test
    void honestyCountsNotLuck() {
        assertThat(new Judged(Call.BETTER, Call.BETTER, 0.8).kind(0.9)).isEqualTo(Judged.Kind.RIGHT);
        assertThat(new Judged(Call.BETTER, Call.NO_DIFFERENCE, 0.8).kind(0.9)).isEqualTo(Judged.Kind.WRONG);
        assertThat(new Judged(Call.CANT_TELL, Call.BETTER, 0.5).kind(0.2)).isEqualTo(Judged.Kind.RIGHTLY_OPEN);
        assertThat(new Judged(Call.CANT_TELL, Call.BETTER, 0.5).kind(0.9)).isEqualTo(Judged.Kind.NEEDLESSLY_OPEN);
    }

    @Test
    void theBrierScoreIsTheSquaredDistance() {
        assertThat(new Judged(Call.SALTS, Call.SALTS, 0.9).brier().orElseThrow())
                .isEqualTo(0.01, within(1e-12));
        assertThat(new Judged(Call.SALTS, Call.BOTH, 0.9).brier().orElseThrow()).isEqualTo(0.81, within(1e-12));
        assertThat(new Judged(Call.CANT_TELL, Call.BOTH, 0.5).brier()).isEmpty();
        assertThatThrownBy(() -> new Judged(Call.SALTS, Call.BOTH, 0.4)).hasMessageContaining("how sure");
    }

    @Test
    void whatWasSaidStandsBesideWhatCame() {
        List<Judged.Calibration> groups = Judged.calibration(List.of(
                new Judged(Call.BETTER, Call.BETTER, 0.8),
                new Judged(Call.BETTER, Call.WORSE, 0.8),
                new Judged(Call.SAFE, Call.SAFE, 1),
                new Judged(Call.CANT_TELL, Call.SAFE, 0.5)));
        assertThat(groups).hasSize(2);
        assertThat(groups.get(0).came()).isEqualTo(0.5, within(1e-12));
        assertThat(groups.get(0).said()).isEqualTo(0.8, within(1e-12));
        assertThat(groups.get(1).calls()).isEqualTo(1);
    }
}
