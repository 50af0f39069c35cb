package elsom.core.material;

/** How far a medium is fit for a use; the worst last. */
public enum Fitness {
    PASS("fit"),
    UNKNOWN("not known"),
    CAUTION("with care"),
    FAIL("unfit");

    private final String label;

    Fitness(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
