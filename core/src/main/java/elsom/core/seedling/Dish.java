package elsom.core.seedling;

import java.util.List;

/** One dish or pot of a germination test: seeds sown, seeds germinated, and the lengths of their roots in mm. */
public record Dish(int seeds, int germinated, List<Double> rootLengthsMm) {
    public Dish {
        if (seeds < 1 || germinated < 0 || germinated > seeds) {
            throw new IllegalArgumentException(
                    "germinated must be 0 to the seeds sown, got " + germinated + " of " + seeds);
        }
        rootLengthsMm = List.copyOf(rootLengthsMm);
        if (rootLengthsMm.stream().anyMatch(length -> !(length >= 0) || Double.isInfinite(length))) {
            throw new IllegalArgumentException("root lengths must be 0 or more, got " + rootLengthsMm);
        }
    }

    double germination() {
        return (double) germinated / seeds;
    }

    /** Mean length of its roots; 0 for a dish without any. */
    double meanRootMm() {
        return rootLengthsMm.stream().mapToDouble(Double::doubleValue).average().orElse(0);
    }
}
