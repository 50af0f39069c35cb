package elsom.core.sums;

import elsom.core.quantity.Decimals;
import elsom.core.quantity.Quantity;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Box;
import elsom.core.read.Read;
import elsom.core.stats.Summary;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.commons.statistics.distribution.TDistribution;

/** What growers reckon by hand in the yard: a rate into a tank, per plant, as drip, a jug's acid, powders, packets. */
final class YardSums {
    private static final double CM2_A_M2 = 10_000;
    private static final double M2_AN_ACRE = 4046.8564224;
    private static final double M2_A_HUNDRED_SQ_FT = 9.290304;
    private static final double P_OF_OXIDE = 0.4364;
    private static final double K_OF_OXIDE = 0.8301;
    private static final double MOST = 1e9;
    private static final Pattern POWDER = Pattern.compile(
            "\\s*([0-9]+(?:[.,][0-9]+)?) ?(g|kg|oz|lb)?(?: of)? ([0-9]{1,2}(?:[.,][0-9])?)-([0-9]{1,2}(?:[.,][0-9])?)-([0-9]{1,2}(?:[.,][0-9])?)(?: .*)?");

    private YardSums() {}

    static Sum tank() {
        return new Sum(
                "tank",
                "So much a gallon, into my tank",
                "The label says so much a gallon or a litre, and my tank holds another number of them.",
                "product = rate · volume; units by NIST Handbook 44",
                List.of(
                        ReadBlank.of("rate", "The label's rate", "3 US fl oz per US gal"),
                        ReadBlank.of("volume", "What the tank holds", "35 US gal")),
                values -> {
                    Optional<Read.Value> rate = ReadBlank.read(values, "rate", Box.LABEL_RATE);
                    Optional<Double> volume = ReadBlank.amount(values, "volume", Box.VOLUME);
                    if (rate.isEmpty() || volume.isEmpty()) {
                        return Optional.empty();
                    }
                    String unit = rate.get().unit();
                    if (unit.endsWith("m2")) {
                        values.refuse(
                                "rate", "That is a rate on an area; a tank needs one in a volume. Accepted: 2 g/L");
                        return Optional.empty();
                    }
                    boolean weight = unit.equals("g/L");
                    double perLitre = ((Read.Amount) rate.get().meaning()).value()
                            * (unit.equals("mL/L") || weight ? 1 : unit.equals("mg/L") ? 0.001 : 1000);
                    double product = perLitre * volume.get() / 1000;
                    return Optional.of(
                            poured(product, weight || unit.equals("mg/L"))
                                    .step(Amounts.number(perLitre) + (weight ? " g" : " mL") + " a litre · "
                                            + Amounts.number(volume.get() / 1000) + " L = " + Amounts.number(product)
                                            + (weight ? " g" : " mL"))
                                    .mind(
                                            "Of a range the lower end is taken; never go above the label. Water first, then the product."));
                });
    }

    private static SumAnswer poured(double product, boolean weight) {
        SumAnswer answer = SumAnswer.of((weight ? Amounts.grams(product) : Amounts.ml(product)) + " of product.");
        UnitOfMeasure own = weight ? UnitOfMeasure.GRAM : UnitOfMeasure.MILLILITRE;
        for (UnitOfMeasure other : weight
                ? List.of(UnitOfMeasure.OUNCE)
                : List.of(UnitOfMeasure.US_FLUID_OUNCE, UnitOfMeasure.US_CUP, UnitOfMeasure.TABLESPOON)) {
            answer = answer.line(
                    "In " + (other == UnitOfMeasure.US_FLUID_OUNCE ? "US fl oz" : other.symbol()),
                    Amounts.number(new Quantity(product, own).in(other).value()));
        }
        return answer.number(weight ? "product_g" : "product_ml", product);
    }

