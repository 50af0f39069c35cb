package elsom.core.notebook;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.audit.Audit;
import elsom.core.audit.AuditCase;
import elsom.core.audit.Fault;
import elsom.core.audit.FaultCode;
import elsom.core.audit.Grade;
import elsom.core.plan.Direction;
import elsom.core.protocol.Protocols;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.results.Evidence;
import elsom.core.results.Findings;
import elsom.core.trial.MishapKind;
import elsom.core.trial.Reading;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;

class NotebookTest {
    private static final Instant NOW = Instant.parse("2026-06-01T08:00:00Z");
    private static final ZoneId ZONE = ZoneId.of("Europe/London");

    private static Notebook notebook(String lines) {
        Map<Integer, String> problems = new HashMap<>();
        Notebook made = new Notebook(
                "Which bag holds longest?",
                List.of(new Notebook.Measured("Weight", UnitOfMeasure.GRAM, Direction.HIGHER)),
                Optional.empty(),
                Notebook.lines(lines, 1, problems));
        assertThat(problems).isEmpty();
        return made;
    }

    @Test
    void threeBagsAreCopiedWithWhatIsKnown() {
        Notebook.Copied copied = notebook(
                        "bag one; 420; 3 May 2026\nbag two; 515,5; 2026-05-10; dried out once\nbag three; ?; ; lost behind the shed")
                .copied(ZONE, NOW, 7);
        assertThat(copied.record().units()).hasSize(3);
        assertThat(copied.record().readings()).extracting(Reading::value).containsExactlyInAnyOrder(420.0, 515.5);
        assertThat(copied.record().mishaps())
                .extracting(mishap -> mishap.kind())
                .containsExactlyInAnyOrder(MishapKind.DRIED_OUT, MishapKind.TAKEN);
        assertThat(copied.record().trial().start())
                .isEqualTo(LocalDate.of(2026, 5, 3).atTime(12, 0).atZone(ZONE).toInstant());
        assertThat(copied.record().trial().started()).isTrue();
    }

    @Test
    void whatDiedDiedAndWhatDidNotDidNot() {
        Notebook.Copied copied = notebook("bag one; ?; ; died\nbag two; 515; ; not dead yet\nbag three; ?; ; none died")
                .copied(ZONE, NOW, 7);
        assertThat(copied.record().mishaps())
                .extracting(mishap -> mishap.kind())
                .containsExactly(MishapKind.DIED, MishapKind.OTHER, MishapKind.OTHER);
    }

    @Test
    void unequalNumbersStayUnequalAndAControlIsKnownByItsName() {
        Notebook.Copied copied = notebook("untreated\t12\nuntreated\t13\nuntreated\t11\nkelp\t15\nkelp\t16")
                .copied(ZONE, NOW, 7);
        assertThat(copied.record().units()).hasSize(5);
        assertThat(copied.record().treatment(1).isControl()).isTrue();
        assertThat(copied.record().treatment(2).isControl()).isFalse();
    }

    @Test
    void theAuditSaysWhatIsNotKnownAndWhatThatLeaves() {
        Notebook.Copied copied = notebook("bag one; 420\nbag two; 515").copied(ZONE, NOW, 7);
        Findings findings = Protocols.find(copied.plan().protocol())
                .orElseThrow()
                .findings(Evidence.of(copied.plan(), copied.record(), OptionalInt.empty()));
        Audit audit = Audit.of(
                new AuditCase(copied.plan(), copied.record(), findings, List.of(), NOW.plus(Duration.ofDays(1))));
        assertThat(audit.grade()).isEqualTo(Grade.UNFAIR);
        assertThat(audit.faults())
                .extracting(Fault::code)
                .contains(FaultCode.ONE_UNIT, FaultCode.NOT_WRITTEN_DOWN)
                .doesNotContain(FaultCode.PLACE, FaultCode.LIGHT, FaultCode.DIFFERENT_POTS);
        assertThat(audit.faults())
                .anyMatch(fault -> fault.seen().contains("where units stood")
                        && fault.seen().contains("when it began"));
    }

    @Test
    void everyLineThatCantBeReadIsTold() {
        Map<Integer, String> problems = new HashMap<>();
        List<Line> lines = Notebook.lines("bag one; heavy\n\n; 420\nbag two; 515", 1, problems);
        assertThat(lines).hasSize(1);
        assertThat(problems.keySet()).containsExactlyInAnyOrder(1, 3);
        assertThat(problems.get(1)).contains("“heavy” is no number").contains("Accepted: 420");
        assertThat(problems.get(3)).contains("no treatment");
    }
}
