package elsom.web.brew;

import elsom.core.brew.BrewReading;
import elsom.core.brew.Smell;
import elsom.core.trial.UnitCode;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** A visit to a brew as it is typed; whatever was not measured stays empty. */
record VisitForm(
        @Nullable String temperature,
        @Nullable String oxygen,
        @Nullable String ph,
        @Nullable String ec,
        @Nullable String foam,
        @Nullable Smell smell,
        @Nullable UUID token) {
    static final VisitForm EMPTY = new VisitForm("", "", "", "", "", null, null);

    private static final Pattern NUMBER = Pattern.compile(
            "(-?\\d{1,4}(?:[.,]\\d{1,3})?)\\s*(?:°?\\s*([CF])|mg\\s*/\\s*L|mS\\s*/\\s*cm|cm)?",
            Pattern.CASE_INSENSITIVE);

    /** What was read, or everything that can't be. */
    record Read(Optional<BrewReading> visit, List<String> problems) {}

    UUID tokenOrNew() {
        return token == null ? UUID.randomUUID() : token;
    }

    Read read(UnitCode unit, String station, Instant now) {
        List<String> problems = new ArrayList<>();
        Double warm = number("Temperature", temperature, "21.5", problems);
        Double air = number("Oxygen", oxygen, "7.4", problems);
        Double acid = number("pH", ph, "7.1", problems);
        Double salts = number("EC", ec, "1.2", problems);
        Double head = number("Foam", foam, "3", problems);
        boolean nothing = warm == null && air == null && acid == null && salts == null && head == null && smell == null;
        if (nothing && problems.isEmpty()) {
            problems.add("Nothing is typed yet: a figure, or how it smells.");
        }
        if (!problems.isEmpty()) {
            return new Read(Optional.empty(), problems);
        }
        try {
            return new Read(
                    Optional.of(new BrewReading(1, unit, now, station, warm, air, acid, salts, head, smell, null, "")),
                    List.of());
        } catch (IllegalArgumentException outOfRange) {
            String said = String.valueOf(outOfRange.getMessage());
            return new Read(
                    Optional.empty(), List.of(said.substring(0, 1).toUpperCase(Locale.ROOT) + said.substring(1) + "."));
        }
    }

    private static @Nullable Double number(String what, @Nullable String typed, String example, List<String> problems) {
        if (typed == null || typed.isBlank()) {
            return null;
        }
        Matcher matched = NUMBER.matcher(typed.strip());
        if (!matched.matches()) {
            problems.add(what + ": “" + typed.strip() + "” is not a figure. Accepted: " + example + ".");
            return null;
        }
        double value = Double.parseDouble(matched.group(1).replace(',', '.'));
        return "F".equalsIgnoreCase(matched.group(2)) ? (value - 32) / 1.8 : value;
    }
}
