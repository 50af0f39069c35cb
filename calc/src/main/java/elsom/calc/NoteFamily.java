package elsom.calc;

import elsom.core.notebook.Note;
import java.util.Locale;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** {@code note}: what a note beside a unit tells of. */
final class NoteFamily implements Family {
    @Override
    public String name() {
        return "note";
    }

    @Override
    public ObjectNode work(JsonNode input) {
        Note note = Note.read(Inputs.text(input, "text"));
        return Answers.object()
                .put(
                        "mishaps",
                        note.mishaps().isEmpty()
                                ? "none"
                                : note.mishaps().stream()
                                        .sorted()
                                        .map(Note.Happened::code)
                                        .collect(Collectors.joining("; ")))
                .put("unit_lost", note.lost().name().toLowerCase(Locale.ROOT));
    }
}
