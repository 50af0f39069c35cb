package elsom.core.protocol;

/**
 * A warning that stands beside the step it belongs to.
 *
 * @param text short, with what to do
 * @param deferTo who or what rules over it
 */
public record Caution(String text, String deferTo) {}
