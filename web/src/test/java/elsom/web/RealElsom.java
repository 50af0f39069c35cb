package elsom.web;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Elsom as a process of its own, with the demo, as people run it. */
final class RealElsom implements AutoCloseable {
    private static final Pattern PORT = Pattern.compile("Elsom is ready: http://127\\.0\\.0\\.1:(\\d+)");

    private final Process process;
    private final Web web;

    private RealElsom(Process process, Web web) {
        this.process = process;
        this.web = web;
    }

    static RealElsom start(Path home, List<String> machine) throws IOException {
        List<String> command = new ArrayList<>();
        command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
        command.addAll(machine);
        command.addAll(List.of(
                "-jar",
                Path.of("target", "elsom.jar").toAbsolutePath().toString(),
                "--elsom.home=" + home,
                "--elsom.demo=true",
                "--server.port=0"));
        Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
        BufferedReader out =
                new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
        StringBuilder said = new StringBuilder();
        for (String line = out.readLine(); line != null; line = out.readLine()) {
            said.append(line).append('\n');
            Matcher port = PORT.matcher(line);
            if (port.find()) {
                new Thread(() -> out.lines().forEach(more -> {}), "what Elsom says").start();
                return new RealElsom(process, new Web(Integer.parseInt(port.group(1))));
            }
        }
        throw new IllegalStateException("it did not start:\n" + said);
    }

    Web web() {
        return web;
    }

    boolean alive() {
        return process.isAlive();
    }

    /** Without warning, as by a pulled plug. */
    void kill() throws InterruptedException {
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
