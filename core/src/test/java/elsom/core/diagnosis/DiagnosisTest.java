package elsom.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Causes are ranked by what was seen; absent signs speak, and the board says when it can't tell. */
class DiagnosisTest {
    private static final Likelihoods TABLE = Likelihoods.SHIPPED;
    private static final Optional<IndicatorGroup> PEA = Optional.of(IndicatorGroup.LEGUME);
    private static final Optional<IndicatorGroup> BARLEY = Optional.of(IndicatorGroup.GRASS);

    private static Seen seen(Sign sign, Optional<IndicatorGroup> plants) {
        return new Seen(sign, plants, true);
    }

    private static Seen absent(Sign sign, Optional<IndicatorGroup> plants) {
        return new Seen(sign, plants, false);
    }

    @Test
    void cuppedAndTwistedPeasBesideUnharmedBarleyPointToAnAuxin() {
        Diagnosis found = Diagnosis.of(
                List.of(
                        seen(Sign.INJURED, PEA),
                        absent(Sign.INJURED, BARLEY),
                        seen(Sign.CUPPED, PEA),
                        seen(Sign.TWISTED, PEA),
                        absent(Sign.BURNT, Optional.empty())),
                TABLE);
        assertThat(found.named()).contains(Cause.AUXIN);
        Map<Sign, Diagnosis.Weight> says = new java.util.EnumMap<>(Sign.class);
        found.first().reasons().forEach(reason -> says.putIfAbsent(reason.seen().sign(), reason.weight()));
        assertThat(says.get(Sign.CUPPED)).isEqualTo(Diagnosis.Weight.STRONGLY_FOR);
        assertThat(says.get(Sign.BURNT)).isEqualTo(Diagnosis.Weight.SILENT);
    }

    /** By hand: two causes left by one sign, p 0.92 and 0.75 of charcoal, the others as the table says. */
    @Test
    void sharesAreBayesRule() {
        Diagnosis found = Diagnosis.of(List.of(seen(Sign.CHARCOAL, Optional.empty())), TABLE);
        double[] listed = {0.92, 0.75, 0.8, 0.05, 0.35, 0.03, 0.05, 0.03, 0.05, 0.05, 0.05, 0.05};
        double sum = 2.4 * Math.pow(0.3, 0.84) + (0.5 + 0.4 + 0.4) * Math.pow(0.05, 0.84);
        for (double one : listed) {
            sum += Math.pow(one, 0.84);
        }
        assertThat(found.first().cause()).isEqualTo(Cause.AUXIN);
        assertThat(found.first().share()).isCloseTo(Math.pow(0.92, 0.84) / sum, within(1e-12));
        assertThat(found.named()).isEmpty();
    }

    @Test
    void theNextTestIsTheOneThatPartsTheFirstTwo() {
        Diagnosis salty = Diagnosis.of(
                List.of(
                        seen(Sign.INJURED, PEA),
                        seen(Sign.BURNT, Optional.empty()),
                        seen(Sign.STUNTED, Optional.empty()),
                        seen(Sign.MISSING, Optional.empty())),
                TABLE);
        assertThat(Set.of(salty.first().cause(), salty.second().cause()))
                .containsExactlyInAnyOrder(Cause.SALTS, Cause.AMMONIA);
        Set<IndicatorGroup> sown = Set.of(IndicatorGroup.LEGUME);
        assertThat(salty.next(Set.of(), sown, TABLE)).contains(NextTest.AIRING);
        assertThat(salty.next(Set.of(Sign.AIRING), sown, TABLE)).contains(NextTest.EC);
    }

