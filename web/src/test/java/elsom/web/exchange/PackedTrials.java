package elsom.web.exchange;

import elsom.core.plan.Plan;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.trial.WholeTrial;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Trials as files, whole and damaged, for tests that send them. */
public final class PackedTrials {
    private PackedTrials() {}

    public static byte[] packed(WholeTrial whole) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        TrialPackageWriter.write(whole, List.of(), ExchangeFixture.START, Optional.empty(), bytes);
        return bytes.toByteArray();
    }

    public static WholeTrial draft(Plan plan) {
        return new WholeTrial(plan.sketch(new TrialId(0)), plan, List.of());
    }

    public static String readings(TrialRecord record) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        ReadingsCsv.write(record, bytes);
        return bytes.toString(StandardCharsets.UTF_8);
    }

    /** A table with a few cells, rows or columns changed. */
    public static String mutated(String csv, Random random, List<String> values) {
        List<List<String>> rows = new ArrayList<>();
        csv.lines().forEach(line -> rows.add(new ArrayList<>(Arrays.asList(line.split(",", -1)))));
        for (int i = random.nextInt(3); i >= 0; i--) {
            List<String> row = rows.get(random.nextInt(rows.size()));
            int cell = random.nextInt(row.size());
            switch (random.nextInt(10)) {
                case 0 -> row.remove(cell);
                case 1 -> rows.add(random.nextInt(rows.size()), new ArrayList<>(row));
                default -> {
                    String value = values.get(random.nextInt(values.size()));
                    row.set(cell, value.matches("[^\",\n\r]*") ? value : "\"" + value.replace("\"", "\"\"") + "\"");
                }
            }
            if (rows.get(0).isEmpty()) {
                rows.get(0).add("");
            }
        }
        return rows.stream().map(row -> String.join(",", row)).reduce("", (a, b) -> a + b + "\r\n");
    }

    /** A package with something in one of its files changed. */
    public static byte[] mutated(byte[] zip, Random random, List<String> values) throws IOException {
        Map<String, byte[]> files = files(zip);
        List<String> names = files.keySet().stream()
                .filter(name -> !name.startsWith("datapackage"))
                .toList();
        String name = names.get(random.nextInt(names.size()));
        String text = new String(files.get(name), StandardCharsets.UTF_8);
        String changed = name.endsWith(".json") ? mutatedJson(text, random, values) : mutated(text, random, values);
        files.put(name, changed.getBytes(StandardCharsets.UTF_8));
        return zipped(files);
    }

    public static Map<String, byte[]> files(byte[] zip) throws IOException {
        Map<String, byte[]> files = new LinkedHashMap<>();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                files.put(entry.getName(), in.readAllBytes());
            }
        }
        return files;
    }

    public static byte[] zipped(Map<String, byte[]> files) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, byte[]> file : files.entrySet()) {
                zip.putNextEntry(new ZipEntry(file.getKey()));
                zip.write(file.getValue());
                zip.closeEntry();
            }
        }
        return out.toByteArray();
    }

    private static String mutatedJson(String json, Random random, List<String> values) {
        JsonNode root = JsonMapper.shared().readTree(json);
        List<Runnable> changes = new ArrayList<>();
        collect(root, random, values, changes);
        changes.get(random.nextInt(changes.size())).run();
        return root.toString();
    }

    /** Everything that could be changed at or below a node. */
    private static void collect(JsonNode node, Random random, List<String> values, List<Runnable> changes) {
        if (node instanceof ObjectNode object) {
            for (String field : List.copyOf(object.propertyNames())) {
                changes.add(() -> object.remove(field));
                changes.add(() -> object.putNull(field));
                changes.add(() -> object.put(field, values.get(random.nextInt(values.size()))));
                changes.add(() -> object.put(field, number(random)));
                collect(object.get(field), random, values, changes);
            }
        } else if (node instanceof ArrayNode array) {
            changes.add(array::removeAll);
            if (!array.isEmpty()) {
                changes.add(() -> array.add(array.get(0).deepCopy()));
                changes.add(() -> array.set(0, array.numberNode(number(random))));
            }
            array.forEach(child -> collect(child, random, values, changes));
        }
    }

    private static double number(Random random) {
        double[] numbers = {0, -1, 1e308, 1e-300, 999_999_999, 9e18, 0.5, 3, 25, 1000};
        return numbers[random.nextInt(numbers.length)];
    }
}
