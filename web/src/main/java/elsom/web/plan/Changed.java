package elsom.web.plan;

import java.util.Set;
import java.util.TreeSet;

/** Says of a form that came too late what is kept now, field by field, beside what was typed. */
final class Changed {
    private static final int LONGEST_SHOWN = 80;
    private static final String TICKED = "true";

    /** Fields that are no part of the plan. */
    private static final Set<String> OF_THE_PAGE = Set.of("_csrf", "reason", "stay", Form.REVISION);

    private Changed() {}

    /**
     * Notes both versions of every field that differs.
     *
     * @param typed what was sent
     * @param now the same form filled from the plan that stands
     */
    static void meanwhile(Form typed, Form now, Problems problems) {
        problems.add(
                "form",
                "The plan was changed meanwhile, here or on another device. What you typed is still below; save again"
                        + " to put it in place of what is kept now.");
        Set<String> names = new TreeSet<>(now.names());
        typed.names().stream()
                .filter(name -> !OF_THE_PAGE.contains(name) && typed.text(name).equals(TICKED))
                .forEach(names::add);
        for (String name : names) {
            if (!same(typed.text(name), now.text(name))) {
                problems.add(name, "Kept now: " + shown(now.text(name)) + ". Yours: " + shown(typed.text(name)) + ".");
            }
        }
    }

    private static boolean same(String one, String other) {
        return one.replaceAll("\\s+", " ").equals(other.replaceAll("\\s+", " "));
    }

    private static String shown(String text) {
        if (text.isEmpty()) {
            return "nothing";
        }
        return "“" + (text.length() <= LONGEST_SHOWN ? text : text.substring(0, LONGEST_SHOWN) + "…") + "”";
    }
}
