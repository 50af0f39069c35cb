package elsom.core.section;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What a section tells.
 *
 * @param key of its kind, in files
 * @param about what it is told of, such as the look's name; may be empty
 * @param sentences what it comes to
 * @param choice whether its parts stand in one place, one at a time
 * @param notes how to read it
 * @param way where it is put to use
 */
public record Account(
        String key,
        String title,
        String about,
        List<String> sentences,
        List<Part> parts,
        boolean choice,
        List<String> notes,
        List<String> cautions,
        Method method,
        Optional<Way> way) {
    /**
     * Where it is put to use.
     *
     * @param of code of the endpoint that it is about; empty where that says itself
     */
    public record Way(Door door, String of) {}

    /**
     * How it was worked out.
     *
     * @param name of the method
     * @param lines what was checked, and what it takes for granted
     */
    public record Method(String name, List<String> lines) {
        public static final Method NONE = new Method("", List.of());

        public Method {
            lines = List.copyOf(lines);
        }
    }

    public Account {
        sentences = List.copyOf(sentences);
        parts = List.copyOf(parts);
        notes = List.copyOf(notes);
        cautions = List.copyOf(cautions);
    }

    /** Begins one. */
    public static Builder of(String key, String title) {
        return new Builder(key, title);
    }

    /** The names of the looks that it can be taken through, in order of time; empty where it tells of one. */
    public List<String> looks() {
        return parts.isEmpty()
                ? List.of()
                : parts.get(0).standings().stream().map(Part.Standing::at).toList();
    }

    /** Puts an account together. */
    public static final class Builder {
        private final String key;
        private final String title;
        private final List<String> sentences = new ArrayList<>();
        private final List<Part> parts = new ArrayList<>();
        private final List<String> notes = new ArrayList<>();
        private final List<String> cautions = new ArrayList<>();
        private String about = "";
        private boolean choice;
        private Method method = Method.NONE;
        private Optional<Way> way = Optional.empty();

        private Builder(String key, String title) {
            this.key = key;
            this.title = title;
        }

        public Builder about(String what) {
            about = what;
            return this;
        }

        public Builder says(String sentence) {
            sentences.add(sentence);
            return this;
        }

        public Builder part(Part part) {
            parts.add(part);
            return this;
        }

        public Builder parts(List<Part> more) {
            parts.addAll(more);
            return this;
        }

        /** Its parts stand in one place, one at a time. */
        public Builder choice(List<Part> among) {
            choice = true;
            return parts(among);
        }

        public Builder note(String note) {
            notes.add(note);
            return this;
        }

        public Builder notes(List<String> more) {
            notes.addAll(more);
            return this;
        }

        public Builder caution(String caution) {
            cautions.add(caution);
            return this;
        }

        public Builder method(String name, List<String> lines) {
            method = new Method(name, lines);
            return this;
        }

        public Builder door(Door to) {
            return door(to, "");
        }

        /** To what is done with one endpoint. */
        public Builder door(Door to, String endpoint) {
            way = Optional.of(new Way(to, endpoint));
            return this;
        }

        public Account build() {
            return new Account(key, title, about, sentences, parts, choice, notes, cautions, method, way);
        }
    }
}
