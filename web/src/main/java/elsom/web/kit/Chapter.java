package elsom.web.kit;

import java.util.List;

/**
 * What a feature has to tell of a trial beside its findings: in the report, and in short under the answer.
 *
 * @param href where all of it is
 */
public record Chapter(String title, String href, List<Part> parts) {
    /** What a script draws, by the attribute that it looks for. */
    public enum Drawing {
        NONE,
        BREWS,
        RATIOS,
        POINTS
    }

    /**
     * One piece of it.
     *
     * @param sentence what it comes to; empty where lines say it all
     * @param data for the script that draws
     */
    public record Part(String heading, String sentence, List<String> lines, Drawing drawing, String data) {
        public Part {
            lines = List.copyOf(lines);
        }
    }

    public Chapter {
        parts = List.copyOf(parts);
    }

    /** Whether it has something to tell under the answer, and not only in the report. */
    public boolean tells() {
        return parts.stream().anyMatch(part -> part.drawing() != Drawing.NONE);
    }
}
