package elsom.web.platform;

/**
 * Who asks.
 *
 * @param person a person's name; empty where there are no accounts, and for scripts and links
 * @param role what may be done
 */
public record Actor(String person, Role role) {
    /** Whoever sits at a machine that has no accounts. */
    public static final Actor ALONE = new Actor("", Role.KEEP);
}