    /** 2,000 lots drawn from the table, every usual cause alike often. */
    @Test
    void theTrueCauseComesFirstInMostSimulatedBioassays() {
        Random chance = new Random(20_261_125);
        int first = 0;
        int firstTwo = 0;
        List<Cause> causes = Arrays.stream(Cause.values())
                .filter(cause -> cause != Cause.NONE && cause.weight() == 1)
                .toList();
        int trials = 2000;
        for (int i = 0; i < trials; i++) {
            Cause truth = causes.get(i % causes.size());
            Diagnosis found = Diagnosis.of(drawn(truth, chance), TABLE);
            first += found.first().cause() == truth ? 1 : 0;
            firstTwo += found.first().cause() == truth || found.second().cause() == truth ? 1 : 0;
        }
        assertThat(first / (double) trials).isGreaterThanOrEqualTo(0.85);
        assertThat(firstTwo / (double) trials).isGreaterThanOrEqualTo(0.95);
    }

    @Test
    void undamagedLotsWithStrayMarksAreNotAccused() {
        Random chance = new Random(31);
        int accused = 0;
        int trials = 2000;
        for (int i = 0; i < trials; i++) {
            Optional<Cause> named =
                    Diagnosis.of(drawn(Cause.NONE, chance), TABLE).named();
            accused += named.isPresent() && named.get() != Cause.NONE ? 1 : 0;
        }
        assertThat(accused / (double) trials).isLessThanOrEqualTo(0.2);
    }

    /**
     * A bioassay of a legume, another broadleaf and a grass with a dilution, a charcoal pair, EC and pH. Of four units one
     * symptom in ten is misread in each; a lot shows what half of its units show.
     */
    private static List<Seen> drawn(Cause truth, Random chance) {
        Set<Sign> looked = EnumSet.allOf(Sign.class);
        looked.removeAll(EnumSet.of(Sign.LEACHING, Sign.AIRING, Sign.NITROGEN, Sign.LIME));
        List<Seen> seen = new ArrayList<>();
        for (Likelihoods.Row row : TABLE.rows()) {
            if (looked.contains(row.sign())) {
                boolean there = chance.nextDouble() < row.given(truth);
                seen.add(new Seen(
                        row.sign(),
                        row.plants(),
                        row.sign().kind() == Sign.Kind.SYMPTOM ? read(there, chance) : there));
            }
        }
        return seen;
    }

    private static boolean read(boolean there, Random chance) {
        int units = 4;
        int shown = 0;
        for (int unit = 0; unit < units; unit++) {
            shown += (chance.nextDouble() < 0.1) != there ? 1 : 0;
        }
        return shown >= units / 2;
    }

    @Test
    void aTableOfOnesOwnIsReadAndItsBadRowsAreAllListed() throws IOException {
        String head = "sign,plants,"
                + String.join(
                        ",", Arrays.stream(Cause.values()).map(Cause::code).toList()) + ",source\n";
        String good = head + "cupped,legume" + ",0.5".repeat(Cause.values().length) + ",my own\n";
        assertThat(Likelihoods.parse(new StringReader(good)).rows())
                .singleElement()
                .satisfies(row -> {
                    assertThat(row.sign()).isEqualTo(Sign.CUPPED);
                    assertThat(row.plants()).isEqualTo(PEA);
                    assertThat(row.source()).isEqualTo("my own");
                });
        String bad = head + "curly,legume" + ",0.5".repeat(Cause.values().length) + ",x\ncupped,fern"
                + ",0.5".repeat(Cause.values().length) + ",x\nleggy,all,2" + ",0.5".repeat(Cause.values().length - 1)
                + ",x\n";
        assertThatThrownBy(() -> Likelihoods.parse(new StringReader(bad)))
                .hasMessageContaining("row 2: “curly” is no sign")
                .hasMessageContaining("row 3: “fern” is not legume")
                .hasMessageContaining("row 4: auxin must be a number between 0 and 1, got “2”");
        assertThatThrownBy(() -> Likelihoods.parse(new StringReader("sign,plants\n")))
                .hasMessageContaining("no column “auxin”");
    }

