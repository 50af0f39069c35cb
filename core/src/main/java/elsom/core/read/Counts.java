package elsom.core.read;

import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Counts of so many, and scores of 0 to 5. */
final class Counts {
    private static final int HIGHEST = 5;
    private static final int MOST = 1_000_000;
    private static final Set<String> VAGUE =
            Set.of("most", "some", "few", "many", "several", "nearly", "almost", "half");
    private static final Set<String> GONE = Set.of("lost", "dead", "died", "missing", "gone", "eaten", "failed");

    private Counts() {}

    static Read ofN(Piece piece) {
        if (piece.has(0, "all")) {
            return all(piece);
        }
        if (piece.has(0, "none")) {
            return none(piece);
        }
        if (!piece.tokens().isEmpty() && VAGUE.contains(piece.tokens().get(0).word()) && !piece.has(0, "half", "a")) {
            return new Read.Ask("How many is “" + piece.plain() + "”?");
        }
        int sign = piece.has(0, "-") ? -1 : 1;
        int start = piece.has(0, "-") || piece.has(0, "+") ? 1 : 0;
        Optional<Part> slashed = slashed(piece, start);
        Optional<Part> part = slashed.isPresent() ? slashed : worded(piece, start);
        if (part.isEmpty()) {
            return alone(piece, start, sign);
        }
        return judged(piece, sign * part.get().k(), part.get().n(), part.get().next());
    }

    private record Part(double k, double n, int next) {}

    /** "8/12", which is no fraction here. */
    private static Optional<Part> slashed(Piece piece, int at) {
        List<Token> tokens = piece.tokens();
        return at + 2 < tokens.size()
                        && tokens.get(at).isNumber()
                        && tokens.get(at + 1).is("/")
                        && tokens.get(at + 2).isNumber()
                ? Optional.of(
                        new Part(tokens.get(at).value(), tokens.get(at + 2).value(), at + 3))
                : Optional.empty();
    }

    private static Optional<Part> worded(Piece piece, int start) {
        Optional<NumberAt> k = NumberAt.of(piece.tokens(), start);
        if (k.isEmpty()) {
            return Optional.empty();
        }
        int at = k.get().next();
        int joint = piece.has(at, "out", "of") ? 2 : piece.has(at, "of") || piece.has(at, "from") ? 1 : 0;
        int behind = joint > 0 && piece.has(at + joint, "the") ? at + joint + 1 : at + joint;
        return joint == 0
                ? Optional.empty()
                : NumberAt.of(piece.tokens(), behind).map(n -> new Part(k.get().value(), n.value(), n.next()));
    }

    private static Read judged(Piece piece, double k, double n, int next) {
        if (k < 0) {
            return piece.refused("A count can't be below 0, and “" + piece.plain() + "” is");
        }
        if (k != Math.rint(k) || n != Math.rint(n)) {
            return piece.refused("“" + piece.plain() + "” is not of whole ones");
        }
        if (n == 0) {
            return piece.refused("Of 0 there is nothing to count");
        }
        if (k > n) {
            return piece.refused("“" + piece.plain() + "” is more than there were");
        }
        if (n > MOST) {
            return piece.refused("“" + piece.plain() + "” is more than can be counted here");
        }
        Read.Counted counted = new Read.Counted((int) k, (int) n);
        List<Token> rest = piece.tokens()
                .subList(Math.min(next, piece.tokens().size()), piece.tokens().size());
        if (rest.isEmpty()) {
            return new Read.Value(counted, "k/n").noted(piece.about(), "", "");
        }
        if (piece.has(next, "±") || piece.has(next, "-")) {
            return piece.refused("“" + piece.plain() + "” is no count");
        }
        if (rest.stream().anyMatch(token -> GONE.contains(token.word()))) {
            return new Read.Ask("“" + piece.plain()
                    + "”: of those that were there, or of those that are left? Write the number" + " it is of.");
        }
        if (piece.has(next, "(") || piece.has(next, ",")) {
            return new Read.Value(counted, "k/n")
                    .noted(
                            piece.about(),
                            piece.words(next + 1, piece.tokens().size()).replaceAll("[)\\s]+$", ""),
                            "");
        }
        Piece.Left left = piece.left(next, true);
        return !left.refuse().isEmpty()
                ? piece.refused(left.refuse())
                : left.ask().isEmpty()
                        ? new Read.Value(counted, "k/n").noted(piece.about(), left.note(), "")
                        : new Read.Ask(left.ask());
    }

