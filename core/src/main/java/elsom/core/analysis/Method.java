package elsom.core.analysis;

/** Every way a question can be analysed; codes are those of files, labels those of pages. */
public enum Method {
    STUDENT("student", "Student's t with the scatter of all units"),
    WELCH("welch", "Student's t, treatments scattering as they were seen to (Welch, and averaging)"),
    DUNNETT("dunnett", "Dunnett's many-to-one comparisons"),
    DUNNETT_UNEQUAL(
            "dunnett-unequal",
            "many-to-one comparisons, treatments scattering as they were seen to (Dunnett, Hasler and Hothorn)"),
    TUKEY_KRAMER("tukey-kramer", "all pairs, by Tukey and Kramer"),
    GAMES_HOWELL(
            "games-howell",
            "all pairs, treatments scattering as they were seen to (Tukey and Kramer, Games and Howell)"),
    SCORE_INTERVALS("score-intervals", "shares by Newcombe's intervals, widened by the scatter between units"),
    RANK_SHIFT("rank-shift", "ranks, “not yet” as later than all (Mann, Whitney, Hodges and Lehmann)"),
    NONE("none", "nothing to judge by");

    private final String code;
    private final String label;

    Method(String code, String label) {
        this.code = code;
        this.label = label;
    }

    public String code() {
        return code;
    }

    public String label() {
        return label;
    }
}