    /** Tables of before something else, slugs, cold and seed had their columns are read as they were. */
    @Test
    void aTableWithoutSomethingElseIsReadStill() throws IOException {
        String head = "sign,plants,"
                + String.join(
                        ",",
                        Arrays.stream(Cause.values())
                                .filter(cause -> !Set.of(Cause.OTHER, Cause.EATEN, Cause.COLD, Cause.SEED)
                                        .contains(cause))
                                .map(Cause::code)
                                .toList())
                + ",source\n";
        Likelihoods.Row row = Likelihoods.parse(
                        new StringReader(head + "cupped,legume" + ",0.2".repeat(12) + ",my own\n"))
                .rows()
                .get(0);
        assertThat(row.given(Cause.COLD)).isEqualTo(0.06);
        assertThat(row.given(Cause.OTHER)).isCloseTo((12 * 0.2 + 0.04 + 0.06 + 0.03) / 15, within(1e-12));
    }

    /** Signs outside the list: yellow and stunted at a usual EC and pH in all plants, and chewed alone. */
    @Test
    void whatNothingExplainsIsSomethingElse() {
        Diagnosis chewed = Diagnosis.of(
                List.of(
                        seen(Sign.INJURED, PEA),
                        seen(Sign.CHEWED, Optional.empty()),
                        absent(Sign.WILTED, Optional.empty()),
                        absent(Sign.STUNTED, Optional.empty()),
                        absent(Sign.BURNT, Optional.empty()),
                        absent(Sign.CUPPED, PEA),
                        absent(Sign.TWISTED, PEA)),
                TABLE);
        assertThat(chewed.first().cause()).isEqualTo(Cause.EATEN);
        Diagnosis barley = Diagnosis.of(
                List.of(
                        absent(Sign.INJURED, PEA),
                        seen(Sign.INJURED, BARLEY),
                        seen(Sign.CUPPED, BARLEY),
                        seen(Sign.TWISTED, BARLEY),
                        absent(Sign.WILTED, Optional.empty())),
                TABLE);
        assertThat(barley.first().cause()).isEqualTo(Cause.OTHER);
    }

    /** Half a sign at the edge: EC 2.4 counts less than 2.85, not nothing. */
    @Test
    void aMeterNearItsEdgeCountsByHowFar() {
        List<Seen> burnt = List.of(
                seen(Sign.INJURED, PEA), seen(Sign.BURNT, Optional.empty()), seen(Sign.STUNTED, Optional.empty()));
        double below = share(burnt, 0.36);
        double above = share(burnt, 0.67);
        assertThat(below).isGreaterThan(share(burnt, 0)).isLessThan(above);
        assertThat(above).isLessThan(share(burnt, 1));
    }

