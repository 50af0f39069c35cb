package elsom.calc;

import elsom.core.read.Box;
import elsom.core.read.Known;
import elsom.core.read.Read;
import elsom.core.read.Reader;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** {@code read}: what is made of a text typed into a box. */
final class ReadFamily implements Family {
    /** The day of the tables that the readers are held to: answers don't change from day to day. */
    private static final LocalDate USUAL_DAY = LocalDate.of(2026, 11, 26);

    @Override
    public String name() {
        return "read";
    }

    @Override
    public ObjectNode work(JsonNode input) {
        String context = Inputs.text(input, "context");
        Box box = Box.coded(context)
                .orElseThrow(() -> new BadInput("“" + context + "” is no context; known are "
                        + Arrays.stream(Box.values()).map(Box::code).collect(Collectors.joining(", "))));
        Read read = Reader.read(box, Inputs.text(input, "typed"), Known.on(today(input)));
        ObjectNode answer = Answers.object();
        if (read instanceof Read.Value value) {
            answer.put("outcome", "value");
            if (value.meaning() instanceof Read.Amount amount) {
                answer.put("value", amount.value());
            } else {
                answer.put("value", value.meaning().plain());
            }
            answer.put("unit", value.unit()).put("says", value.says()).put("why", why(value));
        } else if (read instanceof Read.Ask ask) {
            answer.put("outcome", "ask")
                    .putNull("value")
                    .put("unit", "")
                    .put("says", ask.why())
                    .put("why", ask.why());
        } else if (read instanceof Read.Refused refused) {
            answer.put("outcome", "refuse")
                    .putNull("value")
                    .put("unit", "")
                    .put("says", refused.message())
                    .put("why", refused.problem());
        }
        return answer;
    }

    private static String why(Read.Value value) {
        return String.join(
                "; ",
                java.util.stream.Stream.of(value.about() ? "about" : "", value.note(), value.measure())
                        .filter(words -> !words.isEmpty())
                        .toList());
    }

    private static LocalDate today(JsonNode input) {
        if (input.path("today").isMissingNode()) {
            return USUAL_DAY;
        }
        try {
            return LocalDate.parse(Inputs.text(input, "today"));
        } catch (DateTimeException other) {
            throw new BadInput("“today” must be a day such as 2026-11-26, got " + input.path("today"));
        }
    }
}
