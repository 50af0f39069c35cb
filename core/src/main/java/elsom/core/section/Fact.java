package elsom.core.section;

/**
 * A figure that stands by itself, with its name.
 *
 * @param term the technical term; empty where the label is it
 * @param remark a sentence below it; may be empty
 * @param leads whether it is what most readers came for
 */
public record Fact(String label, String term, Cell value, String remark, boolean leads) {
    public static Fact of(String label, Cell value) {
        return of(label, "", value);
    }

    public static Fact of(String label, String term, Cell value) {
        return new Fact(label, term, value, "", false);
    }

    public static Fact leading(String label, Cell value, String remark) {
        return new Fact(label, "", value, remark, true);
    }
}
