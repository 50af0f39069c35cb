package elsom.calc;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import picocli.CommandLine;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class CalcTest {
    @TempDir
    private Path folder;

    private final StringWriter out = new StringWriter();
    private final StringWriter err = new StringWriter();

    private int run(String text) throws Exception {
        Path file = folder.resolve("cases.json");
        Files.writeString(file, text);
        return run(file);
    }

    private int run(Path file) {
        CommandLine command = Calc.commandLine().setOut(new PrintWriter(out)).setErr(new PrintWriter(err));
        return command.execute(file.toString());
    }

    private JsonNode answers() {
        return JsonMapper.shared().readTree(out.toString());
    }

    @Test
    void answersEveryCaseInOrder() throws Exception {
        int exit = run("""
                [{"id":"a","family":"dry_down","input":{"kind":"exponential","t":[0,1,2],"mass":[3,2,1]}},
                 {"id":"b","family":"nonsense","input":{}},
                 {"id":"c","family":"dry_down","input":{"kind":"exponential","t":[0,1],"mass":[3,"x"]}}]""");
        assertThat(exit).isZero();
        assertThat(answers().get(0).path("result").path("identifiable").booleanValue())
                .isFalse();
        assertThat(answers().get(1).path("error").stringValue())
                .contains("nonsense", "dose_response_continuous, dose_response_quantal");
        assertThat(answers().get(2).path("error").stringValue()).contains("“mass” must hold numbers only");
    }

    @Test
    void saysInOneLineWhatItCanNotRead() throws Exception {
        assertThat(run("{")).isEqualTo(2);
        assertThat(run("{}")).isEqualTo(2);
        assertThat(run(folder.resolve("none.json"))).isEqualTo(2);
        assertThat(err.toString().lines()).hasSize(3).allMatch(line -> line.startsWith("calc: "));
        assertThat(out.toString()).isEmpty();
    }

    @Test
    void worksOutWaterRetention() throws Exception {
        run("""
                [{"id":"w","family":"water_retention","input":{"refill_fraction":0.5,"media":[
                  {"name":"Leaf mould","organic_matter":0.8,"units":[
                    {"tare_g":40,"dry_g":160,"volume_ml":500,"wet":[{"hours":0,"grams":420},{"hours":24,"grams":320},{"hours":48,"grams":251}]},
                    {"tare_g":40,"dry_g":160,"volume_ml":500,"wet":[{"hours":0,"grams":430},{"hours":24,"grams":322},{"hours":48,"grams":255}]}]},
                  {"name":"Grit","units":[{"tare_g":40,"dry_g":540,"volume_ml":500,"wet":[]}]}]}}]""");
        JsonNode result = answers().get(0).path("result");
        JsonNode mould = result.path("media").get(0);
        assertThat(mould.path("container_capacity").path("mean").doubleValue()).isCloseTo(0.53, within(1e-12));
        assertThat(mould.path("held_ml").path("sd").doubleValue()).isCloseTo(Math.sqrt(50), within(1e-9));
        assertThat(mould.path("refill_after_hours").path("units").get(0).doubleValue())
                .isCloseTo(24 + 24 * 30 / 69.0, within(1e-9));
        JsonNode grit = result.path("media").get(1);
        assertThat(grit.path("held_ml").path("mean").isNull()).isTrue();
        assertThat(grit.path("held_ml").path("reason").stringValue()).contains("Not weighed");
        assertThat(grit.path("bulk_density").path("mean").doubleValue()).isEqualTo(1);
        assertThat(result.path("ranking").get(0).path("name").stringValue()).isEqualTo("Leaf mould");
    }

    @Test
    void refusesWeightsThatCanNotBe() throws Exception {
        run("""
                [{"id":"w","family":"water_retention","input":{"media":[{"name":"Grit","units":[
                  {"tare_g":40,"dry_g":30,"volume_ml":500,"wet":[]}]}]}}]""");
        assertThat(answers().get(0).path("error").stringValue()).contains("must be above");
    }

    /** By hand: equal means, error variance 2.5 of 4 degrees of freedom, 2.776 · √(2.5 · 2/3) = 3.584. */
    @Test
    void aNoecSaysWhatHarmCouldHaveBeenMissed() throws Exception {
        run("""
                [{"id":"a","family":"noec_loec","input":{"kind":"continuous","direction":"decrease",
                  "groups":[{"dose":0,"values":[10,12,14]},{"dose":1,"values":[11,12,13]}]}}]""");
        JsonNode dunnett = answers().get(0).path("result").path("dunnett").path("one_sided");
        assertThat(dunnett.path("noec").doubleValue()).isEqualTo(1);
        assertThat(dunnett.path("noec_missed").doubleValue()).isCloseTo(3.584, within(1e-3));
    }
}
