package elsom.core.sums;

import elsom.core.chemistry.Conductivity;
import elsom.core.chemistry.Extract;
import elsom.core.chemistry.Leaching;
import elsom.core.chemistry.Sodium;
import elsom.core.chemistry.WaterBlend;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.stats.Outcome;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;

/** Conductivity, what it is called, and sodium. */
final class Salts {
    private static final double[] PPM_FACTORS = {500, 640, 700};
    private static final double LARGEST_EC = 200;

    private Salts() {}

    static Sum units() {
        return new Sum(
                "salinity_units",
                "EC, ppm and temperature",
                "My meter shows salinity in one way, and I need it in another.",
                "EC₂₅ = EC ÷ (1 + 0.0191 (T − 25)); ppm = EC · 500, 640 or 700",
                List.of(
                        SumField.quantity("reading", "What the meter shows", UnitOfMeasure.COUNT, 0, 200_000, "1.8"),
                        SumField.choice(
                                "scale",
                                "on its scale",
                                "ec",
                                List.of(
                                        new SumField.Option("ec", "mS/cm or dS/m"),
                                        new SumField.Option("us", "µS/cm"),
                                        new SumField.Option("500", "ppm, factor 500"),
                                        new SumField.Option("640", "ppm, factor 640"),
                                        new SumField.Option("700", "ppm, factor 700"))),
                        SumField.quantity(
                                "temperature", "Temperature of the water", UnitOfMeasure.CELSIUS, 0, 60, "25 °C"),
                        SumField.choice(
                                "corrected",
                                "The meter corrects for it",
                                "yes",
                                List.of(new SumField.Option("yes", "yes"), new SumField.Option("no", "no")))),
                values -> {
                    String scale = values.text("scale");
                    double shown = values.quantity("reading");
                    double ec = scale.equals("ec")
                            ? shown
                            : scale.equals("us") ? shown / 1000 : shown / Double.parseDouble(scale);
                    double at25 = values.text("corrected").equals("yes")
                            ? ec
                            : Conductivity.at25(ec, values.quantity("temperature"));
                    SumAnswer answer = SumAnswer.of(Amounts.number(at25) + " mS/cm at 25 °C.")
                            .line("In µS/cm", Amounts.number(1000 * at25))
                            .step(Amounts.number(ec) + " mS/cm ÷ (1 + 0.0191 · ("
                                    + Decimals.upTo(values.quantity("temperature"), 1)
                                    + " − 25)) when the meter does not"
                                    + " correct")
                            .mind("Write mS/cm: ppm of EC means three things, and which one is the meter's own affair.")
                            .number("ec25", at25);
                    for (double factor : PPM_FACTORS) {
                        answer = answer.line("In ppm by " + Decimals.upTo(factor, 0), Amounts.number(factor * at25))
                                .number("ppm_" + Decimals.upTo(factor, 0), factor * at25);
                    }
                    return Optional.of(answer);
                });
    }

    private static List<SumField.Option> extractOptions() {
        return Arrays.stream(Extract.values())
                .map(extract -> new SumField.Option(extract.code(), extract.label()))
                .toList();
    }

    static Sum extracts() {
        return new Sum(
                "extracts",
                "One extract in another's figures",
                "I measured EC in one kind of extract, and the table I have is for another.",
                "straight lines between the class limits of Cavins et al. 2000",
                List.of(
                        SumField.quantity(
                                "ec",
                                "EC of the extract",
                                UnitOfMeasure.MILLISIEMENS_PER_CENTIMETRE,
                                0,
                                LARGEST_EC,
                                "1.2 mS/cm"),
                        SumField.choice("from", "made as", "1:2", extractOptions()),
                        SumField.choice("to", "wanted as", "saturated", extractOptions())),
                values -> {
                    Extract from = Extract.called(values.text("from")).orElseThrow();
                    Extract to = Extract.called(values.text("to")).orElseThrow();
                    double ec = values.quantity("ec");
                    double there = from.to(to, ec);
                    SumAnswer answer = SumAnswer.of("About " + Amounts.number(there) + " mS/cm as " + to.label() + ": "
                                    + from.classOf(ec) + ".")
                            .step("class limits of " + from.label() + ": "
                                    + from.edges().stream().map(Amounts::number).collect(Collectors.joining(", "))
                                    + "; of " + to.label() + ": "
                                    + to.edges().stream().map(Amounts::number).collect(Collectors.joining(", ")))
                            .mind(
                                    "Approximate: extracts of different kinds are never pooled. Measure again in the kind the"
                                            + " table is for before much depends on it.")
                            .number("ec", there);
                    for (Extract each : Extract.values()) {
                        answer = answer.line("As " + each.label(), Amounts.number(from.to(each, ec)) + " mS/cm");
                    }
                    return Optional.of(answer);
                });
    }

