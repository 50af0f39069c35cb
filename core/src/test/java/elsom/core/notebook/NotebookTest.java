package elsom.core.notebook;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

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

    private static final LocalDate TODAY = LocalDate.of(2026, 6, 1);
    private static final List<Notebook.Measured> WEIGHT =
            List.of(new Notebook.Measured("Weight", UnitOfMeasure.GRAM, Direction.HIGHER));

    private static Notebook notebook(String lines) {
        Map<Integer, String> problems = new HashMap<>();
        Notebook made = new Notebook(
                "Which bag holds longest?", WEIGHT, Optional.empty(), Notebook.lines(lines, WEIGHT, TODAY, problems));
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
        assertThat(copied.record().nextLook()).isEmpty();
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
                .containsExactly(MishapKind.DIED, MishapKind.NOTE, MishapKind.NOTE, MishapKind.UNKNOWN);
    }

    /** A place, a material's name and a denial are notes; a value and a day that nobody knows stay unknown and are not due. */
    @Test
    void notesThatTellOfNothingAreNotesAndWhatIsUnknownIsNotAskedForAgain() {
        Notebook.Copied copied = notebook(
                        "one; 12; ?; by the window\ntwo; 13; ; in leaf mould\nthree; ?; ?; not dried out, no slugs"
                                + "\nfour; 14; 3 May 2026; dried in the oven before weighing")
                .copied(ZONE, NOW, 7);
        assertThat(copied.record().mishaps())
                .extracting(mishap -> mishap.kind())
                .containsExactlyInAnyOrder(
                        MishapKind.NOTE, MishapKind.NOTE, MishapKind.NOTE, MishapKind.NOTE, MishapKind.UNKNOWN);
        assertThat(copied.record().nextLook()).isEmpty();
    }

    @Test
    void countsOfSoManyAreCounts() {
        Map<Integer, String> problems = new HashMap<>();
        List<Notebook.Measured> up = List.of(new Notebook.Measured("Came up", UnitOfMeasure.COUNT, Direction.HIGHER));
        List<Line> lines = Notebook.lines("kelp; 2 of 3\nnone; 3/4\nnone; ?", up, TODAY, problems);
        Notebook.Copied copied = new Notebook("Do more come up?", up, Optional.empty(), lines).copied(ZONE, NOW, 7);
        assertThat(copied.record().endpoints().get(0).size()).isEqualTo(4);
        assertThat(copied.record().readings())
                .extracting(Reading::typedText)
                .containsExactlyInAnyOrder("2 of 3", "3 of 4");
        assertThat(Notebook.lines("kelp; 5 of 3\nnone; most of 4", up, TODAY, problems))
                .isEmpty();
        assertThat(problems.get(1)).contains("more than there were");
        List<Line> mixed = Notebook.lines("kelp; 2 of 3\nnone; 3", up, TODAY, problems);
        assertThatThrownBy(() -> new Notebook("Do more come up?", up, Optional.empty(), mixed))
                .hasMessageContaining("of how many are those?");
    }

    @Test
    void aDayThatMayBeTwoOrIsToComeIsAskedAbout() {
        Map<Integer, String> problems = new HashMap<>();
        Notebook.lines("one; 12; 3/4/2026\ntwo; 13; 5 January 2027\nthree; 14; 3.5.2026", WEIGHT, TODAY, problems);
        assertThat(problems.get(1)).contains("two ways");
        assertThat(problems.get(2)).contains("future");
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
        List<Line> lines = Notebook.lines("bag one; heavy\n\n; 420\nbag two; 515", WEIGHT, TODAY, problems);
        assertThat(lines).hasSize(1);
        assertThat(problems.keySet()).containsExactlyInAnyOrder(1, 3);
        assertThat(problems.get(1)).contains("“heavy”").contains("Accepted: 420");
        assertThat(problems.get(3)).contains("no treatment");
    }
}
