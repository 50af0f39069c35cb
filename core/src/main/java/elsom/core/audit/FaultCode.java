package elsom.core.audit;

import java.util.Locale;

/** Every way in which a trial can be unfair that is looked for; codes are those of files. */
public enum FaultCode {
    ONE_UNIT,
    PLANTS_AS_UNITS,
    NO_COMPARATOR,
    UNEQUAL_NUMBERS,
    TIED_FACTORS,
    DIFFERENT_POTS,
    PLACE,
    LIGHT,
    UNEVEN_CARE,
    AGE_AT_MEASURING,
    LATE_LOOKS,
    MISSED_LOOKS,
    METER,
    INSTRUMENT_CHANGED,
    SEVERAL_SCORERS,
    NOT_BLIND,
    LOST_UNITS,
    MIX_UP,
    ASKED_LATE,
    CHANGED_MIDWAY,
    ENDED_EARLY,
    CONTROL_FAILED,
    MIXED_SPECIES,
    TOO_FEW,
    ONE_OF_MANY,
    NITROGEN,
    BASIS,
    MISSED_WATERING,
    SHARED_WATER,
    WEATHER,
    BY_HAND,
    NOT_WRITTEN_DOWN,
    ONE_LOT;

    public String code() {
        return name().toLowerCase(Locale.ROOT);
    }
}
