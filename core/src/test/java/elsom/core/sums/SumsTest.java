package elsom.core.sums;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** The sums against values worked out by hand, the laws they keep, and what they refuse. */
class SumsTest {
    static Stream<Sum> all() {
        return Sums.all().stream();
    }

    /** "stock=6 % wanted=0.5 %" with commas between. */
    private static Map<String, String> typed(String text) {
        Map<String, String> typed = new HashMap<>();
        for (String part : text.split(";")) {
            if (!part.isBlank()) {
                typed.put(part.split("=")[0].strip(), part.split("=", 2)[1].strip());
            }
        }
        return typed;
    }

    private static Map<String, Double> numbers(String code, String text) {
        return Sums.find(code)
                .orElseThrow()
                .worked(typed(text))
                .answer()
                .orElseThrow()
                .numbers();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                // C1V1 = C2V2: 2000 mL of 0.5 % from 6 %.
                "dilution | stock=6 %; wanted=0.5 %; volume=2 L | stock_ml | 166.6667 | 0.0001",
                "dilution | stock=100; wanted=100; volume=1 L | water_ml | 0 | 1e-9",
                "ratio | ratio=1 in 10; volume=1 L | stock_ml | 100 | 1e-9",
                "ratio | ratio=2:1; water=first; volume=3 L | stock_ml | 1000 | 1e-9",
                "ratio | ratio=2:1; water=second; volume=3 L | stock_ml | 2000 | 1e-9",
                "dilution_series | stock=4; factor=2; steps=3; volume=500 mL | step_3 | 0.5 | 1e-12",
                "dilution_series | stock=4; factor=2; steps=3; volume=500 mL | made_ml | 1000 | 1e-9",
                // 100 mg N/L of a feed with 12 % N: 100/(10·12) g/L.
                "feed | n=12; p=5; k=15; wanted=100; volume=10 L | product_g | 8.3333 | 0.0001",
                // its phosphorus: 0.8333 g/L · 5 % · 0.4364 = 18.183 mg/L
                "feed | n=12; p=5; k=15; wanted=100; volume=10 L | p_mg_per_l | 18.183 | 0.001",
                "feed | n=12; p=5; k=15; wanted=100; volume=10 L | k_mg_per_l | 103.763 | 0.001",
                "feed | n=12; p=5; k=15; wanted=100; volume=10 L; other=6 | other_g_per_l | 1.6667 | 0.0001",
                // 50 g/m² on 64 cm²
                "rates | amount=50; basis=area; top=64; containers=24 | g_per_container | 0.32 | 1e-12",
                "rates | amount=3; basis=medium; filled=380 mL | g_per_container | 1.14 | 1e-12",
                "rates | amount=2; basis=plant; plants=3 | g_per_container | 6 | 1e-12",
                // 40 stations of 30 by 20 cm
                "plot | rows=4; stations=10; between=30; within=20; rate=35 | area_m2 | 2.4 | 1e-12",
                "plot | rows=4; stations=10; between=30; within=20; rate=35 | product_g | 84 | 1e-9",
                // 240 / 0.85 · 1.1 = 310.6
                "seed | plants=240; germination=85; spare=10; mass=2.1 | seeds | 311 | 1e-9",
                // 4 g/L raised it by 1.8; 1.2 is wanted: 4 · 1.2/1.8, then for a lime of 80 %
                "lime_target | bare=4.8; limed=6.6; dose=4; target=6; tested=100; used=100 | lime_g_per_l | 2.66667 | 1e-5",
                "lime_target | bare=4.8; limed=6.6; dose=4; target=6; tested=100; used=80 | lime_g_per_l | 3.33333 | 1e-5",
                // half a pH down undoes 1 g/L of lime: 32.06/100.087 g of sulfur
                "lime_target | bare=6.5; limed=7.5; dose=2; target=6; tested=100; used=100 | sulfur_g_per_l | 0.32032 | 1e-5",
                // 1 g/L lowered it by 1.2; 0.8 is wanted: 0.6667, of 90 % by one of 99 %
                "sulfur_target | bare=7.6; acidified=6.4; dose=1; target=6.8; tested=90; used=99 | sulfur_g_per_l | 0.606061 | 1e-5",
                // (7.05 − 4.12)/2.99; 7 + (6.3 − 7.05)/0.97993
                "buffer_check | acid=4.12; middle=7.05 | slope_percent | 97.9933 | 1e-4",
                "buffer_check | acid=4.12; middle=7.05; sample=6.3 | sample_ph | 6.23464 | 1e-5",
                // 3.5 kg · 4.20 − 3
                "sure_return | before=18; after=21.5; price=4.2; cost=3 | net | 11.7 | 1e-9",
                "sure_return | before=18; after=21.5; price=4.2; cost=3 | break_even_yield | 0.714286 | 1e-6",
                "salinity_units | reading=640; scale=640 | ec25 | 1 | 1e-12",
                "salinity_units | reading=1.8; scale=ec | ppm_500 | 900 | 1e-9",
                // 1.8 read at 15 °C without correction: 1.8/(1 − 0.191)
                "salinity_units | reading=1.8; scale=ec; temperature=15; corrected=no | ec25 | 2.22497 | 0.00001",
                // half-way between the limits 0.75 and 1.25 is half-way between 2.0 and 3.5
                "extracts | ec=1.0; from=1:2; to=saturated | ec | 2.75 | 1e-9",
                "extracts | ec=2.6; from=pour-through; to=1:5 | ec | 0.35 | 1e-9",
                // 460/22.99 = 20.009, 120/20.04 = 5.988, 24/12.15 = 1.975 meq/L; 20.009/√3.982
                "sodium | na=460; ca=120; mg=24 | sar | 10.028 | 0.001",
                "blending | a=0.5; b=6.5; limit=2 | share_b | 0.25 | 1e-12",
                "blending | a=1; b=1; limit=2; extract=1.5 | leaching_fraction | 0.153846 | 1e-6",
                // 175 mV over 2.99 pH is 58.53 mV; Nernst at 25 °C 59.16 mV
                "calibration | acid=172; middle=-3; basic= ; temperature=25 | slope_percent | 98.93 | 0.02",
                "water_loss | before=412.3; after=371.8; time=12 h; dry= | ml_per_day | 81 | 1e-9",
                "conversion | amount=1 US gal; to=mL | value | 3785.411784 | 1e-6",
                "conversion | amount=2 tsp; to=g; density=0.9 | value | 8.8721 | 0.0001",
                // 3.5 kg · 4.20 − 9
                "money | before=18; after=21.5; price=4.20; cost=9 | net | 5.7 | 1e-9",
                "money | before=18; after=21.5; price=4.20; cost=9 | break_even_price | 2.5714 | 0.0001",
                "pot_cost | price=11.50; bag=60 L; container=380 mL; settling=15; containers=24 | per_container | 0.085686 | 1e-6",
                // 3 fl oz a gallon is 3 ÷ 128 of it: 35 · 3785.41 · 3 ÷ 128
                "tank | rate=3 US fl oz per US gal; volume=35 US gal | product_ml | 3105.22 | 0.01",
                "tank | rate=2-3 g/L; volume=10 L | product_g | 20 | 0.001",
                "label_basis | rate=60 g/m2; plants=25; top=9 | per_pot | 0.3817 | 0.0001",
                "label_basis | rate=1 oz/sq ft; plants=10; top=9 | per_plant | 30.515 | 0.001",
                "drip | wanted=5; row=50; along=30; flow=1.6; drippers=1 | litres | 0.75 | 1e-9",
                "acid_jug | jug=1 L; took=2.4; tank=200 L | product_ml | 480 | 1e-9",
                // 2.4 and 3 g of N and K₂O of the first, 2.5 of K₂O of the second, in 10 L: K 550 · 0.8301
                "powders | powders=20 g 12-5-15 + 5 g 0-0-50; volume=10 L | k_mg_l | 456.6 | 0.1",
                "promise | promised=10; came=7 9 8 10 6 8 | high | 9.4843 | 0.001",
                "price_each | offer=9.60 for 12 heads | each | 0.8 | 1e-9",
                "seed_by | seeds=400; thousand=2.1; spoon=3 | spoons | 0.28 | 1e-9",
                // Welch by hand: 3.5 ± 2.306·√(2.1²/5 + 2.6²/5), df 7.66 → t 2.324
                "change | before=18; before_sd=2.1; before_n=5; after=21.5; after_sd=2.6; after_n=5 | low | 0.0267 | 0.005"
            })
    void theSumComesToWhatItDoesByHand(String code, String fields, String name, double value, double within) {
        assertThat(numbers(code, fields).get(name)).isCloseTo(value, within(within));
    }

    @ParameterizedTest
    @MethodSource("all")
    void itsExamplesAreAnAnswerWithWorkingAndASource(Sum sum) {
        Sum.Worked worked = sum.worked(Map.of());
        assertThat(worked.values().problems()).as(sum.code()).isEmpty();
        SumAnswer answer = worked.answer().orElseThrow();
        assertThat(answer.sentence()).endsWith(".");
        assertThat(answer.numbers()).isNotEmpty();
        assertThat(sum.source()).isNotBlank();
        Map<String, String> every = new HashMap<>();
        sum.fields().forEach(field -> every.put(field.code(), field.example()));
        assertThat(sum.worked(every).values().problems())
                .as("optional blanks filled too")
                .isEmpty();
    }

    @ParameterizedTest
    @MethodSource("all")
    void nothingThatIsWrittenBreaksIt(Sum sum) {
        List<String> odd =
                List.of("", "-1", "0", "1e9", "NaN", "½", "<b>", "640 ppm", "2:1", "9".repeat(80), "0.0000001");
        for (SumField field : sum.fields()) {
            for (String text : odd) {
                Sum.Worked worked = sum.worked(Map.of(field.code(), text));
                assertThat(worked.answer().isPresent()
                                || !worked.values().problems().isEmpty())
                        .as(sum.code() + " " + field.code() + "=" + text)
                        .isTrue();
                worked.answer()
                        .ifPresent(answer -> assertThat(answer.numbers().values())
                                .as(sum.code() + " " + field.code() + "=" + text)
                                .allMatch(number -> Double.isFinite(number)));
            }
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "dilution | wanted=12 %; stock=6 % | wanted | stronger than the stock",
                "dilution | volume=-2 L | volume | It can be",
                "dilution | stock=120 % | stock | to 100 %",
                "ratio | ratio=2:1 | water | which part is water",
                "ratio | ratio=half | ratio | Accepted: 2:1",
                "feed | n=60; p=30; k=20 | n | more than 100 %",
                "rates | basis=acre | basis | Choose one",
                "salinity_units | scale=ppm | scale | Choose one",
                "blending | a=640 ppm | a | by 640 it is 1 mS/cm",
                "blending | a=3; limit=2 | a | Even water A alone",
                "sodium | ca=0; mg=0 | ca | Without calcium",
                "conversion | amount=2 tsp; to=g | density | bulk density",
                "conversion | amount=5 cm; to=g | amount | a length",
                "water_loss | before=100; after=120 | after | heavier than before",
                "seed | germination=130 | germination | 1 to 100",
                "lime_target | bare=5; limed=5.1 | limed | nothing can be read off it",
                "lime_target | bare=5; limed=6; target=7 | target | Above what the jar reached",
                "lime_target | bare=6; limed=7; target=4 | target | sulfur can't be foretold",
                "lime_target | target=15 | target | 0 to 14",
                "sulfur_target | bare=7; acidified=6.9 | acidified | wait longer",
                "sulfur_target | target=7.8 | target | only lowers",
                "sulfur_target | target=6 | target | Below what the jar reached",
                "sulfur_target | tested=120 | tested | 10 to 100",
                "buffer_check | acid=7.2; middle=7 | acid | less in buffer 4.01",
                "two_heights | shallow_wet=200 | shallow_wet | some water",
                "two_heights | deep=7 cm | deep_wet | too alike",
                "sure_return | before_sd=0; after_sd=0 | before_sd | Neither scatters",
                "dilution | stock=3 %; wanted=5 mL/L | wanted | of what it holds is 0.5 %",
                "tank | rate=2 tsp/gal | rate | US",
                "tank | rate=1:50 | rate | which part",
                "tank | volume=35 gal | volume | US",
                "tank | rate=60 g/m2 | rate | on an area",
                "calibration | acid=490; middle=-3 | acid | no electrode has",
                "price_each | offer=4.20 for 60 g; other=1.10 for 1 L | other | the same unit"
            })
    void whatCantBeIsSaidAtItsBlankWithWhatCan(String code, String fields, String field, String says) {
        Sum.Worked worked = Sums.find(code).orElseThrow().worked(typed(fields));
        assertThat(worked.answer()).isEmpty();
        assertThat(worked.values().problems()).containsKey(field);
        assertThat(worked.values().problems().get(field)).contains(says);
    }

    @Test
    void stockAndWaterAddUpToTheVolume() {
        Random chance = new Random(4);
        for (int i = 0; i < 200; i++) {
            double stock = 1 + 99 * chance.nextDouble();
            double wanted = stock * chance.nextDouble();
            Map<String, Double> found =
                    numbers("dilution", "stock=" + stock + "; wanted=" + wanted + "; volume=1000 mL");
            assertThat(found.get("stock_ml") + found.get("water_ml")).isCloseTo(1000, within(1e-6));
            assertThat(found.get("stock_ml") * stock / 1000).isCloseTo(wanted, within(1e-6));
        }
    }

    @Test
    void aBlendLiesBetweenItsWaters() {
        Random chance = new Random(5);
        for (int i = 0; i < 200; i++) {
            double a = chance.nextDouble();
            double b = a + 5 * chance.nextDouble();
            double limit = a + 0.01 + 5 * chance.nextDouble();
            double ec = numbers("blending", "a=" + a + "; b=" + b + "; limit=" + limit)
                    .get("ec");
            assertThat(ec).isBetween(a - 1e-9, Math.min(b, limit) + 1e-9);
        }
    }

    @Test
    void anExtractThereAndBackIsItself() {
        for (double ec : new double[] {0.05, 0.3, 0.9, 1.4, 2.2, 4}) {
            double there = numbers("extracts", "ec=" + ec + "; from=1:2; to=pour-through")
                    .get("ec");
            double back = numbers("extracts", "ec=" + there + "; from=pour-through; to=1:2")
                    .get("ec");
            assertThat(back).isCloseTo(ec, within(1e-9));
        }
    }

    @Test
    void americanMeasuresComeToTheSame() {
        double metric = numbers("dilution", "stock=6; wanted=0.5; volume=3785.411784 mL")
                .get("stock_ml");
        double american =
                numbers("dilution", "stock=6; wanted=0.5; volume=1 US gal").get("stock_ml");
        assertThat(american).isCloseTo(metric, within(1e-9));
    }

    @Test
    void ameterIsJudgedByItsWorstSlope() {
        Sum calibration = Sums.find("calibration").orElseThrow();
        assertThat(calibration
                        .worked(typed("acid=172; middle=-3; basic=-176"))
                        .answer()
                        .orElseThrow()
                        .sentence())
                .isEqualTo("The meter is good.");
        assertThat(calibration
                        .worked(typed("acid=160; middle=-3"))
                        .answer()
                        .orElseThrow()
                        .sentence())
                .startsWith("It will do for now");
        assertThat(calibration
                        .worked(typed("acid=120; middle=-3"))
                        .answer()
                        .orElseThrow()
                        .sentence())
                .startsWith("Don't measure with it: its slope is off");
        assertThat(calibration
                        .worked(typed("acid=220; middle=45"))
                        .answer()
                        .orElseThrow()
                        .sentence())
                .contains("zero point is off");
    }

    @ParameterizedTest
    @CsvSource({
        "triangle, tasters=5;right=5, '5 tasters are not a panel: 5 of 5. From 6 people on something is said here.'",
        "preference, tasters=1;chose=1, 'One taster’s vote is not a panel: 1 of 1. From 6 people on something is said here.'",
        "triangle, tasters=6;right=6, 'Yes, they can tell. 6 of 6 (p 0.0014).'"
    })
    void fewerThanSixAreNoPanel(String code, String typed, String headline) {
        assertThat(Sums.find(code)
                        .orElseThrow()
                        .worked(typed(typed))
                        .answer()
                        .orElseThrow()
                        .sentence())
                .isEqualTo(headline);
    }
}
