package elsom.core.series;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.plan.APlan;
import elsom.core.plan.Measured;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** A laboratory's answer: what its table says, and the look it lands at whenever it comes. */
class LandingTest {
    private static final EndpointCode PH = new EndpointCode("ph");

    private final Measured measured = Measured.started(
            APlan.of("seedling-injury").list("clean", "lot").replicates(2).plan());
    private final Look look = measured.lookFor("ph");

    private static LabTable table(String headings, String... rows) {
        return LabTable.of(
                new Headings(List.of(headings.split(";", -1)), 1),
                List.of(rows).stream().map(row -> List.of(row.split(";", -1))).toList(),
                Set.of("K34", "M12"),
                List.of(Measurand.PH, Measurand.EC));
    }

    private Landing landing(Measured of, List<LabTable.Found> found, ExperimentalUnit... sent) {
        return Landing.of(
                of.record(),
                look.number(),
                List.of(sent).stream().map(unit -> unit.code().value()).toList(),
                Map.of(Measurand.PH, PH),
                found);
    }

    private static LabTable.Found ph(ExperimentalUnit unit, double value) {
        return new LabTable.Found(unit.code().value(), Measurand.PH, value, String.valueOf(value));
    }

    @Test
    void aTableIsReadByItsSamplesAndHeadings() {
        LabTable read = table("Lab no.;Sample;pH;EC [µS/cm]", "1;k34;6,41;1850", "2;M12;n/a;<50");
        assertThat(read.unread()).isEmpty();
        assertThat(read.found())
                .containsExactly(
                        new LabTable.Found("K34", Measurand.PH, 6.41, "6,41"),
                        new LabTable.Found("K34", Measurand.EC, 1.85, "1850"),
                        new LabTable.Found("M12", Measurand.EC, 0.025, "<50"));
        LabTable half = table("Sample;pH", "K34;6,4");
        assertThat(half.found()).hasSize(1);
        assertThat(half.missing()).containsExactly("No column is headed “EC”, which the slip asks for");
    }

    @Test
    void whatCannotBeReadIsListedWhole() {
        assertThat(table("Sample;pH;EC", "K34;64,1;wet", "K34;6,4;1").unread())
                .anyMatch(line -> line.startsWith("pH of K34: 64,1 can't be"))
                .contains("pH of K34 stands there twice. Leave one out.")
                .anyMatch(line -> line.startsWith("EC of K34: “wet” is no number"));
        assertThat(table("Sample;height", "K34;6,4").unread())
                .hasSize(2)
                .contains("No column is headed “EC”, which the slip asks for");
        assertThat(table("Sample;pH;EC", ";6,4;1", "K34;6,4;1").unread())
                .contains("pH 6,4 has no sample's code beside it.");
        assertThat(table("a;b", "1;2").unread()).singleElement().asString().contains("names the samples");
    }

    @Test
    void everyUnitOfTheSlipGetsItsReadingAtTheLookHoweverLateTheAnswerComes() {
        ExperimentalUnit first = measured.unit(1, 1);
        ExperimentalUnit second = measured.unit(2, 1);
        Landing landing = landing(measured, List.of(ph(first, 6.4), ph(second, 6.9)), first, second);
        assertThat(landing.nowhere()).isEmpty();
        assertThat(landing.readings())
                .extracting(landed -> landed.ref().unit() + " " + landed.ref().look() + " " + landed.value())
                .containsExactly(
                        first.code() + " " + look.number() + " 6.4", second.code() + " " + look.number() + " 6.9");
    }

    @Test
    void whatFindsNoPlaceIsListedWithWhy() {
        ExperimentalUnit typed = measured.unit(1, 1);
        ExperimentalUnit lost = measured.unit(1, 2);
        ExperimentalUnit unsent = measured.unit(2, 1);
        ExperimentalUnit silent = measured.unit(2, 2);
        Measured read = measured.add(typed, look, "ph", 1, 6.2)
                .lose(lost, measured.record().look(1).orElseThrow());
        Landing landing = landing(
                read,
                List.of(
                        ph(typed, 6.4),
                        ph(lost, 6.5),
                        ph(unsent, 6.6),
                        new LabTable.Found("Z99", Measurand.PH, 6.7, "6.7")),
                typed,
                lost,
                silent);
        assertThat(landing.readings()).isEmpty();
        assertThat(landing.nowhere())
                .satisfiesExactly(
                        line -> assertThat(line).contains("6.2 stands there").contains("it is kept"),
                        line -> assertThat(line).contains("was lost before"),
                        line -> assertThat(line).contains("was not on the slip"),
                        line -> assertThat(line).contains("no such unit"),
                        line -> assertThat(line).isEqualTo("pH: no answer came for " + silent.code()));
        Landing elsewhere = Landing.of(
                read.record(), 1, List.of(unsent.code().value()), Map.of(Measurand.PH, PH), List.of(ph(unsent, 6.6)));
        assertThat(elsewhere.nowhere()).singleElement().asString().contains("does not take it");
    }

    @Test
    void anEndpointIsOfferedWhereItsUnitOrItsNameSaysWhatItIs() {
        List<Endpoint> all = List.of(
                Endpoint.single(PH, "pH", UnitOfMeasure.PH, 0, 14, 2),
                Endpoint.single(new EndpointCode("nitrate"), "Nitrate", UnitOfMeasure.MILLIGRAM_PER_LITRE, 0, 999, 0),
                Endpoint.single(new EndpointCode("salt"), "Sodium", UnitOfMeasure.MILLIGRAM_PER_LITRE, 0, 999, 0),
                Endpoint.counted(new EndpointCode("alive"), "Alive", 10));
        assertThat(Landing.endpoints(all, Map.of(), Measurand.PH)).containsExactly(all.get(0));
        assertThat(Landing.endpoints(all, Map.of(), Measurand.SODIUM)).containsExactly(all.get(2));
    }
}
