package elsom.core.working;

/** Where a method comes from: a standard, a paper, or the definition it is. */
public record Source(String citation) {
    public static final Source DEFINITION = new Source("By definition; 1 g of water is taken as 1 mL.");
}