    private static double share(List<Seen> plain, double degree) {
        List<Seen> with = new ArrayList<>(plain);
        with.add(new Seen(Sign.HIGH_EC, Optional.empty(), degree));
        return Diagnosis.of(with, TABLE).standings().stream()
                .filter(standing -> standing.cause() == Cause.SALTS)
                .mapToDouble(Diagnosis.Standing::share)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aTableTakenOutIsReadInAsItWas() throws IOException {
        assertThat(Likelihoods.parse(new StringReader(TABLE.csv()))).isEqualTo(TABLE);
    }

    @Test
    void everyRowOfTheShippedTableHasItsSource() {
        assertThat(TABLE.rows())
                .hasSizeGreaterThan(30)
                .allSatisfy(row -> assertThat(row.source()).isNotBlank());
    }

    @Test
    void plantsAndRemediesAreKnownByTheWordsOfTheirNames() {
        assertThat(IndicatorGroup.of("field pea")).isEqualTo(PEA);
        assertThat(IndicatorGroup.of("peat")).isEmpty();
        assertThat(IndicatorGroup.of("spring barley")).isEqualTo(BARLEY);
        assertThat(IndicatorGroup.plantIn("field pea in GW-32")).contains("pea");
        assertThat(IndicatorGroup.plantIn("as it is")).isEmpty();
        assertThat(Remedy.of("with charcoal")).contains(Remedy.CHARCOAL);
        assertThat(Remedy.of("no charcoal")).isEmpty();
        assertThat(Remedy.of("as it is")).isEmpty();
    }

    /** What strikes plants from outside is called what it is. */
    @Test
    void eatersColdAndOldSeedAreCauses() {
        assertThat(Diagnosis.of(
                                List.of(
                                        seen(Sign.CHEWED, Optional.empty()),
                                        seen(Sign.MISSING, Optional.empty()),
                                        absent(Sign.STUNTED, Optional.empty())),
                                TABLE)
                        .first()
                        .cause())
                .isEqualTo(Cause.EATEN);
        assertThat(Diagnosis.of(
                                List.of(
                                        seen(Sign.PURPLE, Optional.empty()),
                                        seen(Sign.STUNTED, Optional.empty()),
                                        seen(Sign.COLD_PLACE, Optional.empty()),
                                        absent(Sign.LOW_PH, Optional.empty())),
                                TABLE)
                        .first()
                        .cause())
                .isEqualTo(Cause.COLD);
        assertThat(Diagnosis.of(
                                List.of(
                                        seen(Sign.MISSING, Optional.empty()),
                                        absent(Sign.STUNTED, Optional.empty()),
                                        absent(Sign.COLLAPSED, Optional.empty()),
                                        absent(Sign.WILTED, Optional.empty()),
                                        absent(Sign.YELLOW, PEA),
                                        absent(Sign.BURNT, Optional.empty()),
                                        absent(Sign.LATE, Optional.empty()),
                                        absent(Sign.BROWN_ROOTS, Optional.empty())),
                                TABLE)
                        .first()
                        .cause())
                .isEqualTo(Cause.SEED);
    }

    /** A smell and an age beside what was seen: ammonia, not waterlogging. */
    @Test
    void theNoseTells() {
        List<Seen> seen = new ArrayList<>(List.of(
                seen(Sign.BROWN_ROOTS, Optional.empty()),
                seen(Sign.MOULD, Optional.empty()),
                absent(Sign.BURNT, Optional.empty())));
        double before = share(Diagnosis.of(seen, TABLE), Cause.AMMONIA);
        seen.add(seen(Sign.SMELL, Optional.empty()));
        seen.add(seen(Sign.FRESH, Optional.empty()));
        assertThat(share(Diagnosis.of(seen, TABLE), Cause.AMMONIA))
                .isGreaterThan(0.7)
                .isGreaterThan(before + 0.3);
    }

    private static double share(Diagnosis found, Cause cause) {
        return found.standings().stream()
                .filter(standing -> standing.cause() == cause)
                .findFirst()
                .orElseThrow()
                .share();
    }

    /** Two causes at once are an answer where no one explains it; seldom said of one, and right when said. */
    @Test
    void twoCausesAtOnceAreToldWhereTheirSignsAreUnlike() {
        SimulatedLots lots = new SimulatedLots(SimulatedLots.WORLDS.get(0), 100);
        int falsely = 0;
        for (int i = 0; i < 2000; i++) {
            falsely += Diagnosis.of(lots.next().seen(), TABLE).together().isPresent() ? 1 : 0;
        }
        int told = 0;
        int right = 0;
        for (int i = 0; i < 500; i++) {
            Optional<Diagnosis.Pair> pair =
                    Diagnosis.of(lots.withBoth(Cause.AUXIN, Cause.SALTS), TABLE).together();
            told += pair.isPresent() ? 1 : 0;
            right += pair.equals(Optional.of(new Diagnosis.Pair(Cause.AUXIN, Cause.SALTS))) ? 1 : 0;
        }
        assertThat(falsely / 2000.0).isLessThan(0.02);
        assertThat(told / 500.0).isGreaterThan(0.3);
        assertThat(right / (double) told).isGreaterThan(0.85);
    }
}
