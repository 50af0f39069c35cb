package elsom.core.sim;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import elsom.core.design.LayoutKind;
import elsom.core.plan.APlan;
import elsom.core.plan.Measured;
import elsom.core.plan.Site;
import elsom.core.protocol.growth.GrowthInPots;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.LightMap;
import elsom.core.trial.Look;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.Side;
import elsom.core.trial.Trial;
import elsom.core.trial.TrialRecord;
import elsom.core.truth.Living;
import java.util.Comparator;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What instruments see on a bench that nobody practises on: the medium, the place and the day tell, as does what was read. */
class BenchTruthTest {
    private static final EndpointCode HEIGHT = new EndpointCode("height");

    private static Measured grown(String... mixes) {
        return Measured.started(APlan.ofGrowth().list(mixes).replicates(6).plan());
    }

    private static ReadingRef ref(ExperimentalUnit unit, Look look, EndpointCode code) {
        return new ReadingRef(unit.code(), look.number(), code, 1);
    }

    private static double mean(Measured grown, int treatment, Look look, EndpointCode code) {
        BenchTruth truth = new BenchTruth(grown.record());
        return grown.record().units().stream()
                .filter(unit -> unit.treatment() == treatment)
                .mapToDouble(unit -> truth.of(ref(unit, look, code)))
                .average()
                .orElseThrow();
    }

    private static Look look(Measured grown, EndpointCode code, int which) {
        return grown.record().looks().stream()
                .filter(look -> look.endpoints().contains(code))
                .toList()
                .get(which);
    }

    @Test
    void plantsAreTallerWhereTheMediumFeedsThemAndAsTheDaysGoBy() {
        Measured grown = grown("leaf mould", "foamed-glass grit");
        Look early = look(grown, HEIGHT, 0);
        Look late = look(grown, HEIGHT, 2);
        assertThat(mean(grown, 1, late, HEIGHT)).isBetween(8.0, 26.0);
        assertThat(mean(grown, 2, late, HEIGHT)).isLessThan(0.8 * mean(grown, 1, late, HEIGHT));
        assertThat(mean(grown, 1, early, HEIGHT)).isCloseTo(mean(grown, 1, late, HEIGHT) / 2, withinPercentage(1));
    }

    @Test
    void aReadingIsCarriedOnAsThePlantGrows() {
        Measured grown = grown("leaf mould", "wood fibre");
        Look first = look(grown, HEIGHT, 0);
        Look last = look(grown, HEIGHT, 2);
        ExperimentalUnit unit = grown.unit(1, 1);
        grown.read("height", 1, 6.4);
        BenchTruth truth = new BenchTruth(grown.record());
        assertThat(truth.of(ref(unit, first, HEIGHT))).isEqualTo(6.4);
        assertThat(truth.of(ref(unit, last, HEIGHT))).isCloseTo(2 * 6.4, withinPercentage(1));
    }

    @Test
    void aNeighbourThatWasReadSaysWhatToExpectOfTheTreatmentOnly() {
        Measured grown = grown("leaf mould", "wood fibre");
        Look first = look(grown, HEIGHT, 0);
        double other = new BenchTruth(grown.record()).of(ref(grown.unit(2, 2), first, HEIGHT));
        grown.read("height", 1, 40);
        BenchTruth truth = new BenchTruth(grown.record());
        assertThat(truth.of(ref(grown.unit(1, 2), first, HEIGHT))).isBetween(28.0, 56.0);
        assertThat(truth.of(ref(grown.unit(2, 2), first, HEIGHT))).isEqualTo(other);
    }

    @Test
    void whatIsCutWeighsByTheRoomAndTheMedium() {
        Measured grown = grown("leaf mould", "foamed-glass grit");
        EndpointCode mass = new EndpointCode("fresh-mass");
        Look end = grown.lookFor("fresh-mass");
        double good = mean(grown, 1, end, mass);
        assertThat(good).isBetween(8.0, 20.0);
        assertThat(mean(grown, 2, end, mass)).isLessThan(0.6 * good);
        assertThat(mean(grown, 1, end, GrowthInPots.SHOOT_DRY_MASS)).isCloseTo(0.11 * good, withinPercentage(0.1));
    }

