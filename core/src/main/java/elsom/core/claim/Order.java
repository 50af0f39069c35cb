package elsom.core.claim;

import elsom.core.quantity.Decimals;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * An order that is claimed, the best first: "kelp > nettle > none".
 *
 * @param names two or more, as they were written
 */
public record Order(List<String> names) {
    public Order {
        names = List.copyOf(names);
    }

    /** Reads an order; empty where the words claim none. */
    public static Optional<Order> read(String words) {
        if (!words.contains(">")) {
            return Optional.empty();
        }
        List<String> names = new ArrayList<>();
        for (String part : words.split(">")) {
            if (!part.isBlank()) {
                names.add(part.strip());
            }
        }
        return names.size() < 2 ? Optional.empty() : Optional.of(new Order(names));
    }

    /** Reads "kelp: 12 13 14; nettle: 10 9 11", a group a line or a semicolon; empty where one can't be read. */
    public static Optional<Map<String, ClaimedGroup>> samples(String typed) {
        Map<String, ClaimedGroup> samples = new LinkedHashMap<>();
        for (String line : typed.split("[;\\n]")) {
            if (line.isBlank()) {
                continue;
            }
            int colon = line.indexOf(':');
            Optional<ClaimedGroup> sample = colon < 1 ? Optional.empty() : ClaimedGroup.read(line.substring(colon + 1));
            if (sample.isEmpty()) {
                return Optional.empty();
            }
            samples.put(line.substring(0, colon).strip().toLowerCase(Locale.ROOT), sample.get());
        }
        return samples.isEmpty() ? Optional.empty() : Optional.of(samples);
    }

    /**
     * The order held against numbers: it stands when each is shown to be above the next. Means alone put any groups in some
     * order, and a place can slip where it is copied.
     *
     * @param samples by name in small letters
     */
    public Checked check(Map<String, ClaimedGroup> samples) {
        for (String name : names) {
            if (!samples.containsKey(name.toLowerCase(Locale.ROOT))) {
                return new Checked(
                        Checked.Outcome.NOT_TESTABLE,
                        "There are no numbers of “" + name + "”.",
                        Optional.empty(),
                        Optional.empty(),
                        "Numbers of each that is ranked, each with its name before a colon.",
                        List.of());
            }
        }
        List<String> steps = new ArrayList<>();
        boolean all = true;
        for (int i = 0; i + 1 < names.size(); i++) {
            Checked step = Checked.of(
                    new Claim(Claim.Kind.MORE, 0, ""),
                    sample(samples, names.get(i)),
                    sample(samples, names.get(i + 1)));
            all &= step.outcome() == Checked.Outcome.SUPPORTED;
            steps.add(names.get(i) + " above " + names.get(i + 1) + ": "
                    + step.outcome().label() + ". " + step.sentence());
        }
        return new Checked(
                all ? Checked.Outcome.SUPPORTED : Checked.Outcome.NOT_SUPPORTED,
                all ? "Each is shown to be above the next." : "Not every place in it is shown.",
                Optional.empty(),
                Optional.empty(),
                all ? "" : "More units of those that can't be parted; until then they share a place.",
                slipped(samples).map(slip -> with(steps, slip)).orElse(steps));
    }

    private static ClaimedGroup sample(Map<String, ClaimedGroup> samples, String name) {
        return Objects.requireNonNull(samples.get(name.toLowerCase(Locale.ROOT)));
    }

    private static List<String> with(List<String> steps, String slip) {
        List<String> all = new ArrayList<>();
        all.add(slip);
        all.addAll(steps);
        return all;
    }

    /** Where the means stand in another order than is claimed. */
    private Optional<String> slipped(Map<String, ClaimedGroup> samples) {
        List<String> byMean = new ArrayList<>(names);
        for (String name : names) {
            if (mean(sample(samples, name)).isEmpty()) {
                return Optional.empty();
            }
        }
        byMean.sort(Comparator.comparing(
                        (String name) -> mean(sample(samples, name)).orElse(0))
                .reversed());
        if (byMean.equals(names)) {
            return Optional.empty();
        }
        List<String> told = byMean.stream()
                .map(name -> name + " ("
                        + Decimals.significant(mean(sample(samples, name)).orElse(0), 4) + ")")
                .toList();
        return Optional.of(
                "By their means they stand otherwise: " + String.join(", ", told) + ". A place has slipped.");
    }

    private static OptionalDouble mean(ClaimedGroup sample) {
        if (sample instanceof ClaimedGroup.Measured measured) {
            return OptionalDouble.of(measured.group().mean());
        }
        if (sample instanceof ClaimedGroup.Counted counted) {
            return OptionalDouble.of(counted.share().share());
        }
        return sample instanceof ClaimedGroup.Bare bare ? OptionalDouble.of(bare.mean()) : OptionalDouble.empty();
    }
}
