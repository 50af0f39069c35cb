package elsom.web.platform;

import java.util.Optional;

/**
 * The name of the place readings are entered at, chosen once on a device and kept there; never a person's name.
 *
 * @param name empty until it is chosen
 */
public record Station(Optional<String> name) {
    public static final int LONGEST = 30;

    /** The cookie that keeps it. */
    static final String COOKIE = "elsom-station";

    /** What is offered before one is chosen. */
    public static final String USUAL = "Bench A";

    /** What a reading is signed with. */
    public String signature() {
        return name.orElse(USUAL);
    }

    /** Why a name can't be used; empty when it can. */
    public static Optional<String> problem(String name) {
        if (name.isBlank()) {
            return Optional.of("A station needs a name. Accepted: Bench A, Tunnel 2.");
        }
        if (name.strip().length() > LONGEST) {
            return Optional.of("A station's name has at most " + LONGEST + " characters. Accepted: Bench A, Tunnel 2.");
        }
        return name.chars().anyMatch(Character::isISOControl)
                ? Optional.of("A station's name is one line of text. Accepted: Bench A, Tunnel 2.")
                : Optional.empty();
    }
}
