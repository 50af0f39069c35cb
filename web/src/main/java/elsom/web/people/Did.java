package elsom.web.people;

/** What became of a row. */
enum Did {
    ADDED("added"),
    CHANGED("changed"),
    REMOVED("removed");

    private final String label;

    Did(String label) {
        this.label = label;
    }

    String label() {
        return label;
    }
}
