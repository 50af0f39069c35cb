package elsom.core.sim;

/** What can be wrong with the bench scale; chosen by hand to practise with. */
public enum ScaleFault {
    NONE("working"),
    DRIFTING("drifting"),
    UNSTEADY("in the wind"),
    OVERLOADED("a hand on the pan"),
    UNPLUGGED("unplugged");

    private final String label;

    ScaleFault(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
