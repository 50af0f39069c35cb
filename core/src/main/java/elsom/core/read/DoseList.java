package elsom.core.read;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Levels of a dose: each in its own unit, or all in the one that is typed. */
final class DoseList {
    private static final Pattern COMMA_IN_NUMBER = Pattern.compile("[0-9],[0-9]");
    private static final Pattern NONE = Pattern.compile("0(?:[.,]0*)?");
    private static final Pattern NUMBERS_ONLY = Pattern.compile("[0-9., ]+.*");

    private DoseList() {}

    static Read read(Piece piece) {
        String text = piece.plain();
        boolean semicolons = text.contains(";");
        if (!semicolons && COMMA_IN_NUMBER.matcher(text).find()) {
            return text.contains(", ") || !text.contains(" ") || text.indexOf(',') != text.lastIndexOf(',')
                    ? new Read.Ask(
                            "In “" + text + "”, does a comma part two levels, or stand in a number? Part levels by ;",
                            List.of())
                    : listed(piece, List.of(text.split("(?<!at) (?=[0-9])")));
        }
        List<String> parts = new ArrayList<>(List.of(text.split(semicolons ? ";" : ",")));
        if (parts.size() == 1 && NUMBERS_ONLY.matcher(text).matches()) {
            parts = List.of(text.split("(?<!at) (?=[0-9])"));
        }
        List<String> levels = parts.stream()
                .map(String::strip)
                .filter(part -> !part.isEmpty())
                .toList();
        return levels.size() < 2
                ? new Read.Refused(
                        "“" + text + "” is one level, and a list has two or more",
                        piece.box().example())
                : listed(piece, levels);
    }

    private static Read listed(Piece piece, List<String> levels) {
        if (levels.size() < 2) {
            return new Read.Refused(
                    "“" + piece.plain() + "” is one level, and a list has two or more",
                    piece.box().example());
        }
        List<Read> read = levels.stream().map(level -> level(piece, level)).toList();
        Optional<String> unit = standing(levels, piece);
        List<Read> meant = new ArrayList<>();
        for (int i = 0; i < levels.size(); i++) {
            boolean bare = levels.get(i).matches("[0-9./ ]+|[0-9]+,[0-9]+");
            meant.add(bare && unit.isPresent() ? level(piece, levels.get(i) + " " + unit.get()) : read.get(i));
        }
        for (int i = 0; i < levels.size(); i++) {
            if (meant.get(i) instanceof Read.Refused refused) {
                return new Read.Refused(
                        "“" + levels.get(i) + "”: " + refused.problem(),
                        piece.box().example());
            }
        }
        Optional<Read.Ask> asked = meant.stream()
                .filter(Read.Ask.class::isInstance)
                .map(Read.Ask.class::cast)
                .findFirst();
        if (asked.isPresent()) {
            return new Read.Ask(
                    asked.get().question(),
                    allAtOnce(levels, meant, asked.get().readings().size()));
        }
        return together(piece, meant.stream().map(Read.Value.class::cast).toList());
    }

    /** The whole list with each reading that its levels have, so that one answer settles all. */
    private static List<String> allAtOnce(List<String> levels, List<Read> meant, int readings) {
        List<String> lists = new ArrayList<>();
        for (int reading = 0; reading < readings; reading++) {
            List<String> list = new ArrayList<>();
            for (int i = 0; i < levels.size(); i++) {
                boolean asks = meant.get(i) instanceof Read.Ask;
                if (asks && ((Read.Ask) meant.get(i)).readings().size() != readings) {
                    return List.of();
                }
                list.add(
                        asks && !NONE.matcher(levels.get(i)).matches()
                                ? ((Read.Ask) meant.get(i)).readings().get(reading)
                                : levels.get(i));
            }
            lists.add(String.join("; ", list));
        }
        return lists;
    }

    private static Read level(Piece piece, String text) {
        Piece level = Piece.of(Box.DOSE_LEVEL, text, Token.of(text, true), piece.known());
        return level.tokens().stream().anyMatch(t -> t.kind() == Token.Kind.BROKEN)
                ? new Read.Refused("two decimal marks", Box.DOSE_LEVEL.example())
                : Doses.read(level);
    }

    /** The one unit that stands for all numbers without: behind the last, or the first, of them. */
    private static Optional<String> standing(List<String> levels, Piece piece) {
        List<String> units = new ArrayList<>();
        for (String level : levels) {
            List<Token> tokens = Token.of(level, true);
            List<Measured> amounts = new AmountAt(tokens, piece.known()).at(0);
            if (!amounts.isEmpty() && !amounts.get(0).bare()) {
                int number = NumberAt.of(tokens, 0).map(NumberAt::next).orElse(0);
                if (number > 0 && number < tokens.size()) {
                    units.add(level.substring(tokens.get(number).start()).strip());
                }
            }
        }
        List<String> distinct = units.stream().distinct().toList();
        return distinct.size() == 1 ? Optional.of(distinct.get(0)) : Optional.empty();
    }

    private static Read together(Piece piece, List<Read.Value> levels) {
        List<String> units = levels.stream()
                .map(Read.Value::unit)
                .filter(unit -> !unit.equals(Units.NO_UNIT))
                .distinct()
                .toList();
        if (units.isEmpty()) {
            return new Read.Ask("“" + piece.plain() + "” has no unit: mL/L, g/L or %?");
        }
        List<Double> doses = levels.stream()
                .map(level -> ((Read.Amount) level.meaning()).value())
                .collect(Collectors.toCollection(ArrayList::new));
        boolean liquid = units.stream().allMatch(unit -> unit.equals("mL/L") || unit.equals(Units.OF_STOCK));
        boolean weighed = units.stream().allMatch(unit -> unit.equals("g/L") || unit.equals("mg/L"));
        String unit = units.get(0);
        if (units.size() > 1 && liquid) {
            unit = Units.OF_STOCK;
            for (int i = 0; i < doses.size(); i++) {
                doses.set(i, levels.get(i).unit().equals("mL/L") ? doses.get(i) / 1000 : doses.get(i));
            }
        } else if (units.size() > 1 && weighed) {
            unit = "g/L";
            for (int i = 0; i < doses.size(); i++) {
                doses.set(i, levels.get(i).unit().equals("mg/L") ? doses.get(i) / 1000 : doses.get(i));
            }
        } else if (units.size() > 1) {
            return new Read.Ask(
                    "“" + piece.plain() + "” has levels in " + String.join(" and in ", units) + ": which is the dose?");
        }
        if (new HashSet<>(doses).size() < doses.size()) {
            return new Read.Ask("In “" + piece.plain() + "” one level stands twice: is that meant?");
        }
        String kitchen = levels.stream()
                .map(Read.Value::measure)
                .filter(m -> !m.isEmpty())
                .findFirst()
                .orElse("");
        String note = levels.stream()
                .map(Read.Value::note)
                .filter(n -> !n.isEmpty())
                .findFirst()
                .orElse("");
        return new Read.Value(new Read.Amounts(doses), unit).noted(piece.about(), note, kitchen);
    }
}
