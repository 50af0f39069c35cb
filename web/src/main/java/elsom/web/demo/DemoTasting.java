package elsom.web.demo;

import elsom.core.design.RandomDraw;
import elsom.core.panel.Tasting;
import elsom.core.trial.TrialId;
import elsom.web.tasting.Tastings;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** The demo yard tastes its coriander: one tasting is done, one is half-way round. */
@Component
@ConditionalOnProperty("elsom.demo")
class DemoTasting {
    private static final String STATION = "Bench B";
    private static final int TASTERS = 12;
    private static final int HALF_WAY = 7;
    private static final long SEED = 606;

    private final Tastings tastings;

    DemoTasting(Tastings tastings) {
        this.tastings = tastings;
    }

    void taste(TrialId coriander) {
        triangle(coriander, new Tasting(Tasting.Kind.TRIANGLE, List.of("0 mL/L", "40 mL/L"), TASTERS, SEED));
        liking(coriander, new Tasting(Tasting.Kind.LIKING, List.of("0 mL/L", "20 mL/L", "40 mL/L"), TASTERS, SEED + 1));
    }

    private static UUID token(Tasting tasting) {
        return UUID.nameUUIDFromBytes(("tasting " + tasting.seed()).getBytes(StandardCharsets.UTF_8));
    }

    private void triangle(TrialId id, Tasting tasting) {
        int number = tastings.begin(id, tasting, STATION, token(tasting));
        for (int taster = 1; taster <= TASTERS; taster++) {
            List<Tasting.Plate> plates = tasting.served().get(taster - 1);
            int odd = plates.indexOf(Tasting.odd(plates));
            boolean found = taster % 4 != 0;
            tastings.answer(id, number, taster, found ? odd : (odd + 1) % plates.size(), 1);
        }
    }

    /** The strongest is liked a point and a half less. */
    private void liking(TrialId id, Tasting tasting) {
        int number = tastings.begin(id, tasting, STATION, token(tasting));
        RandomDraw draw = new RandomDraw(tasting.seed());
        for (int taster = 1; taster <= HALF_WAY; taster++) {
            double mood = draw.deviate();
            List<Tasting.Plate> plates = tasting.served().get(taster - 1);
            for (int place = 0; place < plates.size(); place++) {
                double liked =
                        6.8 + mood + 0.6 * draw.deviate() - (plates.get(place).sample() == 2 ? 1.6 : 0);
                tastings.answer(id, number, taster, place, Math.max(1, Math.min(9, Math.rint(liked))));
            }
        }
    }
}
