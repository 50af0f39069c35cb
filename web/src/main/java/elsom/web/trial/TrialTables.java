package elsom.web.trial;

import java.util.List;

/** The tables that hold a trial, each with its number in {@code trial_id}; what refers to others comes first. */
public final class TrialTables {
    public static final List<String> ALL = List.of(
            "brew_log",
            "brew_recipe",
            "tasting_answer",
            "tasting",
            "practice",
            "digest_chore",
            "digest",
            "answer_line",
            "light_again",
            "lab_slip",
            "turn",
            "skip",
            "second_score",
            "series_block",
            "series",
            "series_file",
            "photo",
            "given_unit",
            "given",
            "mishap_unit",
            "mishap",
            "reading",
            "look",
            "endpoint",
            "experimental_unit",
            "bench",
            "treatment_property",
            "treatment",
            "trial_container",
            "amendment",
            "plan");

    private TrialTables() {}

    /**
     * A name that may stand in SQL.
     *
     * @throws IllegalArgumentException if no table is called so
     */
    static String named(String table) {
        return ALL.stream()
                .filter(table::equals)
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no table of a trial is called " + table));
    }
}
