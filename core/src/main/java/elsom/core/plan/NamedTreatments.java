package elsom.core.plan;

import elsom.core.trial.ControlKind;
import elsom.core.trial.Treatment;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/**
 * Which treatments somebody names in a comparison: by letter or by name. While a plan has none, naming them makes them, so
 * that a question can be asked first.
 */
public final class NamedTreatments {
    private final boolean open;
    private final List<PlannedTreatment> all;

    public NamedTreatments(Treatments planned) {
        this.open = planned.size() == 0;
        this.all = new ArrayList<>(planned.all());
    }

    /**
     * The numbers, from 1, of what was named.
     *
     * @param typed names or letters with commas between; letters may have spaces between
     * @param control what a treatment that is made is
     * @throws IllegalArgumentException in words, if one is not a treatment
     */
    public List<Integer> numbers(String typed, ControlKind control) {
        List<Integer> numbers = new ArrayList<>();
        for (String part : typed.split(",")) {
            String name = part.strip().replaceAll("\\s{1,60}", " ");
            if (!name.isEmpty()) {
                numbers.addAll(named(name, control));
            }
        }
        return numbers.stream().distinct().toList();
    }

    private List<Integer> named(String name, ControlKind control) {
        for (int i = 0; i < all.size(); i++) {
            if (all.get(i).name().equalsIgnoreCase(name)) {
                return List.of(i + 1);
            }
        }
        List<String> letters = Arrays.asList(name.toUpperCase(Locale.ROOT).split(" "));
        if (letters.stream()
                .allMatch(letter -> letter.length() == 1 && number(letter) >= 1 && number(letter) <= most())) {
            return letters.stream().map(NamedTreatments::number).toList();
        }
        if (!open || name.length() == 1 || all.size() == Treatment.MOST) {
            throw new IllegalArgumentException("“" + name + "” is not a treatment. Accepted: letters from A to "
                    + Treatment.codeFor(most()) + (open ? ", names with commas between" : ", their names")
                    + ", or nothing for all others.");
        }
        all.add(PlannedTreatment.of(name, "", control));
        return List.of(all.size());
    }

    private int most() {
        return open ? Treatment.MOST : all.size();
    }

    private static int number(String letter) {
        return letter.charAt(0) - 'A' + 1;
    }

    /** The plan with the treatments that were made by naming them. */
    public Plan in(Plan plan) {
        return open && !all.isEmpty() ? plan.with(Treatments.listed(all), plan.pots()) : plan;
    }
}
