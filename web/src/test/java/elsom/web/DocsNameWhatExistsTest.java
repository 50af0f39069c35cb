package elsom.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Classes, packages and files that the documents name are there. */
class DocsNameWhatExistsTest {
    private static final Path ROOT = Path.of("..");
    private static final Pattern LINK = Pattern.compile("]\\(([^)#:]+)(?:#[^)]*)?\\)");
    private static final Pattern CLASS = Pattern.compile("`(?:[a-z.]+\\.)?([A-Z][a-z]+(?:[A-Z][a-z]+)+|[A-Z]\\w+IT)`");
    private static final Pattern PACKAGE =
            Pattern.compile("`(?:elsom\\.)?((?:core|calc|web)(?:\\.[a-z]+)+)(?:\\.[A-Z]\\w+)?`");

    private static Stream<Path> documents() throws IOException {
        try (Stream<Path> top = Files.list(ROOT);
                Stream<Path> docs = Files.walk(ROOT.resolve("docs"))) {
            return Stream.concat(top, docs).filter(path -> path.toString().endsWith(".md")).toList().stream();
        }
    }

    private static Set<String> sources(boolean folders) throws IOException {
        List<Path> all = new ArrayList<>();
        for (String module : List.of("core", "calc", "web")) {
            for (String kind : List.of("main", "test")) {
                Path java = ROOT.resolve(module).resolve("src").resolve(kind).resolve("java");
                try (Stream<Path> found = Files.walk(java)) {
                    found.filter(path -> Files.isDirectory(path) == folders)
                            .map(java::relativize)
                            .forEach(all::add);
                }
            }
        }
        return all.stream()
                .map(path -> folders
                        ? path.toString().replace('/', '.')
                        : path.getFileName().toString().replace(".java", ""))
                .collect(Collectors.toSet());
    }

    @Test
    void linksLeadToFilesAndNamesToClasses() throws IOException {
        Set<String> classes = sources(false);
        Set<String> packages = sources(true);
        List<String> missing = new ArrayList<>();
        for (Path document : documents().toList()) {
            String text = Files.readString(document);
            each(LINK, text)
                    .filter(link -> !Files.exists(document.resolveSibling(link)))
                    .forEach(link -> missing.add(document + ": " + link));
            each(CLASS, text)
                    .filter(name -> !classes.contains(name))
                    .forEach(name -> missing.add(document + ": " + name));
            each(PACKAGE, text)
                    .filter(name -> !packages.contains("elsom." + name))
                    .forEach(name -> missing.add(document + ": " + name));
        }
        assertThat(missing).isEmpty();
    }

    private static Stream<String> each(Pattern pattern, String text) {
        List<String> found = new ArrayList<>();
        Matcher matcher = pattern.matcher(text);
        while (matcher.find()) {
            found.add(matcher.group(1));
        }
        return found.stream();
    }
}
