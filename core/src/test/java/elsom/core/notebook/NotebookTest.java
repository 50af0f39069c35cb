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

    private static Notebook notebook(List<Notebook.Measured> measured, Notebook.Pages pages) {
        Notebook.Factors factors = pages.headings()
                .map(read -> new Notebook.Factors(read.title(Holds.TREATMENT), read.title(Holds.SECOND)))
                .orElse(Notebook.Factors.NONE);
        return new Notebook(
                "Which holds longest?",
                measured,
                Optional.empty(),
                pages.lines(),
                List.of(),
                factors,
                Going.over(TODAY));
    }

    private static List<Line> lines(String text, List<Notebook.Measured> measured, Map<Integer, String> problems) {
        return Notebook.read(text, measured, List.of(), TODAY, problems).lines();
    }

    private static Notebook notebook(String lines) {
        Map<Integer, String> problems = new HashMap<>();
        Notebook made = notebook(WEIGHT, Notebook.read(lines, WEIGHT, List.of(), TODAY, problems));
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
        List<Line> lines = lines("kelp; 2 of 3\nnone; 3/4\nnone; ?", up, problems);
        Notebook.Copied copied =
                notebook(up, new Notebook.Pages(Optional.empty(), lines)).copied(ZONE, NOW, 7);
        assertThat(copied.record().endpoints().get(0).size()).isEqualTo(4);
        assertThat(copied.record().readings())
                .extracting(Reading::typedText)
                .containsExactlyInAnyOrder("2 of 3", "3 of 4");
        assertThat(lines("kelp; 5 of 3\nnone; most of 4", up, problems)).isEmpty();
        assertThat(problems.get(1)).contains("more than there were");
        List<Line> mixed = lines("kelp; 2 of 3\nnone; 3", up, problems);
        assertThatThrownBy(() -> notebook(up, new Notebook.Pages(Optional.empty(), mixed)))
                .hasMessageContaining("of how many are those?");
    }

    @Test
    void aDayThatMayBeTwoOrIsToComeIsAskedAbout() {
        Map<Integer, String> problems = new HashMap<>();
        lines("one; 12; 3/4/2026\ntwo; 13; 5 January 2027\nthree; 14; 3.5.2026", WEIGHT, problems);
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

    private static Audit audited(Notebook.Copied copied) {
        Findings findings = Protocols.find(copied.plan().protocol())
                .orElseThrow()
                .findings(Evidence.of(copied.plan(), copied.record(), OptionalInt.empty()));
        return Audit.of(
                new AuditCase(copied.plan(), copied.record(), findings, List.of(), NOW.plus(Duration.ofDays(1))));
    }

    @Test
    void theAuditSaysWhatIsNotKnownAndWhatThatLeaves() {
        Notebook.Copied copied = notebook("bag one; 420\nbag two; 515").copied(ZONE, NOW, 7);
        Audit audit = audited(copied);
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
        List<Line> lines = lines("bag one; heavy\n\n; 420\nbag two; 515", WEIGHT, problems);
        assertThat(lines).hasSize(1);
        assertThat(problems.keySet()).containsExactlyInAnyOrder(1, 3);
        assertThat(problems.get(1)).contains("“heavy”").contains("Accepted: 420");
        assertThat(problems.get(3)).contains("no treatment");
    }

    private static Notebook.Copied copied(String table, List<Holds> chosen, Map<Integer, String> problems) {
        return notebook(WEIGHT, Notebook.read(table, WEIGHT, chosen, TODAY, problems))
                .copied(ZONE, NOW, 7);
    }

    /** Columns pasted with their headings, days as columns: each day is a look, a blank is nothing that is known. */
    @Test
    void daysInTheHeadingsAreLooks() {
        Map<Integer, String> problems = new HashMap<>();
        Notebook.Copied copied = copied(
                "Mix\tPot\t3 May 2026\t10 May 2026\tRemarks\nplain\t1\t420\t400\t\nplain\t2\t410\t\tdried out once"
                        + "\nwool\t1\t520\t480\t",
                List.of(),
                problems);
        assertThat(problems).isEmpty();
        assertThat(copied.record().looks())
                .extracting(look -> look.name())
                .containsExactly("3 May 2026", "10 May 2026");
        assertThat(copied.record().units()).hasSize(3);
        assertThat(copied.record().readings())
                .extracting(reading -> reading.ref().look() + " " + reading.typedText())
                .containsExactlyInAnyOrder("1 420", "2 400", "1 410", "1 520", "2 480");
        assertThat(copied.record().mishaps())
                .extracting(mishap -> mishap.kind() + " " + mishap.look())
                .contains("DRIED_OUT 1", "UNKNOWN 2", "NOTE 1");
        assertThat(copied.record().nextLook()).isEmpty();
    }

    @Test
    void twoFactorsAreCrossedAndACellThatWasNotDoneIsLeftOut() {
        Map<Integer, String> problems = new HashMap<>();
        Notebook.Copied copied = copied(
                "mix;compost;weight;day\nplain;none;12;3 May 2026\nplain;kelp;14;3 May 2026\nwool;none;13;?\nwool;none;15;",
                List.of(),
                problems);
        assertThat(problems).isEmpty();
        assertThat(copied.plan().treatments().factors())
                .extracting(factor -> factor.name())
                .containsExactly("mix", "compost");
        assertThat(copied.record().treatments())
                .extracting(treatment -> treatment.name())
                .containsExactly("plain · none", "plain · kelp", "wool · none");
        assertThat(copied.record().readings().stream()
                        .filter(reading -> copied.record()
                                        .unit(reading.ref().unit())
                                        .orElseThrow()
                                        .treatment()
                                == 3)
                        .map(Reading::value))
                .containsExactlyInAnyOrder(13.0, 15.0);
    }

    /** What nobody chose is guessed from the headings, and shown; what somebody chose goes before it. */
    @Test
    void whatAColumnHoldsCanBeSaid() {
        Map<Integer, String> problems = new HashMap<>();
        String table = "colour;weight;size\nplain;12;3\nwool;13;4";
        assertThat(Notebook.read(table, WEIGHT, List.of(), TODAY, problems).lines())
                .isEmpty();
        assertThat(problems.remove(1)).contains("What does the column “size” hold?");
        Notebook.read("mix;3/4/2026\nplain;12", WEIGHT, List.of(), TODAY, problems);
        assertThat(problems.remove(1)).contains("two ways");
        assertThat(copied(table, List.of(Holds.TREATMENT, Holds.NOTHING, Holds.MEASURED_1), problems)
                        .record()
                        .readings())
                .extracting(Reading::value)
                .containsExactlyInAnyOrder(3.0, 4.0);
        assertThat(problems).isEmpty();
        assertThat(Notebook.read(table, WEIGHT, List.of(Holds.NOTE, Holds.MEASURED_1, Holds.NOTE), TODAY, problems)
                        .lines())
                .isEmpty();
        assertThat(problems.get(1)).contains("Two columns are said to hold a note");
        assertThat(Notebook.read("mix;weight (kg)\nplain;0.4", WEIGHT, List.of(), TODAY, problems)
                        .lines())
                .isEmpty();
        assertThat(problems.get(1)).contains("says kg; above, it is g");
    }

    /** One pot weighed on two days is no two pots: it is asked. */
    @Test
    void theSameTreatmentOnTwoDaysIsAskedAbout() {
        Map<Integer, String> problems = new HashMap<>();
        Notebook.Pages pages = Notebook.read(
                "plain; 12; 3 May 2026\nplain; 11; 10 May 2026\nwool; 14; 3 May 2026\nwool; 13; 10 May 2026",
                WEIGHT,
                List.of(),
                TODAY,
                problems);
        assertThat(pages.again()).hasValue("plain");
        assertThat(pages.samePots().again()).isEmpty();
        Notebook.Copied same = notebook(WEIGHT, pages.samePots()).copied(ZONE, NOW, 7);
        assertThat(same.record().units()).hasSize(2);
        assertThat(same.record().looks()).hasSize(2);
        assertThat(notebook(WEIGHT, pages).copied(ZONE, NOW, 7).record().units())
                .hasSize(4);
    }

    @Test
    void linesThatContradictEachOtherAreToldNotTaken() {
        Map<Integer, String> problems = new HashMap<>();
        assertThatThrownBy(() ->
                        copied("mix;pot;weight;day\nplain;1;12;3 May 2026\nplain;1;13;3 May 2026", List.of(), problems))
                .hasMessageContaining("stands twice on 3 May 2026");
        assertThatThrownBy(() -> copied("mix;pot;weight;day\nplain;1;12;3 May 2026\nplain;1;13;", List.of(), problems))
                .hasMessageContaining("on which day was each?");
        assertThatThrownBy(() -> copied(
                        "mix;pot;weight;day;note\nplain;1;?;3 May 2026;died\nplain;1;13;10 May 2026;",
                        List.of(),
                        problems))
                .hasMessageContaining("was gone by 3 May 2026");
        assertThatThrownBy(
                        () -> copied("mix;compost;weight\nplain;kelp;12\nplain;none;12\nwool;;13", List.of(), problems))
                .hasMessageContaining("“wool” has nothing under “compost”");
        copied("mix;weight;day\nplain;12;someday\nwool;13;", List.of(), problems);
        assertThat(problems.get(2)).contains("Accepted: 3 May 2026");
    }

    @Test
    void whatWasWateredIsGivenToEachPot() {
        Map<Integer, String> problems = new HashMap<>();
        List<Watering> waterings =
                Watering.read("2 May 2026; 0,2 L\n4 May 2026; 150 mL; kelp feed 2 mL/L", TODAY, problems);
        assertThat(problems).isEmpty();
        Notebook.Copied copied = new Notebook(
                        "Which?",
                        WEIGHT,
                        Optional.empty(),
                        lines("one; 12; 3 May 2026\ntwo; 13; 3 May 2026", WEIGHT, problems),
                        waterings,
                        Notebook.Factors.NONE,
                        Going.over(TODAY))
                .copied(ZONE, NOW, 7);
        assertThat(copied.record().given())
                .extracting(given -> given.kind() + " " + given.what() + " "
                        + given.millilitres().values())
                .containsExactly("WATER  [200.0, 200.0]", "FEED kelp feed 2 mL/L [150.0, 150.0]");
        Watering.read("?; 200 mL\n3 May 2026\n3 May 2026; plenty\n3 May 2026; 0 mL", TODAY, problems);
        assertThat(problems).hasSize(4);
        assertThat(problems.get(1)).contains("no day that is known");
    }

    private static Notebook.Copied underWay(String lines, String coming, String stands) {
        Map<Integer, String> problems = new HashMap<>();
        Notebook.Pages pages = Notebook.read(lines, WEIGHT, List.of(), TODAY, problems);
        assertThat(problems).isEmpty();
        Optional<Stands> where = stands.isEmpty() ? Optional.empty() : Optional.of(Stands.read(stands));
        return new Notebook(
                        "Which?",
                        WEIGHT,
                        Optional.of(LocalDate.of(2026, 5, 1)),
                        pages.lines(),
                        List.of(),
                        Notebook.Factors.NONE,
                        new Going(Going.days(coming, TODAY), where, TODAY))
                .copied(ZONE, NOW, 7);
    }

    @Test
    void aTrialUnderWayGoesOnWhereItStands() {
        Notebook.Copied copied = underWay(
                "mould; 420; 3 May 2026\nmould; 415; 3 May 2026\nfibre; 390; 3 May 2026\nfibre; ?; 3 May 2026; lost\nfibre; 400; 3 May 2026",
                "20 June 2026\n12 June 2026",
                "A B – B\nB A");
        assertThat(copied.record().looks())
                .extracting(look -> look.name())
                .containsExactly("3 May 2026", "12 Jun 2026", "20 Jun 2026");
        assertThat(copied.record().nextLook().orElseThrow().name()).isEqualTo("12 Jun 2026");
        assertThat(copied.record().readings()).hasSize(4);
        assertThat(copied.record().mishaps()).extracting(one -> one.kind()).containsExactly(MishapKind.TAKEN);
        assertThat(copied.record().units())
                .extracting(unit -> unit.treatment() + " at " + unit.position().row() + ","
                        + unit.position().column())
                .containsExactlyInAnyOrder("1 at 1,1", "2 at 1,2", "2 at 1,4", "2 at 2,1", "1 at 2,2");
        assertThat(copied.plan().origin().change())
                .startsWith(
                        "Taken up under way on 1 Jun 2026. Not written down: what they stood in, whether places were drawn");
        assertThat(Notebook.takenUp(copied.record())).isTrue();
    }

    @Test
    void nothingIsAskedOfAPotThatWasNotReadYet() {
        Notebook.Copied copied = underWay("a; ?\na; ?\nb; ?\nb; ?", "12 June 2026", "");
        assertThat(copied.record().looks()).hasSize(1);
        assertThat(copied.record().mishaps()).isEmpty();
        assertThat(Notebook.copied(copied.record())).isTrue();
    }

    @Test
    void whatStandsInARowByItselfIsToldOfTheAudit() {
        Notebook.Copied copied = underWay(
                "a; 1; 3 May 2026\na; 2; 3 May 2026\na; 2; 3 May 2026\nb; 3; 3 May 2026\nb; 4; 3 May 2026\nb; 4; 3 May 2026",
                "12 June 2026",
                "A A A\nB B B");
        assertThat(audited(copied).faults())
                .filteredOn(fault -> fault.code() == FaultCode.PLACE)
                .extracting(Fault::seen)
                .singleElement()
                .asString()
                .startsWith("It was not drawn there at random, as far as is known");
    }

    @Test
    void potsFoundByNameAndWhatDoesNotFitIsTold() {
        String pots = "Treatment; Pot; Weight; Day\na; x1; 1; 3 May 2026\na; x2; 2; 3 May 2026\nb; y1; 3; 3 May 2026";
        assertThat(underWay(pots, "12 June 2026", "y1 x2 x1").record().units().stream()
                        .filter(unit -> unit.treatment() == 2)
                        .map(unit -> unit.position().column()))
                .containsExactly(1);
        assertThatThrownBy(() -> underWay(pots, "12 June 2026", "A B A A"))
                .isInstanceOf(Stands.Unfit.class)
                .hasMessageContaining("more often");
        assertThatThrownBy(() -> underWay(pots, "12 June 2026", "A B")).hasMessageContaining("1 pot of “A”");
        assertThatThrownBy(() -> underWay(pots, "12 June 2026", "A B D")).hasMessageContaining("A is a, B is b");
        assertThatThrownBy(() -> underWay(pots, "3 May 2026", "")).hasMessageContaining("is over");
        assertThatThrownBy(() -> underWay(pots, "12 June 2026\n2026-06-12", "")).hasMessageContaining("twice");
        assertThatThrownBy(() -> underWay(pots, "12 to 14 June", "")).hasMessageContaining("Which day is");
        assertThatThrownBy(() -> underWay("a; 1\nb; 2; 3 May 2026", "12 June 2026", ""))
                .hasMessageContaining("still under way: on which day was “a” read");
    }
}
