package elsom.core.diagnosis;

import elsom.core.seedling.Symptom;
import java.util.Arrays;
import java.util.Optional;

/** Something that speaks for or against a cause, present or absent. The code stands in the table of likelihoods. */
public enum Sign {
    INJURED("injured", "injured", "unharmed", Kind.INJURY),
    CUPPED(Symptom.CUPPED),
    STRAP(Symptom.STRAP),
    YELLOW(Symptom.YELLOW),
    YELLOW_VEINS(Symptom.YELLOW_VEINS),
    BLEACHED(Symptom.BLEACHED),
    BURNT(Symptom.BURNT),
    PURPLE(Symptom.PURPLE),
    CHEWED(Symptom.CHEWED),
    TWISTED(Symptom.TWISTED),
    SWOLLEN(Symptom.SWOLLEN),
    COLLAPSED(Symptom.COLLAPSED),
    LEGGY(Symptom.LEGGY),
    BROWN_ROOTS(Symptom.BROWN_ROOTS),
    STUBBY_ROOTS(Symptom.STUBBY_ROOTS),
    STUNTED(Symptom.STUNTED),
    WILTED(Symptom.WILTED),
    MISSING(Symptom.MISSING),
    MOULD(Symptom.MOULD),
    ALGAE(Symptom.ALGAE),
    LATE("late", "injury came late", "injury from the first look on", Kind.COURSE),
    HIGH_EC("high ec", "EC is high", "EC is not high", Kind.MEASURED),
    LOW_PH("low ph", "pH is low", "pH is not low", Kind.MEASURED),
    HIGH_PH("high ph", "pH is high", "pH is not high", Kind.MEASURED),
    SEVERE("severe", "injury is severe", "injury is not severe", Kind.MEASURED),
    SMELL("smell", "it smells of ammonia", "it does not smell of ammonia", Kind.MEASURED),
    FRESH("fresh", "it is fresh, under two months", "it is older than two months", Kind.MEASURED),
    COLD_PLACE("cold place", "it stood cold", "it did not stand cold", Kind.MEASURED),
    DILUTION("dilution", "harm falls when thinned", "harm stays when thinned", Kind.RESPONSE),
    CHARCOAL("charcoal", "harm falls with charcoal", "harm stays with charcoal", Kind.RESPONSE),
    LEACHING("leach", "harm falls with leaching", "harm stays with leaching", Kind.RESPONSE),
    AIRING("air", "harm falls with airing", "harm stays with airing", Kind.RESPONSE),
    NITROGEN("nitrogen", "harm falls with nitrogen", "harm stays with nitrogen", Kind.RESPONSE),
    LIME("lime", "harm falls with lime", "harm stays with lime", Kind.RESPONSE);

    /** What sort of sign it is. */
    public enum Kind {
        INJURY,
        SYMPTOM,
        COURSE,
        MEASURED,
        RESPONSE
    }

    private final String code;
    private final String present;
    private final String absent;
    private final Kind kind;

    Sign(String code, String present, String absent, Kind kind) {
        this.code = code;
        this.present = present;
        this.absent = absent;
        this.kind = kind;
    }

    Sign(Symptom symptom) {
        this(symptom.code(), symptom.label(), symptom.absent(), Kind.SYMPTOM);
    }

    public String code() {
        return code;
    }

    public Kind kind() {
        return kind;
    }

    /** In words. */
    public String words(boolean isPresent) {
        return isPresent ? present : absent;
    }

    public static Sign of(Symptom symptom) {
        return called(symptom.like().code()).orElseThrow();
    }

    public static Sign of(Remedy remedy) {
        return called(remedy.code()).orElseThrow();
    }

    public static Optional<Sign> called(String code) {
        return Arrays.stream(values()).filter(sign -> sign.code.equals(code)).findFirst();
    }
}