    private static Read all(Piece piece) {
        int at = piece.has(1, "of") ? 2 : 1;
        at = piece.has(at, "the") ? at + 1 : at;
        Optional<NumberAt> n = NumberAt.of(piece.tokens(), at);
        return n.map(many -> judged(piece, many.value(), many.value(), many.next()))
                .orElseGet(() -> new Read.Ask("All of how many?"));
    }

    private static Read none(Piece piece) {
        int at = piece.has(1, "of") ? 2 : 1;
        at = piece.has(at, "the") ? at + 1 : at;
        Optional<NumberAt> n = NumberAt.of(piece.tokens(), at);
        return n.map(many -> judged(piece, 0, many.value(), many.next()))
                .orElseGet(() -> new Read.Ask("None of how many?"));
    }

    private static Read alone(Piece piece, int start, int sign) {
        Optional<NumberAt> k = NumberAt.of(piece.tokens(), start);
        if (k.isEmpty()) {
            return piece.refused("There is no count in “" + piece.plain() + "”");
        }
        if (sign < 0 && k.get().value() != 0) {
            return piece.refused("A count can't be below 0, and “" + piece.plain() + "” is");
        }
        boolean ranged = piece.has(k.get().next(), "-") || piece.has(k.get().next(), "to");
        if (ranged) {
            return piece.refused("“" + piece.plain() + "” is a range, and no count");
        }
        return new Read.Ask("“" + piece.plain() + "”: of how many?");
    }

    /** A score, with the symptoms typed behind it. */
    static Read score(Piece piece) {
        if (piece.has(0, "between")) {
            return new Read.Ask("“" + piece.plain() + "”: the scale has whole points. Which is it?");
        }
        int sign = piece.has(0, "-") ? -1 : 1;
        int start = piece.has(0, "-") || piece.has(0, "+") ? 1 : 0;
        Optional<NumberAt> number = slashed(piece, start).map(part -> new NumberAt(part.k(), start + 1, false));
        Optional<NumberAt> points = number.isPresent() ? number : NumberAt.of(piece.tokens(), start);
        if (points.isEmpty() || (points.get().worded() && (piece.has(start, "a") || piece.has(start, "half")))) {
            return piece.tokens().stream().anyMatch(Token::isWord)
                    ? new Read.Ask("How many points is “" + piece.plain() + "”?")
                    : piece.refused("There is no score in “" + piece.plain() + "”");
        }
        double value = sign * points.get().value();
        int at = points.get().next();
        Optional<Read> asked = doubtful(piece, at);
        if (asked.isPresent()) {
            return asked.get();
        }
        int joint = piece.has(at, "/") || piece.has(at, "of") ? 1 : piece.has(at, "out", "of") ? 2 : 0;
        if (joint > 0) {
            Optional<NumberAt> scale = NumberAt.of(piece.tokens(), at + joint);
            if (scale.isEmpty() || scale.get().value() != HIGHEST) {
                return new Read.Ask("The scale is 0 to 5: what is “" + piece.plain() + "” on it?");
            }
            at = scale.get().next();
        }
        return scored(piece, value, at);
    }

    private static Optional<Read> doubtful(Piece piece, int at) {
        if (piece.has(at, "+") || piece.has(at, "or") || (piece.has(at, "-") && piece.ends(at + 1))) {
            return Optional.of(new Read.Ask("“" + piece.plain() + "”: the scale has whole points. Which is it?"));
        }
        boolean ranged = (piece.has(at, "-") || piece.has(at, "to"))
                && NumberAt.of(piece.tokens(), at + 1).isPresent();
        return ranged
                ? Optional.of(piece.refused("“" + piece.plain() + "” is a range, and no reading"))
                : Optional.empty();
    }

    private static Read scored(Piece piece, double value, int at) {
        if (value < 0 || value > HIGHEST) {
            return piece.refused("The scale is 0 to 5, and “" + piece.plain() + "” is off it");
        }
        if (value != Math.rint(value)) {
            String low = Read.Amount.figure(Math.floor(value));
            String high = Read.Amount.figure(Math.ceil(value));
            return new Read.Ask("The scale has whole points:", List.of(low, high));
        }
        boolean named = piece.has(at, "points") || piece.has(at, "point");
        int behind = named ? at + 1 : at;
        int from = piece.has(behind, "-") || piece.has(behind, ":") ? behind + 1 : behind;
        Piece.Left left = piece.left(from, true);
        if (!left.refuse().isEmpty()) {
            return piece.refused(left.refuse());
        }
        return left.ask().isEmpty()
                ? new Read.Value(new Read.Amount(value), Units.SCORED).noted(piece.about(), left.note(), "")
                : new Read.Ask(left.ask());
    }
}
