package elsom.web.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.material.Lot;
import elsom.core.material.LotFigure;
import elsom.core.material.MaterialKind;
import elsom.core.material.Origin;
import elsom.core.material.TypicalUses;
import elsom.core.mix.Property;
import elsom.core.mix.Quarantine;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A shelf as a file: the same comes back, and what can't be read is told by file and row with nothing taken. */
class ShelfPackageTest {
    private static final Instant NOW = Instant.parse("2026-05-04T09:00:00Z");
    private static final LocalDate MAY = LocalDate.of(2026, 5, 4);
    private static final Lot LOT = Lot.named("GW-31", "green-waste compost", MaterialKind.COMPOST)
            .with(List.of(
                    LotFigure.of(Property.PH, 7.3, Origin.LAB, "sheet, \"118\"", MAY),
                    new LotFigure(Property.WATER, 1.0 / 3, Origin.MEASURED, "", MAY, 6, 0)));

    private static final ShelfPackage.Shelf SHELF = new ShelfPackage.Shelf(
            List.of(LOT, Lot.mixed("Plug mix", "3 leaf mould + 1 GW-31", MAY)),
            TypicalUses.all(),
            List.of(new Quarantine("GW-31", "=harm", NOW, "Bench A", "beds", 0, NOW, "aired")));

    private static byte[] written() {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ShelfPackage.write(SHELF, NOW, out);
        return out.toByteArray();
    }

    private static Map<String, String> files(byte[] zip) throws IOException {
        Map<String, String> files = new LinkedHashMap<>();
        PackedTrials.files(zip).forEach((name, bytes) -> files.put(name, new String(bytes, StandardCharsets.UTF_8)));
        return files;
    }

    private static byte[] zipped(Map<String, String> files) throws IOException {
        Map<String, byte[]> bytes = new LinkedHashMap<>();
        files.forEach((name, text) -> bytes.put(name, text.getBytes(StandardCharsets.UTF_8)));
        return PackedTrials.zipped(bytes);
    }

    private static Optional<ShelfPackage.Shelf> read(byte[] zip, List<BadRow> problems) {
        return ShelfPackage.read(new ByteArrayInputStream(zip), problems);
    }

    @Test
    void theSameShelfComesBack() {
        List<BadRow> problems = new ArrayList<>();
        assertThat(read(written(), problems)).contains(SHELF);
        assertThat(problems).isEmpty();
    }

    @Test
    void theDescriptorNamesEveryTableAndColumn() throws IOException {
        Map<String, String> files = files(written());
        JsonNode descriptor = JsonMapper.shared().readTree(files.get("datapackage.json"));
        assertThat(descriptor.path("resources")).hasSize(4);
        descriptor.path("resources").forEach(resource -> {
            String header = String.valueOf(files.get(resource.path("path").stringValue()))
                    .lines()
                    .findFirst()
                    .orElseThrow();
            List<String> named = new ArrayList<>();
            resource.path("schema")
                    .path("fields")
                    .forEach(field -> named.add(field.path("name").stringValue()));
            assertThat(header.split(",")).containsExactlyElementsOf(named);
        });
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "lots.csv|COMPOST|ROCK|lots.csv|ROCK",
                "lots.csv|3 leaf mould|2:1 leaf mould|lots.csv|of what?",
                "lot_figures.csv|,7.3,|,77,|lot_figures.csv|77",
                "lot_figures.csv|2026-05-04|4 May|lot_figures.csv|2026-09-30",
                "lot_figures.csv|LAB|HEARSAY|lot_figures.csv|HEARSAY",
                "uses.csv|AIR|LOOKS|uses.csv|LOOKS"
            })
    void aCellThatCantBeIsToldAndNothingIsTaken(String file, String was, String is, String where, String says)
            throws IOException {
        Map<String, String> files = files(written());
        files.computeIfPresent(file, (name, text) -> text.replace(was, is));
        List<BadRow> problems = new ArrayList<>();
        assertThat(read(zipped(files), problems)).isEmpty();
        assertThat(problems).isNotEmpty().allMatch(problem -> problem.file().equals(where));
        assertThat(problems).anyMatch(problem -> problem.reason().contains(says));
    }

    @Test
    void whatIsNoShelfIsRefused() throws IOException {
        Map<String, String> files = files(written());
        List<BadRow> strange = new ArrayList<>();
        files.put("../evil.csv", "x");
        assertThat(read(zipped(files), strange)).isEmpty();
        assertThat(strange.get(0).reason()).contains("does not belong");
        List<BadRow> empty = new ArrayList<>();
        assertThat(read(zipped(Map.of("uses.csv", "code\n")), empty)).isEmpty();
        assertThat(empty.get(0).reason()).contains("lots.csv");
    }
}
