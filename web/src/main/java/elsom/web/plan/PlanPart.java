package elsom.web.plan;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** The parts of a plan in the order of the work. */
public enum PlanPart {
    QUESTION("Question"),
    TREATMENTS("Treatments"),
    SIZE("How many"),
    BENCH("Bench"),
    DATES("Dates and care"),
    READY("Get ready"),
    LABELS("Labels"),
    START("Overview");

    private final String label;

    PlanPart(String label) {
        this.label = label;
    }

    /** Whether it shows which unit gets which treatment. */
    boolean tellsWhoGetsWhat() {
        return this == BENCH || this == READY || this == LABELS || this == START;
    }

    public String label() {
        return label;
    }

    public String path() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** Where it is shown. */
    public String href(long trial) {
        String base = "/trials/" + trial;
        return switch (this) {
            case QUESTION -> base;
            case START -> base + "/plan";
            default -> base + "/plan/" + path();
        };
    }

    public PlanPart next() {
        List<PlanPart> all = List.of(values());
        return all.get(Math.min(all.indexOf(this) + 1, all.size() - 1));
    }

    static Optional<PlanPart> at(String path) {
        return Arrays.stream(values()).filter(part -> part.path().equals(path)).findFirst();
    }
}
