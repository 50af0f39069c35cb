package elsom.core.analysis;

import java.util.List;

/**
 * A treatment as the judge sees it.
 *
 * @param levels its level of each factor; empty in a plain list
 * @param control whether others are compared with it; in a factorial one at each level of the factors not asked about
 */
public record Arm(String code, String name, List<String> levels, boolean control) {
    public Arm {
        levels = List.copyOf(levels);
    }
}
