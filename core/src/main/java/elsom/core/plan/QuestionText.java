package elsom.core.plan;

import elsom.core.plan.QuestionReader.Parts;
import elsom.core.quantity.Sentence;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Questions typed as sentences, one a line, in the words in which they are said back: "Height: higher in 10 % than in 0 %,
 * by 15 % or more, at day 14?".
 */
public final class QuestionText {
    private static final String ACCEPTED = "Accepted: Height: higher in B than in A, by 15 % or more";
    private static final int LONGEST = 300;
    private static final Pattern MARGIN = Pattern.compile(
            "[, ] ?(?:not worse by|to within|within|by) (at least )?([0-9.,]{1,12} ?[^ ,]{0,10})( or more)?$");
    private static final Pattern LOOK = Pattern.compile(",? (?:at|on) (?!least|most)([^,]{1,60})$");
    private static final Pattern EVERYWHERE = Pattern.compile(",? in each [^,]{1,120}$");
    private static final Pattern SIDES = Pattern.compile("in (.{1,200}?),? (?:than in|than|from|as in|as) (.{1,80})");
    private static final Pattern FIGURE = Pattern.compile("([0-9][0-9.,]{0,11}(?: ?[^ ]{1,10})??)(?: in (.{1,200}))?");

    private final Plan plan;
    private final List<Measure> measures;

    public QuestionText(Plan plan, List<Measure> measures) {
        this.plan = plan;
        this.measures = List.copyOf(measures);
    }

    /**
     * The parts of a question.
     *
     * @throws IllegalArgumentException in words, if it can't be read
     */
    public Parts read(String line) {
        String left = line.strip().replaceAll("\\s{1,40}", " ").replaceAll(" ?[?.]$", "");
        if (left.length() > LONGEST) {
            throw new IllegalArgumentException("A line has at most " + LONGEST + " letters. " + ACCEPTED);
        }
        Measure measure = measure(left);
        left = left.substring(nameOf(measure, left).length()).replaceFirst("^ ?:? ?(?:is )?", "");
        Claim claim = claim(left);
        left = left.substring(claim.label().length()).strip();
        Matcher at = LOOK.matcher(left);
        int look = at.find() ? look(at.group(1)) : 0;
        left = look == 0 ? left : left.substring(0, at.start());
        Matcher margin = MARGIN.matcher(left);
        String matters = margin.find() ? margin.group(2) : "";
        left = matters.isEmpty() ? left : left.substring(0, margin.start());
        left = EVERYWHERE.matcher(left).replaceFirst("");
        return parts(measure, claim, left.strip(), matters, look, line);
    }

    private static Parts parts(Measure measure, Claim claim, String left, String matters, int look, String line) {
        Matcher sides = (claim.fixed() ? FIGURE : SIDES).matcher(left);
        if (!sides.matches()) {
            throw new IllegalArgumentException("“" + line.strip() + "” does not say "
                    + (claim.fixed() ? "which figure" : "what is held against what") + ". " + ACCEPTED);
        }
        String who = claim.fixed() ? sides.group(2) : sides.group(1);
        String with = claim.fixed() ? sides.group(1) : sides.group(2);
        return new Parts(measure, claim, who(who), with(with), matters, look, Hypothesis.Place.PRIMARY);
    }

    private static String who(String said) {
        String plain = said == null ? "" : said.replace(" or ", ", ");
        return List.of("any other treatment", "every treatment", "any treatment", "all", "all others", "any other")
                        .contains(plain.toLowerCase(Locale.ROOT))
                ? ""
                : plain;
    }

    private static String with(String said) {
        return List.of("the control", "control").contains(said.toLowerCase(Locale.ROOT)) ? "" : said;
    }

    private static Claim claim(String left) {
        String plain = left.toLowerCase(Locale.ROOT);
        for (Claim claim : Claim.values()) {
            if (plain.startsWith(claim.label() + " ")) {
                return claim;
            }
        }
        throw new IllegalArgumentException(
                "“" + left + "” does not begin with higher, lower, different, as good, the same, at least or at most. "
                        + ACCEPTED);
    }

    private Measure measure(String line) {
        return measures.stream()
                .filter(measure -> !nameOf(measure, line).isEmpty())
                .max(Comparator.comparing(measure -> nameOf(measure, line).length()))
                .orElseThrow(() -> new IllegalArgumentException("“" + line
                        + "” does not begin with something that is measured: "
                        + String.join(
                                ", ",
                                measures.stream()
                                        .map(measure -> measure.endpoint().name())
                                        .toList())
                        + ". " + ACCEPTED));
    }

    /** With what of the line an endpoint is named; empty when it is not. */
    private static String nameOf(Measure measure, String line) {
        String plain = line.toLowerCase(Locale.ROOT);
        for (String name :
                List.of(measure.endpoint().name(), measure.endpoint().code().value())) {
            if (plain.startsWith(name.toLowerCase(Locale.ROOT) + ":")
                    || plain.startsWith(name.toLowerCase(Locale.ROOT) + " ")) {
                return name;
            }
        }
        return "";
    }

    private int look(String typed) {
        String name = Sentence.inside(typed.strip());
        List<PlannedLook> looks = plan.schedule().looks();
        for (int i = 0; i < looks.size(); i++) {
            if (Sentence.inside(looks.get(i).name()).equalsIgnoreCase(name)) {
                return i + 1;
            }
        }
        throw new IllegalArgumentException("“" + name + "” is not a look of this plan. Accepted: "
                + String.join(", ", looks.stream().map(PlannedLook::name).toList()));
    }
}
