package elsom.core.trial;

/** How many values one observation of an endpoint has. */
public enum Counting {
    /** One value. */
    SINGLE,
    /** One value that a sensor's series gives; it is not read by hand. */
    SENSED,
    /** One value that is worked out from other endpoints; it is not read at all. */
    WORKED_OUT,
    /** A place among the units it is compared with, 1 the best. */
    PLACE,
    /** Words, kept as they were typed; nothing is worked out from them. */
    WORDS,
    /** Several sub-readings, averaged before statistics see them. */
    SUB_READINGS,
    /** A count out of a known number, such as 7 of 8. */
    COUNT_OF,
    /** In a plan: a count out of the seeds sown in a unit, whose number the plan may still change. */
    OF_SEEDS,
    /** In a plan: a count out of the plants of a unit. */
    OF_PLANTS
}