    static Sum basis() {
        return new Sum(
                "label_basis",
                "A rate on an area, for a plant or a pot",
                "The label speaks of an area; I have plants and pots.",
                "amount = rate · area; areas by NIST Handbook 44",
                List.of(
                        ReadBlank.of("rate", "The label's rate on an area", "60 g/m2"),
                        SumField.quantity(
                                "plants", "Plants on a square metre", UnitOfMeasure.COUNT, 0.01, 100_000, "25"),
                        SumField.quantity("top", "A pot's top across", UnitOfMeasure.CENTIMETRE, 0.5, 500, "9 cm")),
                values -> {
                    Optional<Read.Value> rate = ReadBlank.read(values, "rate", Box.AREA_RATE);
                    if (rate.isEmpty()) {
                        return Optional.empty();
                    }
                    boolean powder = rate.get().unit().equals("g/m2");
                    double perM2 = ((Read.Amount) rate.get().meaning()).value() * (powder ? 1 : 1000);
                    double pot = Math.PI * Math.pow(values.quantity("top") / 2, 2) / CM2_A_M2;
                    String unit = powder ? " g" : " mL";
                    return Optional.of(SumAnswer.of(Amounts.number(perM2 * pot) + unit + " for each pot, "
                                    + Amounts.number(perM2 / values.quantity("plants")) + unit + " for each plant.")
                            .line("A square metre", Amounts.number(perM2) + unit)
                            .line("100 sq ft", Amounts.number(perM2 * M2_A_HUNDRED_SQ_FT) + unit)
                            .line("An acre", Amounts.number(perM2 * M2_AN_ACRE / 1000) + (powder ? " kg" : " L"))
                            .line("A hectare", Amounts.number(perM2 * 10) + (powder ? " kg" : " L"))
                            .step("pot: π · (" + Amounts.number(values.quantity("top")) + " cm ÷ 2)² = "
                                    + Amounts.number(pot * CM2_A_M2) + " cm²")
                            .mind(
                                    "A rate on an area is meant for a field's depth of soil: in a pot it meets far less of it. Begin with less.")
                            .number("per_pot", perM2 * pot)
                            .number("per_plant", perM2 / values.quantity("plants"))
                            .number("per_m2", perM2));
                });
    }

    static Sum drip() {
        return new Sum(
                "drip",
                "How long to drip",
                "I want so many millimetres, and drippers give so much an hour.",
                "1 mm on 1 m² is 1 L",
                List.of(
                        SumField.quantity("wanted", "Water wanted", UnitOfMeasure.MILLIMETRE, 0.01, 1000, "5 mm"),
                        SumField.quantity("row", "Between rows", UnitOfMeasure.CENTIMETRE, 1, 1000, "50 cm"),
                        SumField.quantity(
                                "along", "Between plants in a row", UnitOfMeasure.CENTIMETRE, 1, 1000, "30 cm"),
                        SumField.quantity("flow", "A dripper gives, L an hour", UnitOfMeasure.COUNT, 0.01, 1000, "1.6"),
                        SumField.quantity("drippers", "Drippers to a plant", UnitOfMeasure.COUNT, 0.1, 100, "1")),
                values -> {
                    double m2 = values.quantity("row") * values.quantity("along") / CM2_A_M2;
                    double litres = values.quantity("wanted") * m2;
                    double minutes = 60 * litres / (values.quantity("flow") * values.quantity("drippers"));
                    return Optional.of(SumAnswer.of(Amounts.number(minutes) + " minutes: " + Amounts.number(litres)
                                    + " L for each plant.")
                            .step(Amounts.number(values.quantity("wanted")) + " mm · " + Amounts.number(m2) + " m² = "
                                    + Amounts.number(litres) + " L; ÷ "
                                    + Amounts.number(values.quantity("flow") * values.quantity("drippers")) + " L/h")
                            .mind(
                                    "Drippers at the end of a line give less: catch one hour of the first and of the last.")
                            .number("litres", litres)
                            .number("minutes", minutes));
                });
    }

    static Sum jug() {
        return new Sum(
                "acid_jug",
                "Acid or base, from a jug to a tank",
                "I brought a jug of my water to the pH I want, and counted what it took.",
                "in proportion: the water's buffering is the same in jug and tank",
                List.of(
                        SumField.quantity("jug", "The jug held", UnitOfMeasure.MILLILITRE, 1, 1e6, "1 L"),
                        SumField.quantity("took", "It took", UnitOfMeasure.MILLILITRE, 1e-4, 1e5, "2.4 mL"),
                        SumField.quantity("tank", "The tank holds", UnitOfMeasure.MILLILITRE, 1, 1e9, "200 L")),
                values -> {
                    double took = values.quantity("took");
                    double all = took * values.quantity("tank") / values.quantity("jug");
                    if (took >= values.quantity("jug")) {
                        values.refuse("took", "More than the jug held. Accepted: 2.4 mL");
                        return Optional.empty();
                    }
                    return Optional.of(SumAnswer.of(Amounts.ml(all) + " for the tank; begin with "
                                    + Amounts.ml(all * 0.7) + ", stir, measure, then the rest in steps.")
                            .step(Amounts.ml(took) + " · " + Amounts.ml(values.quantity("tank")) + " ÷ "
                                    + Amounts.ml(values.quantity("jug")) + " = " + Amounts.ml(all))
                            .mind(
                                    "Acid into water, never water into acid; goggles and gloves; never acid and bleach or base together. The"
                                            + " label and the data sheet come first. Use the same acid of the same strength as in the jug.")
                            .number("product_ml", all));
                });
    }

