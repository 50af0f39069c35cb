package elsom.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.File;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The archive that is handed on starts by itself, with a Java runtime and nothing of this project around it. */
class PackagedIT {
    private static final Pattern READY = Pattern.compile("Elsom is ready: http://127\\.0\\.0\\.1:(\\d+)");

    @TempDir
    private Path folder;

    private static String run(Path where, String... command) throws IOException, InterruptedException {
        Process process = new ProcessBuilder(command)
                .directory(where.toFile())
                .redirectErrorStream(true)
                .start();
        String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(process.waitFor()).as(said).isZero();
        return said.strip();
    }

    @Test
    void startsOnAFreshMachine() throws Exception {
        String archive = run(Path.of("..").toAbsolutePath().normalize(), "bin/package")
                .lines()
                .reduce((before, last) -> last)
                .orElseThrow();
        run(folder, "tar", "xzf", archive);
        Path home;
        try (Stream<Path> unpacked = Files.list(folder)) {
            home = unpacked.findFirst().orElseThrow();
        }
        assertThat(home.resolve("elsom.service")).content().contains("ExecStart=/opt/elsom/start");
        ProcessBuilder start =
                new ProcessBuilder("./start").directory(home.toFile()).redirectErrorStream(true);
        start.environment().put("SERVER_PORT", "0");
        start.environment().put("ELSOM_HOME", folder.resolve("data").toString());
        Process started = start.start();
        List<String> said = new ArrayList<>();
        try (BufferedReader lines = started.inputReader(StandardCharsets.UTF_8)) {
            int port = port(lines, said);
            HttpResponse<String> page = new Web(port).get("/");
            assertThat(page.statusCode()).isEqualTo(200);
            assertThat(new File(folder.resolve("data").toFile(), "elsom.mv.db")).exists();
        } finally {
            started.destroy();
            started.waitFor();
        }
    }

    private static int port(BufferedReader lines, List<String> said) throws IOException {
        for (String line = lines.readLine(); line != null; line = lines.readLine()) {
            said.add(line);
            Matcher ready = READY.matcher(line);
            if (ready.find()) {
                return Integer.parseInt(ready.group(1));
            }
        }
        throw new AssertionError("it did not start: " + said);
    }
}
