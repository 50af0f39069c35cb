package elsom.web.platform;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/** The sheets of style that a page loads, by the folder of its template. */
public final class Sheets {
    private static final List<String> EVERYWHERE = List.of("elsom", "lists", "findings", "bench", "narrow", "audit");

    /** After all others, whose fields and lines it arranges. */
    private static final String PLAN = "plan";

    private static final Map<String, List<String>> BY_FOLDER = Map.of(
            "practice", List.of("practice"),
            "tasting", List.of("tasting"),
            "brew", List.of("brew", "shelf"),
            "report", List.of("tasting", "brew"),
            "findings", List.of("tasting"),
            "series", List.of("series"),
            "shelf", List.of("shelf"),
            "designer", List.of("shelf"),
            "column", List.of("shelf"),
            "sums", List.of("shelf"));

    private Sheets() {}

    /**
     * Names of sheets in the order in which they are loaded.
     *
     * @param template such as {@code plan/bench}
     */
    public static List<String> of(String template) {
        String folder = template.substring(0, Math.max(template.indexOf('/'), 0));
        return Stream.of(EVERYWHERE, List.of(PLAN), BY_FOLDER.getOrDefault(folder, List.of()))
                .flatMap(List::stream)
                .toList();
    }
}
