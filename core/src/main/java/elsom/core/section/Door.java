package elsom.core.section;

/** Where a result is put to use. */
public enum Door {
    MIXING("Mix it"),
    BLENDING("Blend two waters"),
    LIMING("For another pH"),
    RESIDUE("Type another half-life"),
    LIKELIHOODS("The table it rests on");

    private final String label;

    Door(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }
}
