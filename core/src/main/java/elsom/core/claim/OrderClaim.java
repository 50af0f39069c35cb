package elsom.core.claim;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Claims of an order: "kelp > nettle > none", "A beats B, and B beats C", "A first, B second, C last". */
final class OrderClaim {
    private static final Pattern SIGNED = Pattern.compile(" ?§([0-9]+)(?: ([>=<]) §([0-9]+))+ ?");
    private static final Pattern BEATEN =
            Pattern.compile("§([0-9]+) (?:beats?|is better than|does better than|outdoes|outgrows) §([0-9]+)");
    private static final Pattern PLACED = Pattern.compile(
            "^ ?§([0-9]+)(?: (?:is|comes|came))? (?:first|1st)(?: ,| ;)? (?:and |then )?§([0-9]+)(?: (?:is|comes|came))? (?:second|2nd|next)(?:(?: ,| ;)? (?:and |then )?§([0-9]+)(?: (?:is|comes|came))? (?:third|3rd|last))? ?$");

    private OrderClaim() {}

    static Optional<Meant> read(String text, ClaimCase said) {
        if (text.contains("=") && text.contains("§")) {
            return Optional.of(new Meant.Asked("“=” needs a margin; none said"));
        }
        if (text.contains(">") || text.contains("<")) {
            return Optional.of(signed(text, said));
        }
        Matcher placed = PLACED.matcher(text);
        if (placed.matches()) {
            List<Integer> sides = new ArrayList<>();
            for (int i = 1; i <= 3; i++) {
                if (placed.group(i) != null) {
                    sides.add(Integer.parseInt(placed.group(i)));
                }
            }
            return Optional.of(ordered(sides, said, said.better()));
        }
        return chain(text, said);
    }

    private static Meant signed(String text, ClaimCase said) {
        if (!SIGNED.matcher(text).matches()) {
            return new Meant.Asked("the figures have no side of some name in this order");
        }
        if (said.better() < 0) {
            return new Meant.Asked("does “>” mean better, or more, where fewer is better?");
        }
        List<Integer> sides = new ArrayList<>();
        Matcher side = Pattern.compile("§([0-9]+)").matcher(text);
        while (side.find()) {
            sides.add(Integer.parseInt(side.group(1)));
        }
        if (text.contains("<")) {
            if (text.contains(">")) {
                return new Meant.Asked("the order goes both ways");
            }
            java.util.Collections.reverse(sides);
        }
        return ordered(sides, said, 1);
    }

    private static Optional<Meant> chain(String text, ClaimCase said) {
        Matcher beaten = BEATEN.matcher(text);
        List<Integer> sides = new ArrayList<>();
        while (beaten.find()) {
            int above = Integer.parseInt(beaten.group(1));
            int below = Integer.parseInt(beaten.group(2));
            if (sides.isEmpty()) {
                sides.add(above);
            } else if (sides.get(sides.size() - 1) != above) {
                return Optional.empty();
            }
            sides.add(below);
        }
        String left = beaten.replaceAll(" ").replaceAll("\\band\\b|,|;", " ").strip();
        return sides.size() > 2 && left.isEmpty() ? Optional.of(ordered(sides, said, said.better())) : Optional.empty();
    }

    private static Meant ordered(List<Integer> sides, ClaimCase said, int better) {
        if (better == 0 || sides.stream().distinct().count() < sides.size()) {
            return new Meant.Asked(
                    better == 0 ? "neither way is better for this measure" : "one stands twice in the order");
        }
        List<Integer> down = new ArrayList<>(sides);
        if (better < 0) {
            java.util.Collections.reverse(down);
        }
        return new Meant.Ordered(
                down, down.stream().map(i -> said.sides().names().get(i)).toList(), false);
    }
}
