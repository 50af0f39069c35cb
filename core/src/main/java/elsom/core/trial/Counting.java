package elsom.core.trial;

import elsom.core.quantity.Bounds;

/** How many values one observation of an endpoint has, of what form, and who gives them. */
public enum Counting {
    /** One value. */
    SINGLE(Source.HAND, ReadingForm.NUMBER, Among.NOTHING, 1),
    /** One value that a sensor's series gives; it is not read by hand. */
    SENSED(Source.SENSOR, ReadingForm.NUMBER, Among.NOTHING, 1),
    /** One value that is worked out from other endpoints; it is not read at all. */
    WORKED_OUT(Source.FORMULA, ReadingForm.NUMBER, Among.NOTHING, 1),
    /** A place among the units it is compared with, 1 the best. */
    PLACE(Source.HAND, ReadingForm.PLACE, Among.NOTHING, 1),
    /** Words, kept as they were typed; nothing is worked out from them. */
    WORDS(Source.HAND, ReadingForm.WORDS, Among.NOTHING, 1),
    /** Several sub-readings, averaged before statistics see them. */
    SUB_READINGS(Source.HAND, ReadingForm.NUMBER, Among.NOTHING, Bounds.SUB_READINGS),
    /** A count out of a known number, such as 7 of 8. */
    COUNT_OF(Source.HAND, ReadingForm.COUNT, Among.KNOWN, Bounds.COUNTED),
    /** In a plan: a count out of the seeds sown in a unit, whose number the plan may still change. */
    OF_SEEDS(Source.HAND, ReadingForm.NUMBER, Among.SEEDS, 1),
    /** In a plan: a count out of the plants of a unit. */
    OF_PLANTS(Source.HAND, ReadingForm.NUMBER, Among.PLANTS, 1);

    enum Source {
        HAND,
        SENSOR,
        FORMULA
    }

    /** What a count is out of. */
    enum Among {
        NOTHING,
        KNOWN,
        SEEDS,
        PLANTS
    }

    final Source source;
    final ReadingForm form;
    final Among among;
    final int largest;

    Counting(Source source, ReadingForm form, Among among, int largest) {
        this.source = source;
        this.form = form;
        this.among = among;
        this.largest = largest;
    }
}
