package elsom.core.seedling;

import java.util.Arrays;
import java.util.List;

/** Where on a seedling, or around it, a symptom is seen. */
public enum SeedlingPart {
    LEAF("Leaves"),
    COTYLEDON("Seed leaves"),
    STEM("Stem"),
    ROOT("Roots"),
    WHOLE("Whole plant"),
    SURFACE("Surface");

    private final String label;

    SeedlingPart(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }

    /** What may be seen there. */
    public List<Symptom> symptoms() {
        return Arrays.stream(Symptom.values())
                .filter(symptom -> symptom.part() == this)
                .toList();
    }
}
