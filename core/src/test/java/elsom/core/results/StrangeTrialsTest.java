package elsom.core.results;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import elsom.core.Simulations;
import elsom.core.analysis.Answer;
import elsom.core.audit.Audit;
import elsom.core.audit.AuditCase;
import elsom.core.next.Ended;
import elsom.core.next.WhatNext;
import elsom.core.plan.StrangeTrial;
import elsom.core.protocol.Protocols;
import elsom.core.section.Section;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.OptionalInt;
import java.util.concurrent.TimeUnit;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;

/** No evidence whatever makes findings fail, nor anything that is made of them. */
class StrangeTrialsTest {
    private static final int TRIALS = 2000;

    private static Findings findings(StrangeTrial trial) {
        return Protocols.find(trial.plan().protocol())
                .orElseThrow()
                .findings(Evidence.of(trial.plan(), trial.record(), OptionalInt.empty()));
    }

    @Test
    @Timeout(value = 12, unit = TimeUnit.MINUTES)
    void nothingFailsOnThem() {
        LongStream.rangeClosed(1, Simulations.of(TRIALS)).parallel().forEach(seed -> {
            StrangeTrial trial = StrangeTrial.of(seed);
            assertThatCode(() -> told(trial)).as("trial of seed %d", seed).doesNotThrowAnyException();
        });
    }

    private static void told(StrangeTrial trial) {
        Findings findings = findings(trial);
        for (Section section : findings.sections()) {
            section.account(trial.record());
        }
        Instant after = trial.record().trial().start().plus(Duration.ofDays(60));
        Audit audit = Audit.of(new AuditCase(
                trial.plan(), WorkedEndpoints.in(trial.plan(), trial.record()), findings, List.of(), after));
        WhatNext.after(new Ended(trial.plan(), trial.record(), findings, audit, after, 7));
        findings.sections(JudgedQuestion.class).forEach(StrangeTrialsTest::oneUnitTellsNothing);
    }

    /** A treatment of which one unit is left says nothing of how such units scatter. */
    private static void oneUnitTellsNothing(JudgedQuestion question) {
        question.judgement().comparisons().stream()
                .filter(c -> c.answer() != Answer.CANT_TELL)
                .forEach(c -> assertThat(Math.min(
                                question.observations().seen(c.treatment()),
                                question.observations().seen(c.comparator())))
                        .as("%s of %s", c.answer(), question.name(c.treatment()))
                        .isGreaterThan(1));
    }
}
