package elsom.core.protocol;

import java.util.List;

/** What to do before a look, as short orders, with its cautions. */
public record Step(String name, List<String> orders, List<Caution> cautions) {
    public Step {
        orders = List.copyOf(orders);
        cautions = List.copyOf(cautions);
    }
}
