package elsom.core.read;

import java.util.Locale;
import java.util.Optional;

/** What is wanted where somebody types; the same words mean different things in different boxes. */
public enum Box {
    MASS("48.5 g"),
    VOLUME("250 mL"),
    LENGTH("12.5 cm"),
    AREA("2 m² or 50 cm × 30 cm"),
    TEMPERATURE("21.5 °C or 68 °F"),
    TIME_SPAN("10 days or 36 h"),
    DATE("26 Nov 2026"),
    DAY_PLANNED("26 Nov 2026"),
    SHARE("25 % or 1/4"),
    COUNT_OF_N("7 of 10"),
    SCORE("3, or 2, tips scorched"),
    PH("6.2"),
    EC("1.8 mS/cm"),
    CONCENTRATION("350 mg/L"),
    DOSE_LEVEL("5 mL/L, 0.5 g/L or 20 %"),
    DOSE_LIST("0, 2, 4, 8 mL/L"),
    LABEL_RATE("2 g/L, or 30 mL in 10 L"),
    AREA_RATE("60 g/m² or 12 mm"),
    NUTRIENT_PPM("150 ppm N"),
    RATIO("1 in 50, or 1 part stock to 9 parts water"),
    MIX("3 parts leaf mould + 1 part grit"),
    SEED_AMOUNT("40 seeds or 6 g"),
    BELOW_DETECTION("<1 mg/L"),
    FREE("12 leaves");

    private final String example;

    Box(String example) {
        this.example = example;
    }

    /** What this box takes. */
    public String example() {
        return example;
    }

    /** Its name where it is asked for from outside: "dose_list". */
    public String code() {
        return name().toLowerCase(Locale.ROOT);
    }

    public static Optional<Box> coded(String code) {
        for (Box box : values()) {
            if (box.code().equals(code)) {
                return Optional.of(box);
            }
        }
        return Optional.empty();
    }
}
