package elsom.core.flag;

import java.util.Locale;

/** Every flag there is; codes are those of files. */
public enum FlagCode {
    NOT_READ,
    ONE_UNIT_EACH,
    ONE_UNIT,
    NO_CONTROL,
    NO_MARGIN,
    LOST_UNITS,
    LOST_HALF,
    UNEQUAL_NUMBERS,
    UNEQUAL_SCATTER,
    SCATTER_GROWS,
    ODD_UNIT,
    COARSE_READINGS,
    AT_LIMIT,
    OUT_OF_RANGE,
    PLACE_EFFECT,
    OVERDISPERSED,
    CONTROL_FAILED,
    ASKED_LATE,
    UNEVEN_CARE,
    UNCHECKED_METER,
    BELOW_LIMIT,
    /** Of a plan, before anything is read. */
    PLAN,
    /** Of weighings that don't fit together. */
    WEIGHINGS;

    public String code() {
        return name().toLowerCase(Locale.ROOT);
    }
}
