package elsom.core.sums;

import java.util.List;
import java.util.Optional;

/** All sums there are. */
public final class Sums {
    private static final List<Sum> ALL = List.of(
            Dilutions.byStrength(),
            Dilutions.byRatio(),
            Dilutions.series(),
            Feeds.feed(),
            Feeds.rates(),
            Feeds.plot(),
            Feeds.seed(),
            YardSums.tank(),
            YardSums.basis(),
            YardSums.drip(),
            YardSums.jug(),
            YardSums.powders(),
            YardSums.seedBy(),
            YardSums.promise(),
            YardSums.price(),
            Salts.units(),
            Salts.extracts(),
            Salts.sodium(),
            Salts.blending(),
            Acidity.target(),
            Acidifying.target(),
            Meters.calibration(),
            Meters.buffers(),
            Meters.loss(),
            Meters.conversion(),
            Columns.column(),
            Columns.twoHeights(),
            MoneySums.returns(),
            MoneySums.potCost(),
            MoneySums.change(),
            MoneySums.sureReturn(),
            Claims.check(),
            TastingSums.triangle(),
            TastingSums.preference());

    private Sums() {}

    public static List<Sum> all() {
        return ALL;
    }

    public static Optional<Sum> find(String code) {
        return ALL.stream().filter(sum -> sum.code().equals(code)).findFirst();
    }
}
