package elsom.core.diagnosis;

import java.util.Arrays;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;

/** The words of a name. */
final class NameWords {
    private NameWords() {}

    static Set<String> of(String name) {
        return Arrays.stream(name.toLowerCase(Locale.ROOT).split("[^a-z]+"))
                .filter(word -> !word.isEmpty())
                .collect(Collectors.toSet());
    }
}
