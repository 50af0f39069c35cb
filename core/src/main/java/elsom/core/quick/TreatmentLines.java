package elsom.core.quick;

import elsom.core.plan.FactorKind;
import elsom.core.plan.LevelsText;
import elsom.core.plan.PlannedTreatment;
import elsom.core.plan.Treatments;
import elsom.core.quantity.Bounds;
import elsom.core.read.Known;
import elsom.core.trial.ControlKind;
import elsom.core.trial.Treatment;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Treatments as one jots them down: one a line, the first the standard unless another is marked as it; or one line of what is
 * given and its levels, "Wood vinegar: 0, 0.5, 1, 2 %".
 */
public final class TreatmentLines {
    private static final Pattern DOSES = Pattern.compile("([^:]{1,60}):\\s*(.*[0-9].*)");
    private static final Pattern MARKED = Pattern.compile("(?i)\\s*\\((?:the )?(?:standard|control)\\)\\s*");
    private static final String ACCEPTED = " Accepted: leaf mould, and on the next line wood fibre.";

    private TreatmentLines() {}

    /**
     * Reads them.
     *
     * @throws IllegalArgumentException with what is wrong and what would be accepted; {@link LevelsText.Asked} where levels
     *     may be two things
     */
    public static Treatments read(String text, String base, Known known) {
        List<String> lines = lines(text, "\\R");
        if (lines.isEmpty()) {
            throw new IllegalArgumentException("nothing is compared yet." + ACCEPTED);
        }
        Matcher doses = DOSES.matcher(lines.get(0));
        if (lines.size() == 1 && doses.matches()) {
            return Treatments.crossed(
                    List.of(LevelsText.parse(
                            new LevelsText.Typist(doses.group(1).strip(), FactorKind.DOSE, known),
                            doses.group(2),
                            "",
                            null,
                            null)),
                    base,
                    List.of());
        }
        List<String> named = lines.size() == 1 ? lines(lines.get(0), "[,;]") : lines;
        return Treatments.listed(listed(named));
    }

    private static List<String> lines(String text, String by) {
        return Arrays.stream(text.split(by))
                .map(String::strip)
                .filter(line -> !line.isEmpty())
                .toList();
    }

    private static List<PlannedTreatment> listed(List<String> lines) {
        long marked = lines.stream().filter(line -> MARKED.matcher(line).find()).count();
        if (marked > 1) {
            throw new IllegalArgumentException("two are marked as the standard; the others are held against one.");
        }
        if (lines.size() < 2) {
            throw new IllegalArgumentException(
                    "one treatment alone is no comparison: what is it held against?" + ACCEPTED);
        }
        if (lines.size() > Treatment.MOST) {
            throw new IllegalArgumentException("at most " + Treatment.MOST + " treatments, got " + lines.size() + ".");
        }
        Set<String> names = new HashSet<>();
        List<PlannedTreatment> list = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            String name = MARKED.matcher(lines.get(i)).replaceAll("").strip();
            Bounds.name("a treatment", name, Treatment.LONGEST_NAME);
            if (!names.add(name.toLowerCase(Locale.ROOT))) {
                throw new IllegalArgumentException("“" + name + "” stands there twice.");
            }
            boolean standard =
                    marked == 0 ? i == 0 : MARKED.matcher(lines.get(i)).find();
            list.add(PlannedTreatment.of(name, name, standard ? ControlKind.CONTROL : ControlKind.NONE));
        }
        return list;
    }
}
