package elsom.core.section;

/** What a picture shows, in the units that it is shown in; its components are what the script reads. */
public interface Chart {
    /** The script that draws it: a module of that name beside the findings page's others, with a function {@code draw}. */
    String script();

    /** Whether there is nothing to draw. */
    default boolean blank() {
        return false;
    }
}
