package elsom.core.read;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Reads what somebody typed into a box. What has one meaning is understood; what has several is asked about with its
 * readings; the rest is refused with what would do. Nothing is guessed, and nothing is left out without a word.
 */
public final class Reader {
    private static final int LONGEST = 200;
    private static final int LONGEST_LIST = 500;
    private static final double LARGEST = 1e15;
    private static final Set<String> UNKNOWN = Set.of(
            "?",
            "??",
            "unknown",
            "not known",
            "don't know",
            "dont know",
            "do not know",
            "dunno",
            "n/a",
            "na",
            "n.a.",
            "not measured",
            "not weighed",
            "not counted",
            "not read",
            "not scored",
            "not taken",
            "not written down",
            "no idea",
            "-",
            "--",
            "missing");
    private static final Set<Box> PLANNED = Set.of(
            Box.DAY_PLANNED,
            Box.TIME_SPAN,
            Box.SHARE,
            Box.DOSE_LEVEL,
            Box.DOSE_LIST,
            Box.LABEL_RATE,
            Box.AREA_RATE,
            Box.NUTRIENT_PPM,
            Box.RATIO,
            Box.MIX,
            Box.SEED_AMOUNT);

    private static final double NEXT_TO_NOTHING = 1e-6;

    private Reader() {}

    /**
     * Reads a text.
     *
     * @param box where it was typed
     * @param typed as it was typed
     */
    public static Read read(Box box, String typed, Known known) {
        String plain = Plain.of(typed);
        int longest = box == Box.DOSE_LIST || box == Box.MIX ? LONGEST_LIST : LONGEST;
        if (plain.isEmpty()) {
            return new Read.Refused("Nothing is typed here", box.example());
        }
        if (plain.length() > longest) {
            return new Read.Refused("It has more than " + longest + " characters", box.example());
        }
        if (plain.startsWith("=") || plain.startsWith("@") || plain.chars().anyMatch(Character::isISOControl)) {
            return new Read.Refused("“" + plain + "” is a formula or a command, not a reading", box.example());
        }
        if (plain.matches("(?s).*<\\s*/?\\s*[a-zA-Z].*") && box != Box.BELOW_DETECTION) {
            return new Read.Refused("“" + plain + "” holds marks that are no reading", box.example());
        }
        if (UNKNOWN.contains(plain.toLowerCase(Locale.ROOT))) {
            return unknown(box, plain);
        }
        Read read = eachWay(box, plain, known);
        if (read instanceof Read.Value value && value.meaning() instanceof Read.Mixed mix && !saidBack(mix, known)) {
            return new Read.Ask(
                    "“" + plain + "”: a name in it can't be told from an amount. Type it as in " + box.example() + ".");
        }
        return read instanceof Read.Ask ask ? possible(box, ask, known) : read;
    }

    /** Whether a mix, as it is said, is read as the same: names that hold amounts or measures are not. */
    private static boolean saidBack(Read.Mixed mix, Known known) {
        if (!(eachWay(Box.MIX, Plain.of(mix.says("")), known) instanceof Read.Value again
                && again.meaning() instanceof Read.Mixed back
                && back.shares().size() == mix.shares().size())) {
            return false;
        }
        for (int i = 0; i < mix.shares().size(); i++) {
            Read.Share said = mix.shares().get(i);
            Read.Share read = back.shares().get(i);
            if (!said.material().equals(read.material()) || Math.abs(said.share() - read.share()) > NEXT_TO_NOTHING) {
                return false;
            }
        }
        return true;
    }

    /** Offers only what this box understands. */
    private static Read possible(Box box, Read.Ask ask, Known known) {
        return new Read.Ask(
                ask.question(),
                ask.readings().stream()
                        .filter(reading -> eachWay(box, Plain.of(reading), known) instanceof Read.Value)
                        .toList());
    }

    private static Read unknown(Box box, String plain) {
        if (PLANNED.contains(box)) {
            return new Read.Ask("“" + plain + "”: what is planned has to be known. What is it?");
        }
        return new Read.Value(new Read.Unknown(), "");
    }

    /** With "1,250" as each of the numbers it may be. */
    private static Read eachWay(Box box, String plain, Known known) {
        boolean joined = box != Box.DOSE_LIST && box != Box.FREE;
        List<Token> tokens = Token.of(plain, joined);
        if (box != Box.DATE && box != Box.DAY_PLANNED && tokens.stream().anyMatch(t -> t.kind() == Token.Kind.BROKEN)) {
            if (box != Box.DOSE_LIST && box != Box.FREE && box != Box.MIX) {
                return new Read.Refused("Two decimal marks in “" + plain + "”", box.example());
            }
        }
        if (tokens.stream().anyMatch(token -> token.value() > LARGEST)) {
            return new Read.Refused("“" + plain + "” is beyond anything measured here", box.example());
        }
        boolean twice = tokens.stream().anyMatch(token -> !Double.isNaN(token.other()));
        if (!twice) {
            return boxed(Piece.of(box, plain, tokens, known));
        }
        Read thousands = boxed(Piece.of(
                box,
                plain,
                tokens.stream().map(token -> token.read(token.value())).toList(),
                known));
        Read decimal = boxed(Piece.of(
                box,
                plain,
                tokens.stream()
                        .map(token -> token.read(Double.isNaN(token.other()) ? token.value() : token.other()))
                        .toList(),
                known));
        return either(thousands, decimal, plain);
    }

    private static Read either(Read thousands, Read decimal, String plain) {
        if (thousands instanceof Read.Value one && decimal instanceof Read.Value two) {
            return one.equals(two)
                    ? one
                    : new Read.Ask("“" + plain + "” is read in two ways:", List.of(one.says(), two.says()));
        }
        return thousands instanceof Read.Refused ? decimal : decimal instanceof Read.Refused ? thousands : decimal;
    }

    private static Read boxed(Piece piece) {
        return switch (piece.box()) {
            case MASS, VOLUME, LENGTH, AREA, TEMPERATURE, TIME_SPAN, PH, EC, CONCENTRATION, NUTRIENT_PPM ->
                Physical.read(piece);
            case DATE, DAY_PLANNED -> Dates.read(piece);
            case SHARE -> Shares.read(piece);
            case COUNT_OF_N -> Counts.ofN(piece);
            case SCORE -> Counts.score(piece);
            case DOSE_LEVEL, LABEL_RATE, AREA_RATE -> Doses.read(piece);
            case DOSE_LIST -> DoseList.read(piece);
            case RATIO -> Ratios.read(piece);
            case MIX -> Mixes.read(piece);
            case SEED_AMOUNT -> Loose.seed(piece);
            case BELOW_DETECTION -> Loose.limit(piece);
            case FREE -> Loose.free(piece);
        };
    }

    /** One value when all meanings come to the same; else a question with each. */
    static Read oneOf(Piece piece, List<Read.Value> meanings, List<String> readings) {
        List<Read.Value> distinct = new ArrayList<>();
        List<String> texts = new ArrayList<>();
        for (int i = 0; i < meanings.size(); i++) {
            Read.Meaning meaning = meanings.get(i).meaning();
            if (distinct.stream().noneMatch(other -> Objects.equals(other.meaning(), meaning))) {
                distinct.add(meanings.get(i));
                texts.add(readings.get(i));
            }
        }
        return distinct.size() == 1
                ? distinct.get(0)
                : new Read.Ask(
                        "“" + piece.plain() + "” may be",
                        texts.stream().distinct().collect(Collectors.toList()));
    }
}
