package elsom.web;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** Elsom as a process of its own, with the demo, as people run it. */
final class RealElsom implements AutoCloseable {
    private static final Pattern PORT = Pattern.compile("Elsom is ready: http://127\\.0\\.0\\.1:(\\d+)");

    private static final String JAVA =
            Path.of(System.getProperty("java.home"), "bin", "java").toString();
    private static final String CLASSES = "classes.jsa";
    private static @Nullable Path layout;

    private final Process process;
    private final Web web;

    private RealElsom(Process process, Web web) {
        this.process = process;
        this.web = web;
    }

    static RealElsom start(Path home, List<String> machine) throws IOException {
        Process process = begin(home, machine);
        BufferedReader out =
                new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
        StringBuilder said = new StringBuilder();
        for (String line = out.readLine(); line != null; line = out.readLine()) {
            said.append(line).append('\n');
            Matcher port = PORT.matcher(line);
            if (port.find()) {
                new Thread(() -> silently(out), "what Elsom says").start();
                return new RealElsom(process, new Web(Integer.parseInt(port.group(1))));
            }
        }
        throw new IllegalStateException("it did not start:\n" + said);
    }

    /** The process, which is not waited for. */
    static Process begin(Path home, List<String> machine) throws IOException {
        List<String> command = new ArrayList<>();
        command.add(JAVA);
        command.addAll(machine);
        command.addAll(List.of(
                "-XX:SharedArchiveFile=" + laidOut().resolve(CLASSES),
                "-Xshare:auto",
                "-Xlog:cds=off",
                "-Xlog:cds+dynamic=off",
                "-jar",
                laidOut().resolve("elsom.jar").toString(),
                "--elsom.home=" + home,
                "--elsom.demo=true",
                "--elsom.warm=false",
                "--server.port=0"));
        return new ProcessBuilder(command).redirectErrorStream(true).start();
    }

    /** As the scripts lay it out for a quick start: the jar extracted, its classes in an archive. */
    private static synchronized Path laidOut() throws IOException {
        if (layout == null) {
            Path folder = Files.createTempDirectory(Path.of("target").toAbsolutePath(), "laid-out");
            Path jar = Path.of("target", "elsom.jar").toAbsolutePath();
            done(JAVA, "-Djarmode=tools", "-jar", jar.toString(), "extract", "--destination", folder + "/app");
            Path app = folder.resolve("app");
            done(
                    JAVA,
                    "-XX:TieredStopAtLevel=1",
                    "-XX:ArchiveClassesAtExit=" + app.resolve(CLASSES),
                    "-Dspring.context.exit=onRefresh",
                    "-jar",
                    app.resolve("elsom.jar").toString(),
                    "--elsom.home=" + folder,
                    "--server.port=0");
            layout = app;
        }
        return layout;
    }

    private static void done(String... command) throws IOException {
        Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
        try (InputStream out = process.getInputStream()) {
            String said = new String(out.readAllBytes(), StandardCharsets.UTF_8);
            if (process.waitFor() != 0) {
                throw new IllegalStateException(said);
            }
        } catch (InterruptedException interrupted) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(interrupted);
        }
    }

    private static void silently(BufferedReader out) {
        try (out) {
            out.transferTo(Writer.nullWriter());
        } catch (IOException killed) {
            // There is nothing more to be read of a process that was killed.
        }
    }

    Web web() {
        return web;
    }

    boolean alive() {
        return process.isAlive();
    }

    /** Asks it to stop, as the shell does. */
    void askToStop() {
        process.destroy();
    }

    /** Asks it to stop, and waits until it has. */
    void stop() throws InterruptedException {
        askToStop();
        if (!process.waitFor(30, TimeUnit.SECONDS)) {
            throw new IllegalStateException("it does not stop");
        }
    }

    /** Without warning, as by a pulled plug. */
    void kill() throws InterruptedException {
        kill(process);
    }

    static void kill(Process process) throws InterruptedException {
        process.destroyForcibly();
        if (!process.waitFor(20, TimeUnit.SECONDS)) {
            throw new IllegalStateException("it can't be killed");
        }
    }

    @Override
    public void close() {
        process.destroyForcibly();
    }
}
