package elsom.core.claim;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A claim's words, of which each phrase that is understood is taken out. */
final class Phrases {
    private String rest = " ";

    void begin(String text) {
        rest = " " + text.strip().replaceAll(" +", " ") + " ";
    }

    /** What is left, with a blank before and behind. */
    String rest() {
        return rest;
    }

    /** Takes the first match out. */
    Optional<Matcher> take(Pattern pattern) {
        Matcher matcher = pattern.matcher(rest);
        if (!matcher.find()) {
            return Optional.empty();
        }
        replace(matcher, " ");
        return Optional.of(matcher);
    }

    Optional<Matcher> take(String pattern) {
        return take(Pattern.compile(pattern));
    }

    /** Puts other words where a match is. */
    void replace(Matcher matcher, String words) {
        begin(rest.substring(0, matcher.start()) + " " + words + " " + rest.substring(matcher.end()));
    }
}
