package elsom.web.demo;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.audit.Audit;
import elsom.core.audit.Fault;
import elsom.core.figure.GroupFigure;
import elsom.core.figure.GroupResult;
import elsom.core.flag.Flag;
import elsom.core.results.Findings;
import elsom.core.results.Headline;
import elsom.core.results.Verdict;
import elsom.core.trial.Look;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.AppTest;
import elsom.web.audit.Fairness;
import elsom.web.findings.WorkedOut;
import elsom.web.platform.NotFound;
import elsom.web.trial.Trials;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Primary;
import org.springframework.test.context.TestPropertySource;

/**
 * Every sentence and figure that the demo's trials come to, at each look, as it stood when it was last agreed to: a change
 * of code shows here as a change of words. Where a change is meant, read its difference and take it over with
 * {@code -Delsom.agree=true}.
 */
@AppTest
@TestPropertySource(properties = "elsom.demo=true")
class DemoSentencesIT {
    private static final Path AGREED = Path.of("src/test/resources/demo-sentences.txt");
    private static final int MOST_TRIALS = 30;

    @Autowired
    private Trials trials;

    @Autowired
    private WorkedOut workedOut;

    @Autowired
    private Fairness fairness;

    /** A day that never changes, so that dates in sentences don't. */
    @TestConfiguration
    static class OneDay {
        @Bean
        @Primary
        Clock day() {
            return Clock.fixed(Instant.parse("2026-06-15T08:00:00Z"), ZoneOffset.UTC);
        }
    }

    @Test
    void areAsAgreed() throws IOException {
        List<String> lines = new ArrayList<>();
        for (int id = 1; id <= MOST_TRIALS; id++) {
            if (known(id)) {
                trial(trials.snapshot(new TrialId(id)), lines);
            }
        }
        if (Boolean.getBoolean("elsom.agree")) {
            Files.write(AGREED, lines, StandardCharsets.UTF_8);
        }
        assertThat(lines).isEqualTo(Files.readAllLines(AGREED, StandardCharsets.UTF_8));
    }

    /** Every answer at every look has few words for the first screen, without an interval and without a name lost. */
    @Test
    void standFirstInFewWords() {
        for (int id = 1; id <= MOST_TRIALS; id++) {
            if (known(id)) {
                TrialRecord record = trials.snapshot(new TrialId(id));
                Findings last = workedOut.of(record, OptionalInt.empty());
                Stream.concat(
                                Stream.of(last),
                                last.looks().stream().map(look -> workedOut.of(record, OptionalInt.of(look.number()))))
                        .flatMap(findings -> findings.answers().stream())
                        .map(Findings.Answered::verdict)
                        .forEach(DemoSentencesIT::isBrief);
            }
        }
    }

    private static void isBrief(Verdict verdict) {
        Headline headline = Headline.of(verdict);
        assertThat(headline.words().replace(" …", "").split(" ")).hasSizeBetween(2, Headline.MOST_WORDS);
        assertThat(headline.words()).doesNotContain("95 %").endsWith(headline.whole() ? "." : " …");
    }

    private boolean known(int id) {
        try {
            trials.snapshot(new TrialId(id));
            return true;
        } catch (NotFound none) {
            return false;
        }
    }

    private void trial(TrialRecord record, List<String> lines) {
        lines.add("# " + record.trial().id() + " " + record.trial().question());
        Findings last = workedOut.of(record, OptionalInt.empty());
        lines.add("## as it opens");
        told(last, lines);
        for (Look look : last.looks()) {
            lines.add("## at " + look.name());
            told(workedOut.of(record, OptionalInt.of(look.number())), lines);
        }
        Audit audit = fairness.of(record, last);
        lines.add("## fair: " + audit.grade().label());
        audit.faults().stream().map(DemoSentencesIT::fault).forEach(lines::add);
    }

    private static void told(Findings findings, List<String> lines) {
        findings.answers().forEach(answered -> answer(answered, lines));
        findings.flags().stream().map(DemoSentencesIT::flag).forEach(lines::add);
        findings.groups().forEach(group -> lines.add(figures(group)));
    }

    private static void answer(Findings.Answered answered, List<String> lines) {
        lines.add("- " + answered.asked() + " " + answered.marked() + " ["
                + answered.verdict().firmness().label() + "] "
                + answered.verdict().sentence() + " | "
                + answered.verdict().wouldChange());
        answered.details().forEach(detail -> lines.add("  - " + detail));
    }

    private static String flag(Flag flag) {
        return "! " + flag.severity().label() + ": " + flag.seen() + " " + flag.why() + " " + flag.next() + " "
                + flag.units();
    }

    private static String fault(Fault fault) {
        return "? " + fault.grade().label() + ": " + fault.seen() + " " + fault.why() + " " + fault.pushes() + " "
                + fault.next() + " " + fault.units();
    }

    private static String figures(GroupResult group) {
        StringBuilder line =
                new StringBuilder("= ").append(group.key()).append(' ').append(group.name());
        for (GroupFigure figure : group.figures()) {
            line.append(" · ")
                    .append(figure.kind().code())
                    .append(' ')
                    .append(figure.kind().finer().show(figure.summary().mean()))
                    .append(" ± ")
                    .append(
                            figure.summary().sd().isPresent()
                                    ? figure.kind()
                                            .finer()
                                            .number(figure.summary().sd().getAsDouble())
                                    : "–")
                    .append(" n ")
                    .append(figure.summary().n());
        }
        return line.toString();
    }
}
