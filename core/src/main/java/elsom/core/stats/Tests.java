package elsom.core.stats;

/** The outcomes of tests, as records. */
public final class Tests {
    private Tests() {}

    /** An F test; infinite with p 0 when groups differ and nothing scatters within them. */
    public record FTest(double f, double df1, double df2, double p) {}

    /** A chi-squared test. */
    public record ChiSquaredTest(double statistic, int df, double p) {}

    /** The Shapiro–Wilk test of normality. */
    public record ShapiroTest(double w, double p) {}
}
