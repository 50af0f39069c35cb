package elsom.web.findings;

import org.jspecify.annotations.Nullable;

/** A figure in a table, with the address of its working; a dash without one when the data don't give it. */
record Shown(String number, String scatter, @Nullable String href) {
    static final Shown NONE = new Shown("–", "", null);
}
