package elsom.web.findings;

import elsom.core.contract.JudgementData;
import elsom.core.contract.JudgementInput;
import elsom.core.mix.Quarantine;
import elsom.core.results.Findings;
import elsom.core.results.JudgedQuestion;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.audit.FairMark;
import elsom.web.audit.Fairness;
import elsom.web.kit.ClosedPage;
import elsom.web.kit.Json;
import elsom.web.kit.TrialHeader;
import elsom.web.platform.Refusal;
import elsom.web.trial.Plans;
import elsom.web.trial.Quarantines;
import elsom.web.trial.Trials;
import java.time.Clock;
import java.util.List;
import java.util.OptionalInt;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Findings for scripts: each question with its judgement, as {@code bin/calc} gives it. */
@RestController
class FindingsFileController {
    private final Trials trials;
    private final WorkedOut workedOut;
    private final Fairness fairness;
    private final Quarantines quarantines;
    private final Plans plans;
    private final Clock clock;

    FindingsFileController(
            Trials trials, WorkedOut workedOut, Fairness fairness, Quarantines quarantines, Plans plans, Clock clock) {
        this.quarantines = quarantines;
        this.plans = plans;
        this.fairness = fairness;
        this.trials = trials;
        this.workedOut = workedOut;
        this.clock = clock;
    }

    /** All findings of a trial. */
    record FindingsData(
            long trial,
            String question,
            String look,
            List<FindingsFile.Answer> answers,
            List<FindingsFile.SectionData> sections,
            List<QuestionData> questions,
            List<ApartData> quarantine) {}

    /** A lot of the trial that is in quarantine. */
    record ApartData(String lot, String reason, String since, long trial) {
        static ApartData of(Quarantine kept) {
            return new ApartData(kept.lot(), kept.reason(), kept.since().toString(), kept.trial());
        }
    }

    /** A question with its answer, and what was judged, ready for {@code bin/calc}. */
    record QuestionData(
            int number,
            String asked,
            String stated,
            String endpoint,
            String unit,
            String look,
            String sentence,
            JudgementInput judged,
            JudgementData judgement) {}

    @GetMapping(path = "/trials/{trial}/findings.json", produces = MediaType.APPLICATION_JSON_VALUE)
    String findings(@PathVariable long trial, @RequestParam(defaultValue = "0") int at) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        if (ClosedPage.ofFindings(record, clock.instant(), TrialHeader.Step.FINDINGS)
                .isPresent()) {
            throw new Refusal("There are no findings to see yet.");
        }
        Findings findings = workedOut.of(record, at == 0 ? OptionalInt.empty() : OptionalInt.of(at));
        return Json.snakes(new FindingsData(
                trial,
                record.trial().question(),
                record.look(findings.comparedAt()).map(look -> look.name()).orElse(""),
                FindingsFile.answers(findings, FairMark.of(record, findings, fairness.of(record, findings))),
                FindingsFile.sections(record, findings),
                findings.sections(JudgedQuestion.class).stream()
                        .map(question -> data(findings, question))
                        .toList(),
                apart(record)));
    }

    /** Of a blind trial none: a lot's name would tell what is in its pots. */
    private List<ApartData> apart(TrialRecord record) {
        return record.trial().blind()
                ? List.of()
                : quarantines.of(plans.kept(record.trial().id()).plan()).stream()
                        .map(ApartData::of)
                        .toList();
    }

    /** All lots in quarantine, for scripts that mix, label or sell. */
    @GetMapping(path = "/shelf/quarantine.json", produces = MediaType.APPLICATION_JSON_VALUE)
    String quarantine() {
        return Json.snakes(quarantines.all().stream()
                .filter(Quarantine::stands)
                .map(ApartData::of)
                .toList());
    }

    private static QuestionData data(Findings findings, JudgedQuestion question) {
        return new QuestionData(
                question.number(),
                question.asked(),
                question.stated().name().toLowerCase(java.util.Locale.ROOT),
                question.kind().code(),
                question.kind().unit().symbol(),
                question.look().name(),
                findings.answers().stream()
                        .filter(answered ->
                                answered.asked().equals(question.asked()) && answered.question() == question.number())
                        .map(answered -> answered.verdict().sentence())
                        .findFirst()
                        .orElse(""),
                JudgementInput.of(question.observations(), question.ask()),
                JudgementData.of(question.observations(), question.judgement(), question.flags()));
    }
}
