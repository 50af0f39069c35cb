package elsom.web.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Properties;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** One name for one thing: what the glossary says is not said stands on no page, in no help and in no sentence. */
class WordsTest {
    private static final Pattern LITERAL = Pattern.compile("\"((?:[^\"\\\\\\n]|\\\\.)*)\"");
    private static final Pattern KEY = Pattern.compile("\\b([a-z]) (?:takes|is for|undoes|saves|shows|opens)\\b");
    private static final int LONGEST_LINE = 160;

    private static Path at(String path) {
        Path here = Path.of(path);
        return Files.exists(here) ? here : Path.of("..").resolve(path);
    }

    private static List<Path> files(String root, String ending) throws IOException {
        try (Stream<Path> all = Files.walk(at(root))) {
            return all.filter(file -> file.toString().endsWith(ending)).toList();
        }
    }

    private static String read(Path file) {
        try {
            return Files.readString(file, StandardCharsets.UTF_8);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    private static List<Pattern> notSaid() {
        return read(at("docs/words.md"))
                .lines()
                .filter(line -> line.startsWith("| ") && !line.startsWith("| Word"))
                .map(line -> line.split("\\|")[3])
                .flatMap(last -> Arrays.stream(last.split(";")))
                .map(String::strip)
                .map(words -> Pattern.compile(
                        "(?<![\\p{L}-])" + Pattern.quote(words) + "(?![\\p{L}-])", Pattern.CASE_INSENSITIVE))
                .toList();
    }

    /** What people read of a template: neither its tags' names nor its expressions' names. */
    private static String shown(String template) {
        return template.replaceAll("(?s)<!--.*?-->", " ").replaceAll("\\s+", " ");
    }

    /** Sentences in code: literals of several words. */
    private static String sentences(String java) {
        StringBuilder said = new StringBuilder();
        Matcher literal = LITERAL.matcher(java.replaceAll("(?m)^\\s*(?:\\*|//|/\\*).*$", ""));
        while (literal.find()) {
            said.append(literal.group(1)).append('\n');
        }
        return said.toString();
    }

    @Test
    void whatTheGlossaryRulesOutIsNotSaid() throws IOException {
        List<Pattern> notSaid = notSaid();
        assertThat(notSaid).hasSizeGreaterThan(20);
        List<String> found = new ArrayList<>();
        for (Path file : files("web/src/main/resources/templates", ".html")) {
            find(notSaid, file, shown(read(file)), found);
        }
        for (String root : List.of("core/src/main/java", "web/src/main/java")) {
            for (Path file : files(root, ".java")) {
                if (!file.toString().contains("/demo/") && !file.toString().contains("/sql/")) {
                    find(notSaid, file, sentences(read(file)), found);
                }
            }
        }
        find(notSaid, Path.of("help"), read(at("web/src/main/resources/help/pages.properties")), found);
        assertThat(found).isEmpty();
    }

    private static void find(List<Pattern> notSaid, Path file, String said, List<String> found) {
        notSaid.stream()
                .filter(words -> words.matcher(said).find())
                .map(words -> file.getFileName() + ": " + words.pattern().replaceAll(".*\\\\Q|\\\\E.*", ""))
                .forEach(found::add);
    }

    /** A key that the help names is one that the page's list of keys has. */
    @Test
    void helpNamesOnlyKeysThatThePageHas() throws IOException {
        Properties help = new Properties();
        help.load(Files.newBufferedReader(at("web/src/main/resources/help/pages.properties"), StandardCharsets.UTF_8));
        for (String name : help.stringPropertyNames()) {
            Path page = at("web/src/main/resources/templates/" + name + ".html");
            Matcher key = KEY.matcher(help.getProperty(name));
            while (key.find()) {
                assertThat(read(page))
                        .as("help of %s names the key %s", name, key.group(1))
                        .contains("<kbd>" + key.group(1).toLowerCase(Locale.ROOT) + "</kbd>");
            }
        }
    }

    @Test
    void noLineOfATemplateIsLongerThanAScreen() throws IOException {
        List<String> found = new ArrayList<>();
        for (Path file : files("web/src/main/resources/templates", ".html")) {
            read(file)
                    .lines()
                    .filter(line -> line.length() > LONGEST_LINE)
                    .forEach(line -> found.add(file.getFileName() + ": " + line.strip()));
        }
        assertThat(found).isEmpty();
    }
}
