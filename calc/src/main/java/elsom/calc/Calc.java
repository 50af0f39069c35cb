package elsom.calc;

import elsom.core.sums.Sums;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** {@code bin/calc FILE.json}: works out every case of a file. */
@Command(
        name = "calc",
        mixinStandardHelpOptions = true,
        version = "elsom calc 0.1.0",
        description =
                "Works out the cases of a JSON file: [{\"id\",\"family\",\"input\"}] in, [{\"id\",\"result\"}] out.")
public final class Calc implements Callable<Integer> {
    private static final int CANT_READ = 2;
    static final Map<String, Family> FAMILIES = Stream.<Family>concat(
                    Stream.of(
                            new AbsoluteEcFamily(),
                            new ClaimFamily(),
                            new ContinuousDoseFamily(),
                            new DryDownFamily(),
                            new DunnettFamily(),
                            new FactorialFamily(),
                            new GroupSequentialFamily(),
                            new LevelHypothesesFamily(),
                            new MixedFamily(),
                            new MixFamily(),
                            new NoecFamily(),
                            new NoteFamily(),
                            new OneWayFamily(),
                            new OwnVarianceFamily(),
                            new PooledRatiosFamily(),
                            new PowerFamily(),
                            new PowerAnswersFamily(),
                            new QuantalDoseFamily(),
                            new ProportionsFamily(),
                            new TTestsFamily(),
                            new ReadFamily(),
                            new ResidueDecayFamily(),
                            new ScoresFamily(),
                            new SmallCountsFamily(),
                            new ThresholdFamily(),
                            new TimesFamily(),
                            new TitrationFamily(),
                            new TukeyFamily(),
                            new VerdictFamily(),
                            new WaterRetentionFamily(),
                            new WaterRetentionFitFamily(),
                            new WorstRankFamily()),
                    // A claim is more than a sum: its family says what it means, too.
                    Sums.all().stream()
                            .filter(sum -> !sum.code().equals("claim"))
                            .map(SumFamily::new))
            .collect(Collectors.toMap(Family::name, Function.identity()));

    @Parameters(paramLabel = "FILE.json", description = "The cases.")
    private Path file = Path.of("");

    @Spec
    private CommandSpec spec = CommandSpec.create();

    private final JsonMapper json = JsonMapper.builder().build();

    public static void main(String[] arguments) {
        System.exit(commandLine().execute(arguments));
    }

    static CommandLine commandLine() {
        return new CommandLine(new Calc())
                .setOut(new PrintWriter(System.out, true, StandardCharsets.UTF_8))
                .setErr(new PrintWriter(System.err, true, StandardCharsets.UTF_8));
    }

    @Override
    public Integer call() {
        JsonNode cases;
        try {
            cases = json.readTree(Files.readString(file, StandardCharsets.UTF_8));
        } catch (IOException e) {
            return refuse(
                    "can't read " + file + (Files.exists(file) ? ": not a text file in UTF-8" : ": no such file"));
        } catch (JacksonException e) {
            return refuse(file + " is not JSON: " + e.getOriginalMessage().replaceAll("\\s+", " "));
        }
        if (!cases.isArray()) {
            return refuse(file + " must hold a list of cases: [{\"id\",\"family\",\"input\"}]");
        }
        ArrayNode answers = JsonNodeFactory.instance.arrayNode();
        cases.forEach(one -> answers.add(answer(one)));
        PrintWriter out = spec.commandLine().getOut();
        out.println(json.writerWithDefaultPrettyPrinter().writeValueAsString(answers));
        out.flush();
        return 0;
    }

    private int refuse(String why) {
        spec.commandLine().getErr().println("calc: " + why);
        spec.commandLine().getErr().flush();
        return CANT_READ;
    }

    private static ObjectNode answer(JsonNode one) {
        ObjectNode answer = JsonNodeFactory.instance.objectNode();
        answer.set("id", one.path("id").isMissingNode() ? JsonNodeFactory.instance.nullNode() : one.path("id"));
        try {
            Family family = FAMILIES.get(Inputs.text(one, "family"));
            if (family == null) {
                throw new BadInput("no family “" + Inputs.text(one, "family") + "”; there are "
                        + FAMILIES.keySet().stream().sorted().collect(Collectors.joining(", ")));
            }
            answer.set("result", Answers.tree(family.work(one.path("input"))));
        } catch (BadInput | IllegalArgumentException bad) {
            answer.put("error", bad.getMessage());
        } catch (RuntimeException unforeseen) {
            // One case that can't be worked out must not take the others of its file with it.
            answer.put("error", "could not be worked out (" + unforeseen + ")");
        }
        return answer;
    }
}
