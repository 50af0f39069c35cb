package elsom.web.designer;

import elsom.core.material.CheapestFit;
import elsom.core.material.Use;
import elsom.core.mix.Mix;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Typed;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * The mixing bench as typed.
 *
 * @param rows what stands in each row
 * @param mix of the rows that can be read; empty when there is none
 * @param settling share of the loose volume, 0 to below 1
 */
record DesignerForm(
        List<Row> rows,
        Optional<Mix> mix,
        String depth,
        double depthCm,
        String batch,
        double batchMl,
        String settles,
        double settling,
        String container,
        double containerMl,
        List<LimitRow> limited,
        List<CheapestFit.Limit> limits,
        Map<String, String> problems) {
    static final int ROWS = 8;
    static final int LIMITS = 3;
    private static final double LARGEST_ML = 100_000_000;
    private static final double MOST_SETTLING = 60;

    /** A part as typed. */
    record Row(String part, String parts) {
        static final Row EMPTY = new Row("", "");
    }

    /** What somebody wants of a lot in the cheapest mix, in percent as typed. */
    record LimitRow(String lot, String least, String most) {}

    static DesignerForm read(Map<String, String> sent, Optional<Use> use) {
        Map<String, String> problems = new LinkedHashMap<>();
        List<Row> rows = rows(sent, problems);
        List<Mix.Part> parts = new ArrayList<>();
        for (int i = 0; i < rows.size(); i++) {
            part(rows.get(i), i, problems).ifPresent(parts::add);
        }
        double usualDepth = use.map(Use::depthCm).orElse(10.0);
        String depth = text(sent, "depth", Decimals.upTo(usualDepth, 1) + " cm");
        String batch = text(sent, "batch", "50 L");
        String settles = text(sent, "settles", "15");
        String container = text(sent, "container", "380 mL");
        List<LimitRow> limited = IntStream.range(0, LIMITS)
                .mapToObj(i -> new LimitRow(
                        text(sent, "limit" + i, ""), text(sent, "least" + i, ""), text(sent, "most" + i, "")))
                .toList();
        return new DesignerForm(
                rows,
                parts.isEmpty() ? Optional.empty() : Optional.of(merged(parts)),
                depth,
                number(depth, UnitOfMeasure.CENTIMETRE, 1, 100, usualDepth, "depth", "10 cm, 4 in", problems),
                batch,
                number(batch, UnitOfMeasure.MILLILITRE, 1, LARGEST_ML, 50_000, "batch", "50 L, 5 US gal", problems),
                settles,
                number(settles, UnitOfMeasure.COUNT, 0, MOST_SETTLING, 0, "settles", "15", problems) / 100,
                container,
                number(container, UnitOfMeasure.MILLILITRE, 1, LARGEST_ML, 380, "container", "380 mL, 1 qt", problems),
                limited,
                limits(limited, problems),
                problems);
    }

    private static List<CheapestFit.Limit> limits(List<LimitRow> typed, Map<String, String> problems) {
        List<CheapestFit.Limit> limits = new ArrayList<>();
        for (int i = 0; i < typed.size(); i++) {
            LimitRow row = typed.get(i);
            if (row.lot().isEmpty()) {
                continue;
            }
            String field = "limit" + i;
            double least = percent(row.least(), 0, field, problems);
            double most = percent(row.most(), 100, field, problems);
            if (least > most) {
                problems.put(
                        field,
                        "At least " + row.least() + " and at most " + row.most()
                                + " can't both be. Accepted: 10 and 40.");
            } else {
                limits.add(new CheapestFit.Limit(row.lot(), least / 100, most / 100));
            }
        }
        return limits;
    }

    private static double percent(String text, double otherwise, String field, Map<String, String> problems) {
        return text.isEmpty()
                ? otherwise
                : number(text.replace("%", ""), UnitOfMeasure.COUNT, 0, 100, otherwise, field, "20, or 20 %", problems);
    }

    /** The rows of a mix, in percent. */
    static List<Row> rowsOf(Mix mix) {
        List<Row> rows = new ArrayList<>();
        for (Mix.Part part : mix.parts()) {
            rows.add(new Row(part.material(), Decimals.upTo(100 * part.parts() / mix.total(), 1)));
        }
        return filled(rows);
    }

    private static List<Row> filled(List<Row> rows) {
        List<Row> all = new ArrayList<>(rows.subList(0, Math.min(ROWS, rows.size())));
        while (all.size() < ROWS) {
            all.add(Row.EMPTY);
        }
        return all;
    }

    private static List<Row> rows(Map<String, String> sent, Map<String, String> problems) {
        String recipe = sent.getOrDefault("recipe", "");
        if (!recipe.isBlank()) {
            try {
                Mix mix = Mix.parse(recipe);
                if (mix.parts().size() > ROWS) {
                    problems.put("part0", "The bench takes " + ROWS + " parts; the smallest are left out.");
                }
                return rowsOf(mix);
            } catch (IllegalArgumentException unreadable) {
                problems.put("part0", String.valueOf(unreadable.getMessage()));
            }
        }
        List<Row> rows = new ArrayList<>();
        for (int i = 0; i < ROWS; i++) {
            rows.add(new Row(text(sent, "part" + i, ""), text(sent, "parts" + i, "")));
        }
        return rows;
    }

    private static Optional<Mix.Part> part(Row row, int number, Map<String, String> problems) {
        if (row.part().isEmpty() && row.parts().isEmpty()) {
            return Optional.empty();
        }
        if (row.part().isEmpty()) {
            problems.put("part" + number, "Which material? Accepted: leaf mould.");
            return Optional.empty();
        }
        double parts = number(
                row.parts().isEmpty() ? "1" : row.parts().replace("%", ""),
                UnitOfMeasure.COUNT,
                0,
                1e6,
                0,
                "part" + number,
                "3, or 60",
                problems);
        return parts > 0 ? Optional.of(new Mix.Part(row.part(), parts)) : Optional.empty();
    }

    /** The same material in two rows is one part. */
    private static Mix merged(List<Mix.Part> parts) {
        Map<String, Double> sums = new LinkedHashMap<>();
        parts.forEach(part -> sums.merge(part.material(), part.parts(), Double::sum));
        return new Mix(sums.entrySet().stream()
                .map(part -> new Mix.Part(part.getKey(), part.getValue()))
                .toList());
    }

    private static double number(
            String text,
            UnitOfMeasure unit,
            double low,
            double high,
            double otherwise,
            String field,
            String accepted,
            Map<String, String> problems) {
        if (Typed.parse(text, unit) instanceof Typed.Understood understood
                && understood.stored().value() >= low
                && understood.stored().value() <= high) {
            return understood.stored().value();
        }
        problems.put(field, "“" + text + "” can't be. Accepted: " + accepted + ".");
        return otherwise;
    }

    private static String text(Map<String, String> sent, String field, String otherwise) {
        String text = sent.getOrDefault(field, "").strip();
        return text.isEmpty() ? otherwise : text;
    }

    /** Rows to show: those with something in them and two more. */
    public int shown() {
        int last = 0;
        for (int i = 0; i < rows.size(); i++) {
            last = rows.get(i).equals(Row.EMPTY) ? last : i + 1;
        }
        return Math.min(ROWS, last + 2);
    }

    /** Whether anything is typed into the limits. */
    public boolean isLimited() {
        return limited.stream().anyMatch(row -> !(row.lot() + row.least() + row.most()).isEmpty());
    }

    String problem(String field) {
        return problems.getOrDefault(field, "");
    }
}
