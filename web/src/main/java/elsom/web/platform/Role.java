package elsom.web.platform;

import java.util.Arrays;
import java.util.List;

/** What a person may do here; each may do what those before it may. */
public enum Role {
    READ("read", "sees trials, findings and the shelf"),
    MEASURE("measure", "also measures, waters, notes what went wrong, and takes that back"),
    PLAN("plan", "also plans and starts trials, and keeps the shelf"),
    KEEP("keep", "also deletes, opens blind keys, and says who is here");

    private final String label;
    private final String may;

    Role(String label, String may) {
        this.label = label;
        this.may = may;
    }

    public String label() {
        return label;
    }

    /** What it lets one do, to follow a name. */
    public String may() {
        return may;
    }

    public boolean includes(Role other) {
        return compareTo(other) >= 0;
    }

    /** The lesser of two. */
    public Role atMost(Role other) {
        return includes(other) ? other : this;
    }

    /** This and all that it includes. */
    public List<Role> all() {
        return Arrays.stream(values()).filter(this::includes).toList();
    }
}
