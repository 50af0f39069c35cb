package elsom.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;

/** A real process, killed without warning while readings come in: what it said it saved is there afterwards. */
@Timeout(120)
class KilledProcessIT {
    private static final Pattern CODE = Pattern.compile("data-unit=\"([A-Z][0-9]+)\"");

    @TempDir
    private Path home;

    private final List<RealElsom> started = new ArrayList<>();

    private RealElsom start() throws IOException {
        RealElsom elsom = RealElsom.start(home, List.of("-XX:TieredStopAtLevel=1"));
        started.add(elsom);
        return elsom;
    }

    @AfterEach
    void stopAll() {
        started.forEach(RealElsom::close);
    }

    private static Map<String, String> entry(String unit, String text) {
        Map<String, String> fields = new HashMap<>();
        fields.put("unit", unit);
        fields.put("look", "6");
        fields.put("endpoint", "wet-mass");
        fields.put("sub", "1");
        fields.put("text", text);
        fields.put("timing", "NOW");
        fields.put("instrument", "HAND");
        fields.put("ageMs", "0");
        fields.put("token", UUID.randomUUID().toString());
        return fields;
    }

    @Test
    void losesNothingItSaidItHadSaved() throws Exception {
        Web web = start().web();
        String bench = web.get("/trials/2/bench?look=6").body();
        List<String> todo = new ArrayList<>();
        Matcher codes = CODE.matcher(bench);
        while (codes.find()) {
            todo.add(codes.group(1));
        }
        Map<String, String> saved = new HashMap<>();
        for (String unit : todo) {
            String text = 100 + saved.size() + ".5";
            HttpResponse<String> answer = web.post("/trials/2/bench/readings", entry(unit, text));
            if (answer.statusCode() == 200) {
                saved.put(unit, text);
            }
        }
        assertThat(saved).hasSizeGreaterThan(8);
        started.get(0).kill();

        String csv = start().web().get("/trials/2/readings.csv").body();
        saved.forEach((unit, text) -> assertThat(csv.lines())
                .as("%s = %s", unit, text)
                .anyMatch(line ->
                        line.startsWith(unit + ",") && line.contains(",6,") && line.contains("," + text + ",")));
        assertThat(Files.exists(home.resolve("elsom.mv.db"))).isTrue();
    }
}
