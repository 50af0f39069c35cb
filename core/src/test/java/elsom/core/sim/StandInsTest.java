package elsom.core.sim;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.series.Guess;
import elsom.core.series.Mapping;
import elsom.core.series.Measurand;
import elsom.core.series.RowReader;
import elsom.core.truth.Living;
import elsom.core.truth.Species;
import elsom.core.truth.Surroundings;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What the simulated probe and laboratory send can be read as any real one's, and is the same every time. */
class StandInsTest {
    private static final Instant START = Instant.parse("2026-06-01T08:00:00Z");

    @Test
    void theProbesLogIsRecognisedAndReadable() {
        Set<String> units = Set.of("K34");
        ProbeLog log = new ProbeLog("K34", 3);
        List<List<String>> rows = ProbeLog.moments(START, START.plus(Duration.ofDays(2)), Duration.ofHours(6))
                .map(at -> {
                    List<String> row = new ArrayList<>(List.of(at.toString(), "K34"));
                    row.addAll(log.at(START, at));
                    return row;
                })
                .toList();
        Mapping mapping =
                Guess.of(ProbeLog.headings(), rows, units, ZoneId.of("UTC")).orElseThrow();
        assertThat(mapping.columns().unit()).isEqualTo(1);
        assertThat(mapping.channels()).isEqualTo(ProbeLog.channels());
        RowReader reader = new RowReader(mapping, units, START.plus(Duration.ofDays(3)));
        assertThat(rows).allSatisfy(row -> assertThat(reader.read(row)).hasSize(9));
        assertThat(log.at(START, START.plusSeconds(3600))).isEqualTo(log.at(START, START.plusSeconds(3600)));
    }

    @Test
    void saltGoesDownWithTimeAndIsWashedOutFromTheTopMoreOfItWithLaterTreatments() {
        int deep = ProbeLog.DEPTHS_CM.size() * 2 - 1;
        Instant late = START.plus(Duration.ofDays(10));
        double first =
                Double.parseDouble(new ProbeLog("K34", 4).at(START, START).get(deep));
        double last = Double.parseDouble(new ProbeLog("K34", 4).at(START, late).get(deep));
        double control =
                Double.parseDouble(new ProbeLog("K34", 1).at(START, late).get(deep));
        assertThat(last).isGreaterThan(2 * first);
        assertThat(control).isLessThan(last / 2);
        List<String> washed = new ProbeLog("K34", 4).at(START, START.plus(Duration.ofDays(14)));
        assertThat(Double.parseDouble(washed.get(deep - 2))).isLessThan(1.3 * first);
        assertThat(Double.parseDouble(washed.get(deep))).isGreaterThan(1.5 * first);
    }

    @Test
    void theLaboratoryTakesItsTimeAndMeasuresASampleTheSameTwice() {
        assertThat(LabAnswer.ready(START)).isEqualTo(START.plus(Duration.ofDays(3)));
        Living good = Living.in(Species.BROADLEAF, Surroundings.GOOD);
        Living salty = Living.in(Species.BROADLEAF, Surroundings.GOOD.salty(4));
        for (Measurand what : LabAnswer.MEASURES) {
            String value = LabAnswer.value(what, "K34", good, 1);
            assertThat(LabAnswer.value(what, "K34", good, 1)).isEqualTo(value);
            assertThat(Double.parseDouble(value)).isBetween(what.lowest(), what.highest());
        }
        assertThat(Double.parseDouble(LabAnswer.value(Measurand.EC, "K34", salty, 1)))
                .isCloseTo(4, within(0.25));
        assertThat(Double.parseDouble(LabAnswer.value(Measurand.PH, "K34", salty, 1)))
                .isCloseTo(6.2, within(0.25));
        assertThat(Double.parseDouble(LabAnswer.value(Measurand.SODIUM, "K34", salty, 1)))
                .isGreaterThan(5 * Double.parseDouble(LabAnswer.value(Measurand.SODIUM, "K34", good, 1)));
    }
}