    @Test
    void peasOverASuspectLotStayShortAndBarleyDoesNot() {
        Measured grown = grown("leaf mould", "3 leaf mould + 1 GW-32", "3 leaf mould + 1 GW-31");
        BenchTruth peas = new BenchTruth(asking(grown, "Does GW-32 hurt peas?"));
        BenchTruth barley = new BenchTruth(asking(grown, "Does GW-32 hurt barley?"));
        Look end = look(grown, HEIGHT, 2);
        double ratio = peas.of(ref(grown.unit(2, 1), end, HEIGHT)) / peas.of(ref(grown.unit(1, 1), end, HEIGHT));
        double spared = barley.of(ref(grown.unit(2, 1), end, HEIGHT)) / barley.of(ref(grown.unit(1, 1), end, HEIGHT));
        assertThat(ratio).isLessThan(0.85 * spared);
    }

    private static TrialRecord asking(Measured grown, String question) {
        Trial trial = grown.record().trial();
        return grown.record()
                .with(new Trial(
                        trial.id(),
                        question,
                        trial.protocol(),
                        trial.zone(),
                        trial.start(),
                        trial.seed(),
                        trial.stage(),
                        trial.blind()));
    }

    @Test
    void metersSeeTheMediumsOwnAcidityAndSalt() {
        Measured bioassay = Measured.started(APlan.of("seedling-injury")
                .list("composted bracken", "crushed brick 2–8 mm", "GW-31")
                .plan());
        EndpointCode ph = new EndpointCode("ph");
        EndpointCode ec = new EndpointCode("ec");
        assertThat(mean(bioassay, 1, bioassay.lookFor("ph"), ph)).isCloseTo(4.9, within(0.2));
        assertThat(mean(bioassay, 2, bioassay.lookFor("ph"), ph)).isCloseTo(7.6, within(0.2));
        assertThat(mean(bioassay, 3, bioassay.lookFor("ec"), ec))
                .isGreaterThan(3 * mean(bioassay, 2, bioassay.lookFor("ec"), ec));
    }

    @Test
    void theStrongestOfASeriesIsTheSaltiest() {
        Measured series = Measured.started(APlan.of("salinity")
                .factors(APlan.doses(null, null, 0, 10, 20, 40))
                .plan());
        EndpointCode ec = new EndpointCode("ec-out");
        Look look = series.lookFor("ec-out");
        assertThat(List.of(mean(series, 1, look, ec), mean(series, 2, look, ec), mean(series, 3, look, ec)))
                .isSorted();
        assertThat(mean(series, 4, look, ec) - mean(series, 1, look, ec)).isBetween(3.0, 5.0);
    }

    @Test
    void plantsAtTheDarkEndOfAMeasuredBenchStayShorter() {
        Site site =
                new Site("Tunnel table", 190, 50, Side.TOP, Side.RIGHT, LightMap.parse("400 60\n400 60"), List.of());
        Measured grown = Measured.started(APlan.ofGrowth()
                .list("leaf mould", "wood fibre")
                .replicates(6)
                .laidOut(LayoutKind.BLOCKS, site)
                .plan());
        PlantTruth plants = new PlantTruth(grown.record(), MediumTruth::of);
        Comparator<ExperimentalUnit> byLight =
                Comparator.comparingDouble(unit -> grown.record().bench(1).lightAt(unit.position()));
        List<ExperimentalUnit> alike = grown.record().units().stream()
                .filter(unit -> unit.treatment() == 1)
                .sorted(byLight)
                .toList();
        Living dark = plants.living(alike.get(0));
        Living bright = plants.living(alike.get(alike.size() - 1));
        assertThat(bright.at().photonFlux())
                .isCloseTo(
                        grown.record()
                                .bench(1)
                                .lightAt(alike.get(alike.size() - 1).position()),
                        within(1e-9));
        assertThat(dark.growth()).isLessThan(bright.growth());
        assertThat(dark.stature(26, 28, 28)).isLessThan(bright.stature(26, 28, 28));
    }

    @Test
    void aMaterialThatIsNotKnownIsAlwaysTheSameAndAMixIsItsParts() {
        assertThat(SolutionTruth.of("Moon dust")).isEqualTo(SolutionTruth.of(" moon dust "));
        assertThat(SolutionTruth.of("moon dust").ph()).isBetween(5.6, 7.0);
        SolutionTruth mix = SolutionTruth.of("3 leaf mould + 1 GW-32");
        assertThat(mix.residue()).isEqualTo(0.25, within(1e-9));
        assertThat(mix.ecMs()).isEqualTo(0.75 * 1.1 + 0.25 * 1.6, within(1e-9));
        assertThat(mix.ph()).isEqualTo(0.75 * 6.3 + 0.25 * 6.8, within(1e-9));
    }
}
