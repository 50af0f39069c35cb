package elsom.web.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class SheetsTest {
    private static final Path STYLES = Path.of("src/main/resources/static/css");
    private static final Path TEMPLATES = Path.of("src/main/resources/templates");

    /** A sheet that no page loads is dead, one that is not there a refused request on every page. */
    @Test
    void everySheetIsLoadedBySomePageAndEveryLoadedSheetIsThere() throws IOException {
        Set<String> loaded = new TreeSet<>();
        for (String folder : names(TEMPLATES)) {
            loaded.addAll(Sheets.of(folder + "/any"));
        }

        assertThat(loaded)
                .isEqualTo(names(STYLES).stream()
                        .map(file -> file.replace(".css", ""))
                        .collect(Collectors.toCollection(TreeSet::new)));
    }

    @Test
    void aBenchKnowsNothingOfTastingsBrewsOrTheShelf() {
        assertThat(Sheets.of("bench/bench")).doesNotContain("tasting", "brew", "shelf", "practice", "series");
    }

    private static List<String> names(Path folder) throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            return files.map(file -> file.getFileName().toString()).sorted().toList();
        }
    }
}