    static Sum powders() {
        return new Sum(
                "powders",
                "Several powders in one tank",
                "I dissolve several powders with N-P-K on their labels together.",
                "mg/L = 10 · g/L · %; P = 0.4364 · P₂O₅, K = 0.8301 · K₂O",
                List.of(
                        SumField.text("powders", "Each powder with its N-P-K", "20 g 12-5-15; 5 g 0-0-50"),
                        ReadBlank.of("volume", "Water", "10 L")),
                YardSums::dissolved);
    }

    private static Optional<SumAnswer> dissolved(SumValues values) {
        Optional<Double> volume = ReadBlank.amount(values, "volume", Box.VOLUME);
        double[] grams = new double[4];
        for (String each : values.text("powders").split("[;+\\n]")) {
            Matcher powder = POWDER.matcher(each);
            if (!powder.matches()) {
                values.refuse(
                        "powders",
                        "“" + each.strip() + "” is no weight with its N-P-K. Accepted: 20 g 12-5-15; 5 g 0-0-50");
                return Optional.empty();
            }
            UnitOfMeasure unit = UnitOfMeasure.spelled(powder.group(2) == null ? "g" : powder.group(2))
                    .orElse(UnitOfMeasure.GRAM);
            double mass = new Quantity(number(powder.group(1)), unit)
                    .in(UnitOfMeasure.GRAM)
                    .value();
            double sum = 0;
            for (int i = 0; i < 3; i++) {
                double percent = number(powder.group(3 + i));
                sum += percent;
                grams[i] += mass * percent / 100;
            }
            if (sum > 100 || mass > MOST) {
                values.refuse("powders", "“" + each.strip() + "” holds more than 100 %. Accepted: 20 g 12-5-15");
                return Optional.empty();
            }
            grams[3] += mass;
        }
        if (volume.isEmpty() || !(grams[3] > 0)) {
            values.refuse("powders", "Something above 0 g. Accepted: 20 g 12-5-15; 5 g 0-0-50");
            return Optional.empty();
        }
        double litres = volume.get() / 1000;
        double n = 1000 * grams[0] / litres;
        double p = 1000 * grams[1] * P_OF_OXIDE / litres;
        double k = 1000 * grams[2] * K_OF_OXIDE / litres;
        return Optional.of(SumAnswer.of(Amounts.number(n) + " mg/L of N, " + Amounts.number(p) + " of P, "
                        + Amounts.number(k) + " of K.")
                .line(
                        "Together like one powder of",
                        percent(grams[0], grams[3]) + "-" + percent(grams[1], grams[3]) + "-"
                                + percent(grams[2], grams[3]))
                .step(Amounts.grams(grams[3]) + " of powder in " + Amounts.ml(volume.get()))
                .mind(
                        "Not every two dissolve together: calcium with sulfate or phosphate falls out. Each label's own rate stays its ceiling.")
                .number("n_mg_l", n)
                .number("p_mg_l", p)
                .number("k_mg_l", k));
    }

    private static String percent(double part, double whole) {
        return Decimals.upTo(100 * part / whole, 1);
    }

    private static double number(String text) {
        return Double.parseDouble(text.replace(',', '.'));
    }

    static Sum promise() {
        return new Sum(
                "promise",
                "What the packet promised",
                "A packet or a seller promises so many from one; I counted what came.",
                "mean of the counts with Student's 95 % interval",
                List.of(
                        SumField.quantity("promised", "Promised from one", UnitOfMeasure.COUNT, 1e-6, 1e6, "10"),
                        SumField.text("came", "What came from each", "7 9 8 10 6 8")),
                values -> {
                    Optional<Read.Value> read = ReadBlank.read(values, "came", Box.FREE);
                    List<Double> came = read.map(Read.Value::meaning)
                            .filter(Read.Amounts.class::isInstance)
                            .map(meaning -> ((Read.Amounts) meaning).values())
                            .orElse(List.of());
                    if (came.size() < 2) {
                        values.refuse("came", "Two figures or more, with blanks between. Accepted: 7 9 8 10 6 8");
                        return Optional.empty();
                    }
                    Summary all = Summary.of(came.stream().mapToDouble(v -> v).toArray());
                    double half = TDistribution.of(came.size() - 1).inverseSurvivalProbability(0.025)
                            * all.sd().orElse(0)
                            / Math.sqrt(came.size());
                    double promised = values.quantity("promised");
                    double low = all.mean() - half;
                    double high = all.mean() + half;
                    String verdict = high < promised
                            ? "fewer than promised"
                            : low > promised ? "more than promised" : "it can't be told from what was promised";
                    return Optional.of(SumAnswer.of(Amounts.number(all.mean()) + " from one on average (95 % "
                                    + Amounts.number(low) + " to " + Amounts.number(high) + "): " + verdict + ".")
                            .line("Of what was promised", Decimals.upTo(100 * all.mean() / promised, 0) + " %")
                            .step(came.size() + " counted; lost ones count as 0, or it is the best of many")
                            .number("mean", all.mean())
                            .number("low", low)
                            .number("high", high));
                });
    }