    static Sum sodium() {
        return new Sum(
                "sodium",
                "Sodium ratio",
                "A laboratory gave sodium, calcium and magnesium.",
                "SAR = Na/√((Ca + Mg)/2) in meq/L; ESP by SAR (Richards 1954)",
                List.of(
                        SumField.quantity("na", "Sodium", UnitOfMeasure.MILLIGRAM_PER_LITRE, 0, 1e6, "460 mg/L"),
                        SumField.quantity("ca", "Calcium", UnitOfMeasure.MILLIGRAM_PER_LITRE, 0, 1e6, "120 mg/L"),
                        SumField.quantity("mg", "Magnesium", UnitOfMeasure.MILLIGRAM_PER_LITRE, 0, 1e6, "24 mg/L")),
                values -> {
                    double na = values.quantity("na") / Sodium.SODIUM_MG;
                    double ca = values.quantity("ca") / Sodium.CALCIUM_MG;
                    double mg = values.quantity("mg") / Sodium.MAGNESIUM_MG;
                    Outcome<Double> ratio = Sodium.ratio(na, ca, mg);
                    if (ratio.asOptional().isEmpty()) {
                        values.refuse("ca", ratio.whyNot().orElse("") + ". Accepted: 120 mg/L");
                        return Optional.empty();
                    }
                    double sar = ratio.asOptional().get();
                    double esp = Sodium.exchangeablePercent(sar);
                    return Optional.of(SumAnswer.of("The sodium ratio (SAR) is " + Amounts.number(sar)
                                    + "; soil at rest with it has about " + Decimals.fixed(esp, 1)
                                    + " % exchangeable sodium.")
                            .line("Sodium", Amounts.number(na) + " meq/L")
                            .line("Calcium", Amounts.number(ca) + " meq/L")
                            .line("Magnesium", Amounts.number(mg) + " meq/L")
                            .step(Amounts.number(na) + " / √((" + Amounts.number(ca) + " + " + Amounts.number(mg)
                                    + ") / 2) = " + Amounts.number(sar))
                            .mind("From about 15 % on many soils seal and crust: a soil laboratory measures it.")
                            .number("sar", sar)
                            .number("esp", esp));
                });
    }

    static Sum blending() {
        return new Sum(
                "blending",
                "Blend two waters",
                "I have a fresh water and a salty one, and the crop bears so much.",
                "share of B = (limit − A)/(B − A); leaching EC_w/EC_d, and EC_w/(5 EC_e − EC_w) (Ayers & Westcot 1985)",
                List.of(
                        ec("a", "EC of water A, the fresher", "0.4 mS/cm"),
                        ec("b", "EC of water B, the saltier", "4 mS/cm"),
                        ec("limit", "EC that the water given may have", "1.2 mS/cm"),
                        ec("extract", "EC of the saturated extract that the crop bears", "1.5 mS/cm")
                                .orNone()),
                values -> {
                    if (!(values.quantity("limit") > 0)) {
                        values.refuse("limit", "A limit is above 0. Accepted: 1.2 mS/cm");
                        return Optional.empty();
                    }
                    Outcome<WaterBlend> found =
                            WaterBlend.under(values.quantity("limit"), values.quantity("a"), values.quantity("b"));
                    if (found.asOptional().isEmpty()) {
                        values.refuse("a", found.whyNot().orElse("") + ".");
                        return Optional.empty();
                    }
                    WaterBlend blend = found.asOptional().get();
                    SumAnswer answer = SumAnswer.of("At most " + Decimals.percent(blend.shareB(), 1)
                                    + " % of water B and the rest of water A: " + Amounts.number(blend.ec())
                                    + " mS/cm.")
                            .step("(" + Amounts.number(values.quantity("limit")) + " − "
                                    + Amounts.number(values.quantity("a"))
                                    + ") / (" + Amounts.number(values.quantity("b")) + " − "
                                    + Amounts.number(values.quantity("a")) + ")")
                            .mind(
                                    "Sodium, chloride and boron can harm below any limit of EC: a laboratory measures them.")
                            .number("share_b", blend.shareB())
                            .number("ec", blend.ec());
                    OptionalDouble extract = values.optional("extract");
                    return Optional.of(
                            extract.isPresent() && extract.getAsDouble() > 0 && blend.ec() > 0
                                    ? leached(answer, blend.ec(), extract.getAsDouble())
                                    : answer);
                });
    }

    private static SumAnswer leached(SumAnswer answer, double ec, double extract) {
        Outcome<Double> share = Leaching.byExtract(ec, extract);
        return share.asOptional()
                .map(found -> answer.line("Must drain of that blend", Decimals.percent(found, 0) + " %")
                        .number("leaching_fraction", found))
                .orElseGet(() ->
                        answer.line("Must drain of that blend", share.whyNot().orElse("")));
    }

    private static SumField ec(String code, String label, String example) {
        return SumField.quantity(code, label, UnitOfMeasure.MILLISIEMENS_PER_CENTIMETRE, 0, LARGEST_EC, example);
    }
}
