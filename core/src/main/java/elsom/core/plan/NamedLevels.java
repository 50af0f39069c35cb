package elsom.core.plan;

import elsom.core.quantity.Decimals;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.IntStream;

/** Which levels of a factor somebody names in a comparison: "10 %", "dose 10 %", "none"; only where factors are crossed. */
final class NamedLevels {
    private final List<Factor> factors;

    /** A level that was named; its factor from 0. */
    private record Named(int factor, Factor.Level level) {}

    NamedLevels(Treatments planned) {
        this.factors = planned.factors().size() > 1 ? planned.factors() : List.of();
    }

    /**
     * The levels named; empty where none is.
     *
     * @param who levels with commas between; nothing for all others
     * @param with the level they are held against; nothing for the factor's control
     * @throws IllegalArgumentException in words, where it can't be told which are meant
     */
    Optional<Step> step(String who, String with) {
        List<String> asked = parts(who);
        List<Named> named = asked.stream().flatMap(text -> one(text).stream()).toList();
        Optional<Named> beside = one(with);
        if (named.isEmpty() && (beside.isEmpty() || !asked.isEmpty())) {
            return Optional.empty();
        }
        int factor =
                named.isEmpty() ? beside.orElseThrow().factor() : named.get(0).factor();
        if (named.size() < asked.size() || named.stream().anyMatch(level -> level.factor() != factor)) {
            throw new IllegalArgumentException(
                    "“" + who + "” is not all levels of one factor. Accepted: " + accepted(factors.get(factor)));
        }
        if (!with.isBlank() && beside.filter(level -> level.factor() == factor).isEmpty()) {
            throw new IllegalArgumentException("“" + with + "” is not a level of "
                    + factors.get(factor).name() + ". Accepted: " + accepted(factors.get(factor)));
        }
        Factor.Level against = beside.map(Named::level).orElseGet(() -> control(factors.get(factor)));
        List<String> levels = (named.isEmpty()
                        ? factors.get(factor).levels().stream().filter(level -> !level.equals(against))
                        : named.stream().map(Named::level))
                .map(Factor.Level::name)
                .distinct()
                .toList();
        return Optional.of(new Step(factor + 1, levels, against.name()));
    }

    private static Factor.Level control(Factor factor) {
        return factor.levels().stream()
                .filter(Factor.Level::control)
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(factor.name()
                        + " has no control level. Name the level it is held against. Accepted: " + accepted(factor)));
    }

    private static String accepted(Factor factor) {
        return String.join(
                ", ", factor.levels().stream().map(Factor.Level::name).toList());
    }

    /** A whole text that is a level is one, commas and all. */
    private List<String> parts(String typed) {
        if (typed.isBlank() || one(typed).isPresent()) {
            return typed.isBlank() ? List.of() : List.of(typed);
        }
        List<String> parts = new ArrayList<>();
        for (String part : typed.split("; ?|, | or | and ")) {
            if (!part.isBlank()) {
                parts.add(part);
            }
        }
        return parts;
    }

    private Optional<Named> one(String typed) {
        String plain = plain(typed);
        List<Named> found = IntStream.range(0, factors.size())
                .boxed()
                .flatMap(at -> factors.get(at).levels().stream()
                        .filter(level -> names(factors.get(at), level).contains(plain))
                        .map(level -> new Named(at, level)))
                .toList();
        if (found.size() > 1) {
            throw new IllegalArgumentException("“" + typed.strip() + "” is a level of more than one factor. Accepted: "
                    + factors.get(found.get(0).factor()).name() + " "
                    + found.get(0).level().name());
        }
        return found.stream().findFirst();
    }

    /** All that a level may be called. */
    private static List<String> names(Factor factor, Factor.Level level) {
        List<String> names = new ArrayList<>(List.of(plain(level.name())));
        if (level.amount() != null) {
            String amount = Decimals.upTo(level.amount(), 6);
            names.add(plain(amount + factor.unit().symbol(level.amount())));
        }
        new ArrayList<>(names).forEach(name -> names.add(plain(factor.name() + name)));
        return names;
    }

    private static String plain(String typed) {
        return typed.toLowerCase(Locale.ROOT).replaceAll("[\\s:]", "").replace(',', '.');
    }
}