    static Sum price() {
        return new Sum(
                "price_each",
                "What one costs",
                "Packs of unlike sizes: which is the cheaper?",
                "price ÷ amount",
                List.of(
                        SumField.text("offer", "One offer", "4.20 for 60 g"),
                        SumField.text("other", "Another offer", "6.50 for 100 g")
                                .orNone()),
                values -> {
                    Optional<Read.Value> one = offer(values, "offer");
                    if (one.isEmpty()) {
                        return Optional.empty();
                    }
                    double each = ((Read.Amount) one.get().meaning()).value();
                    SumAnswer answer = SumAnswer.of(
                                    Amounts.number(each) + " " + one.get().unit() + ".")
                            .step(values.text("offer"))
                            .number("each", each);
                    if (values.text("other").isBlank()) {
                        return Optional.of(answer);
                    }
                    Optional<Read.Value> two = offer(values, "other");
                    if (two.isEmpty()) {
                        return Optional.empty();
                    }
                    if (!two.get().unit().equals(one.get().unit())) {
                        values.refuse(
                                "other",
                                "That is " + two.get().unit() + ", and the first is "
                                        + one.get().unit() + ". Accepted: the same unit for both");
                        return Optional.empty();
                    }
                    double second = ((Read.Amount) two.get().meaning()).value();
                    return Optional.of(new SumAnswer(
                                    each == second
                                            ? "Both cost the same, " + Amounts.number(each) + " "
                                                    + one.get().unit() + "."
                                            : "The " + (each < second ? "first" : "other") + " is cheaper: "
                                                    + Amounts.number(Math.min(each, second)) + " and "
                                                    + Amounts.number(Math.max(each, second)) + " "
                                                    + one.get().unit() + ".",
                                    answer.lines(),
                                    answer.steps(),
                                    answer.mind(),
                                    answer.numbers())
                            .number("other", second));
                });
    }

    private static Optional<Read.Value> offer(SumValues values, String code) {
        Optional<Read.Value> read = ReadBlank.read(values, code, Box.FREE)
                .filter(value -> value.meaning() instanceof Read.Amount)
                .filter(value -> value.unit().startsWith("per ") || value.unit().contains("/"));
        if (read.isEmpty()) {
            values.refuse(code, "A price for an amount. Accepted: 4.20 for 60 g, or 9.60 for 12 heads");
        }
        return read;
    }

    static Sum seedBy() {
        return new Sum(
                "seed_by",
                "Seed by count, weight and spoon",
                "I want so many seeds, and have scales and a spoon.",
                "g = seeds · thousand-seed weight ÷ 1000",
                List.of(
                        SumField.quantity("seeds", "Seeds wanted", UnitOfMeasure.COUNT, 1, MOST, "400"),
                        SumField.quantity("thousand", "A thousand seeds weigh", UnitOfMeasure.GRAM, 1e-4, 1e5, "2.1 g"),
                        SumField.quantity("spoon", "A level spoon of them weighs", UnitOfMeasure.GRAM, 1e-4, 1e4, "3 g")
                                .orNone()),
                values -> {
                    double grams = values.quantity("seeds") * values.quantity("thousand") / 1000;
                    SumAnswer answer = SumAnswer.of(Amounts.grams(grams) + " of seed.")
                            .step(Amounts.number(values.quantity("seeds")) + " · "
                                    + Amounts.grams(values.quantity("thousand")) + " ÷ 1000 = " + Amounts.grams(grams))
                            .number("grams", grams);
                    if (values.optional("spoon").isPresent()) {
                        double spoon = values.optional("spoon").getAsDouble();
                        answer = answer.line("Level spoons", Amounts.number(grams / spoon))
                                .line("Seeds in a spoon", Amounts.number(1000 * spoon / values.quantity("thousand")))
                                .number("spoons", grams / spoon);
                    }
                    return Optional.of(answer.mind("Weigh your own spoonful once: spoons and lots of seed differ."));
                });
    }
}
