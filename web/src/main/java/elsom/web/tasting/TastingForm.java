package elsom.web.tasting;

import elsom.core.panel.Tasting;
import elsom.core.trial.TrialRecord;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * A tasting as it is typed.
 *
 * @param samples a line each
 */
record TastingForm(
        Tasting.@Nullable Kind kind,
        @Nullable String samples,
        @Nullable String tasters,
        @Nullable UUID token) {
    private static final String USUAL_TASTERS = "12";
    private static final int LONGEST_NAME = 60;

    /** Filled in with the trial's treatments, unless nobody may know them yet. */
    static TastingForm fresh(TrialRecord record) {
        boolean hidden = record.trial().blind() && record.trial().started();
        return new TastingForm(
                Tasting.Kind.LIKING,
                hidden
                        ? ""
                        : record.treatments().stream()
                                .limit(Tasting.MOST_SAMPLES)
                                .map(treatment -> treatment.name())
                                .collect(Collectors.joining("\n")),
                USUAL_TASTERS,
                UUID.randomUUID());
    }

    public Tasting.Kind chosen() {
        return kind == null ? Tasting.Kind.LIKING : kind;
    }

    List<String> names() {
        return samples == null
                ? List.of()
                : samples.lines()
                        .map(String::strip)
                        .filter(line -> !line.isEmpty())
                        .toList();
    }

    private int number() {
        String typed = Objects.requireNonNullElse(tasters, "").strip();
        return typed.matches("\\d{1,4}") ? Integer.parseInt(typed) : 0;
    }

    UUID tokenOrNew() {
        return token == null ? UUID.randomUUID() : token;
    }

    /** What is wrong, each with an accepted example. */
    List<String> problems() {
        List<String> problems = new ArrayList<>();
        List<String> names = names();
        boolean two = chosen().ofTwo();
        if (two && names.size() != 2) {
            problems.add("“" + chosen().label() + "” has two samples, here are " + names.size()
                    + ". Leave two lines. Accepted: plain / digestate 20 mL/L.");
        } else if (!two && (names.size() < 2 || names.size() > Tasting.MOST_SAMPLES)) {
            problems.add("A tasting has 2 to " + Tasting.MOST_SAMPLES + " samples, here are " + names.size()
                    + ". Accepted: a line for each, such as plain.");
        }
        if (names.stream().distinct().count() < names.size()) {
            problems.add("Two samples have the same name. Accepted: tray 1, tray 2.");
        }
        names.stream()
                .filter(name -> name.length() > LONGEST_NAME)
                .findFirst()
                .ifPresent(name -> problems.add(
                        "“" + name.substring(0, 20) + "…” is too long: " + LONGEST_NAME + " characters at most."));
        if (number() < 1 || number() > Tasting.MOST_TASTERS) {
            problems.add("Tasters are a number from 1 to " + Tasting.MOST_TASTERS + ". Accepted: 12.");
        }
        return problems;
    }

    Tasting tasting(long seed) {
        return new Tasting(chosen(), names(), number(), seed);
    }
}
