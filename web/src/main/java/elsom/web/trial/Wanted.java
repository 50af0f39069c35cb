package elsom.web.trial;

import java.util.Locale;

/**
 * Which trials a list is asked for.
 *
 * @param query part of a question, a treatment, a material, a lot, a crop or an answer, or the code on a unit; empty for all
 * @param protocol code of the kind; empty for any
 * @param year they began in; 0 for any
 */
public record Wanted(String query, State state, String protocol, int year) {
    /** How trials stand. */
    public enum State {
        ANY("All"),
        DUE("Something to do"),
        RUNNING("Running"),
        PLANNED("Planned"),
        DONE("Finished");

        private final String label;

        State(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    public static final Wanted ALL = new Wanted("", State.ANY, "", 0);

    /** What holds such words. */
    public static Wanted of(String query) {
        return new Wanted(query, State.ANY, "", 0);
    }

    public boolean all() {
        return part().isEmpty() && state == State.ANY && protocol.isEmpty() && year == 0;
    }

    private String part() {
        return query.strip().toLowerCase(Locale.ROOT);
    }

    /** As it is looked for in the store. */
    DigestMapper.Sought sought() {
        return new DigestMapper.Sought(
                part(), " " + query.strip().toUpperCase(Locale.ROOT) + " ", protocol, year, state.name());
    }
}
