package elsom.core.trial;

/** Which observation: a unit, a look, an endpoint, and which sub-reading (1-based). */
public record ReadingRef(UnitCode unit, int look, EndpointCode endpoint, int subReading) {
    public ReadingRef(UnitCode unit, int look, EndpointCode endpoint) {
        this(unit, look, endpoint, 1);
    }
}
