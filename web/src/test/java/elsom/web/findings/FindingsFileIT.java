package elsom.web.findings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.stats.Group;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.AppTest;
import elsom.web.Web;
import elsom.web.load.LargeTrials;
import elsom.web.trial.Trials;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Findings for scripts say what the sums say of the same numbers. */
@AppTest
class FindingsFileIT {
    @LocalServerPort
    private int port;

    @Autowired
    private Trials trials;

    @Test
    void aQuestionIsJudgedAsTheSumsJudgeItsNumbers() throws Exception {
        TrialId id = trials.create(LargeTrials.measured(24, 4, 1), UUID.randomUUID());
        HttpResponse<String> answer = new Web(port).get("/trials/" + id + "/findings.json");
        assertThat(answer.statusCode()).isEqualTo(200);
        JsonNode question =
                JsonMapper.shared().readTree(answer.body()).path("questions").get(0);
        JsonNode judgement = question.path("judgement");
        assertThat(judgement.path("flags").isArray()).isTrue();
        assertThat(judgement.path("comparisons").size()).isPositive();
        judgement.path("comparisons").forEach(comparison -> {
            assertThat(comparison.path("low").doubleValue())
                    .isLessThanOrEqualTo(comparison.path("difference").doubleValue());
            assertThat(comparison.path("answer").stringValue()).isIn("better", "worse", "no_difference", "cant_tell");
        });
        means(trials.snapshot(id), question, judgement);
    }

    /** The difference of plain means, as every treatment stands in each block. */
    private static void means(TrialRecord record, JsonNode question, JsonNode judgement) {
        int look = record.looks().stream()
                .filter(one -> one.name().equals(question.path("look").stringValue()))
                .findFirst()
                .orElseThrow()
                .number();
        JsonNode first = judgement.path("comparisons").get(0);
        double expected = mean(record, look, first.path("treatment").stringValue())
                - mean(record, look, first.path("comparator").stringValue());
        assertThat(first.path("difference").doubleValue()).isCloseTo(expected, within(1e-9));
    }

    private static double mean(TrialRecord record, int look, String code) {
        List<Double> values = record.units().stream()
                .filter(unit -> record.treatment(unit).code().equals(code))
                .flatMap(unit ->
                        record
                                .current(new ReadingRef(
                                        unit.code(),
                                        look,
                                        record.endpoints().get(0).code()))
                                .stream())
                .map(reading -> Objects.requireNonNull(reading.value()))
                .toList();
        return new Group(code, values).mean();
    }
}
