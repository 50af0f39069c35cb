package elsom.web.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Every page says what it is for, in three sentences. */
class PageHelpTest {
    private static final Path TEMPLATES = Path.of("src/main/resources/templates");

    static Stream<String> pages() throws IOException {
        try (Stream<Path> files = Files.walk(TEMPLATES)) {
            return files
                    .filter(file -> file.toString().endsWith(".html"))
                    .filter(PageHelpTest::isPage)
                    .map(file -> TEMPLATES
                            .relativize(file)
                            .toString()
                            .replace('\\', '/')
                            .replace(".html", ""))
                    .toList()
                    .stream();
        }
    }

    private static boolean isPage(Path file) {
        try {
            return Files.readString(file).contains("th:replace=\"~{kit/frame :: page(");
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    @ParameterizedTest
    @MethodSource("pages")
    void aPageIsHelpedByThreeSentences(String template) {
        String help = PageHelp.of(template);
        assertThat(help).as("help of %s", template).isNotBlank();
        assertThat(help.split("(?<=[.!?]) ")).as(help).hasSize(3);
    }
}
