package elsom.web.kit;

import elsom.core.trial.Texture;
import elsom.core.trial.Tint;
import elsom.core.trial.Treatment;
import elsom.core.trial.TrialRecord;
import java.util.List;

/** What a treatment looks like wherever it is drawn. */
public record Swatch(int number, String code, String name, Texture texture, Tint tint) {
    public static Swatch of(Treatment treatment) {
        return new Swatch(
                treatment.number(), treatment.code(), treatment.name(), treatment.texture(), treatment.tint());
    }

    /** Classes of its pattern. */
    public String css() {
        return "tint-" + tint + (weave() == Texture.Weave.LIGHT_ON_DARK ? " light-on-dark" : "");
    }

    /** How much larger than usual its pattern is drawn. */
    public double scale() {
        return weave() == Texture.Weave.LARGE ? 2 : 1;
    }

    private Texture.Weave weave() {
        return Texture.Weave.forTreatment(number);
    }

    public static List<Swatch> of(TrialRecord record) {
        return record.treatments().stream().map(Swatch::of).toList();
    }
}
