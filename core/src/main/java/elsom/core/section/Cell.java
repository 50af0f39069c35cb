package elsom.core.section;

import elsom.core.figure.FigureKind;
import elsom.core.figure.GroupKey;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.Treatment;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What stands in one place of a table: as it is shown, and as the number it is.
 *
 * @param shown in words, a number with its unit unless the column names that
 * @param small what stands below or beside it; for a mark, what the mark says
 * @param amount empty for words, and for what can't be told
 * @param treatment that the cell names; empty for all others
 * @param worked the figure whose working can be asked for; empty for all others
 */
public record Cell(
        Kind kind,
        String shown,
        String small,
        Tone tone,
        Optional<Amount> amount,
        Optional<Treatment> treatment,
        Optional<Worked> worked) {
    /** What stands where there is nothing. */
    public static final String NONE = "–";

    /** How it is drawn. */
    public enum Kind {
        WORDS,
        NUMBER,
        TREATMENT,
        /** A word that judges. */
        VERDICT,
        /** A sign of one or two letters, with its words for those who can't see it. */
        MARK
    }

    /** A figure of a group. */
    public record Worked(FigureKind kind, GroupKey group) {}

    private static Cell of(Kind kind, String shown, String small, Tone tone) {
        return new Cell(kind, shown, small, tone, Optional.empty(), Optional.empty(), Optional.empty());
    }

    public static Cell words(String words) {
        return of(Kind.WORDS, words, "", Tone.PLAIN);
    }

    /** A number that is already written; what is not one, such as "can't tell", is no amount. */
    public static Cell number(String shown, Optional<Amount> amount) {
        return new Cell(Kind.NUMBER, shown, "", Tone.PLAIN, amount, Optional.empty(), Optional.empty());
    }

    public static Cell number(String shown, Amount amount) {
        return number(shown, Optional.of(amount));
    }

    /** Why there is no number. */
    public static Cell none(String why) {
        return number(why, Optional.empty());
    }

    /** A value with its unit; a dash where it can't be told. */
    public static Cell shown(FigureKind kind, double value) {
        return Double.isFinite(value) ? number(kind.show(value), Amount.of(value, kind.unit())) : none(NONE);
    }

    /** The same where there may be none. */
    public static Cell shown(FigureKind kind, OptionalDouble value) {
        return shown(kind, value.orElse(Double.NaN));
    }

    public static Cell count(int n) {
        return number(Integer.toString(n), Amount.of(n, UnitOfMeasure.COUNT));
    }

    public static Cell of(Treatment treatment) {
        return new Cell(
                Kind.TREATMENT,
                treatment.name(),
                "",
                Tone.PLAIN,
                Optional.empty(),
                Optional.of(treatment),
                Optional.empty());
    }

    public static Cell verdict(String word, Tone tone) {
        return of(Kind.VERDICT, word, "", tone);
    }

    public static Cell mark(String mark, String words, Tone tone) {
        return of(Kind.MARK, mark, words, tone);
    }

    /** The same with words below it. */
    public Cell with(String words) {
        return new Cell(kind, shown, words, tone, amount, treatment, worked);
    }

    /** The same judged. */
    public Cell toned(Tone by) {
        return new Cell(kind, shown, small, by, amount, treatment, worked);
    }

    /** The same with the way to its working. */
    public Cell worked(FigureKind figure, GroupKey group) {
        return new Cell(kind, shown, small, tone, amount, treatment, Optional.of(new Worked(figure, group)));
    }
}
