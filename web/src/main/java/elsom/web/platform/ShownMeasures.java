package elsom.web.platform;

import elsom.core.quantity.UsGloss;

/**
 * How a device shows amounts in what scripts put on the page; pages themselves are glossed as they leave.
 *
 * @param us whether US measures stand beside metric ones
 */
public record ShownMeasures(boolean us) {
    /** Text as the device shows it. */
    public String told(String text) {
        return us ? UsGloss.of(text) : text;
    }
}
