package elsom.core.trial;

/** Where a value came from. */
public enum Instrument {
    HAND("read and typed"),
    SCALE("taken from the scale"),
    FILE("read in from a file"),
    SENSOR("worked out from a sensor's series"),
    LABORATORY("measured by a laboratory"),
    FORMULA("worked out from other endpoints"),
    SCRIPT("sent by a script"),
    GAUGE("taken from an instrument held to the unit"),
    PHOTO("worked out from a photo"),
    METER("read from a meter that was checked that day"),
    METER_UNCHECKED("read from a meter that was not checked that day");

    private final String label;

    Instrument(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
