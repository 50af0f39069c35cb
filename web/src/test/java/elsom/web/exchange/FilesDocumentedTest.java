package elsom.web.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.protocol.Protocols;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** docs/files.md lists every table's columns and every kind of trial's endpoints; {@code -Delsom.agree=true} writes them. */
class FilesDocumentedTest {
    private static final Path DOCS = Path.of("../docs/files.md");

    private static String tables() {
        return Arrays.stream(PackageFile.values())
                .map(file -> "| `" + file.path() + "` | "
                        + file.table().columns().stream()
                                .map(column ->
                                        "`" + column.name() + "` " + column.type() + (column.optional() ? "?" : ""))
                                .collect(Collectors.joining(", "))
                        + " |\n")
                .collect(Collectors.joining("", "| table | columns; ? may be left out |\n|---|---|\n", ""));
    }

    private static String endpoints() {
        return Protocols.all().stream()
                .map(protocol -> "| `" + protocol.code() + "` | "
                        + protocol.measures().stream()
                                .map(measure -> ("`" + measure.endpoint().code() + "` "
                                                + measure.endpoint().unit().symbol())
                                        .strip())
                                .collect(Collectors.joining(", "))
                        + " |\n")
                .collect(Collectors.joining("", "| kind of trial | endpoints |\n|---|---|\n", ""));
    }

    private static void agrees(String block, String lines) throws IOException {
        String docs = Files.readString(DOCS);
        String from = "<!-- " + block + " -->\n";
        String to = "<!-- end of " + block + " -->";
        assertThat(docs).contains(from, to);
        String head = docs.substring(0, docs.indexOf(from) + from.length());
        String tail = docs.substring(docs.indexOf(to));
        if (Boolean.getBoolean("elsom.agree")) {
            Files.writeString(DOCS, head + lines + tail);
            return;
        }
        assertThat(docs.substring(head.length(), docs.length() - tail.length())).isEqualTo(lines);
    }

    @Test
    void everyTableWithItsColumns() throws IOException {
        agrees("tables", tables());
    }

    @Test
    void everyKindOfTrialWithItsEndpoints() throws IOException {
        agrees("endpoints", endpoints());
    }
}
