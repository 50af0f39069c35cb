package elsom.core.dose;

import elsom.core.stats.Interval;
import java.util.Optional;
import java.util.OptionalDouble;

/** A curve fitted through a dose series. */
public sealed interface DoseCurve permits MeasuredCurve, CountedCurve {
    /** Which formula it is. */
    enum Model {
        LOG_LOGISTIC_3("log-logistic, one end held at 0", "LL.3", "Seber & Wild 1989; Ritz et al. 2015"),
        LOG_LOGISTIC_4("log-logistic, both ends fitted", "LL.4", "Seber & Wild 1989; Ritz et al. 2015"),
        HORMESIS("a rise at low doses, then a fall", "BC.4", "Brain & Cousens 1989"),
        PROBIT("probit on log dose", "probit", "Finney 1971"),
        LOGIT("logit on log dose", "logit", "Finney 1971");

        private final String label;
        private final String code;
        private final String source;

        Model(String label, String code, String source) {
            this.label = label;
            this.code = code;
            this.source = source;
        }

        public String label() {
            return label;
        }

        /** What {@code bin/calc} calls it. */
        public String code() {
            return code;
        }

        public String source() {
            return source;
        }
    }

    /**
     * A dose with so much of the effect.
     *
     * @param percent of the way from the control to the curve's other end
     * @param interval95 on the dose scale, made on the logarithmic one, so that it never holds 0
     * @param outside whether it lies outside the doses tested
     */
    record Effective(double percent, double dose, Interval interval95, boolean outside) {}

    Model model();

    /** The fitted response at a dose. */
    double at(double dose);

    /** The 95 % interval of the fitted response at a dose; empty where it can't be had. */
    Optional<Interval> bandAt(double dose);

    /** Empty when the curve never goes that far. */
    Optional<Effective> effective(double percent);

    /** Akaike's criterion with its correction for small samples; the lower the better among curves of the same data. */
    double aicc();

    /** Chance of missing the doses' means by so much when the curve is right; empty without replicates. */
    OptionalDouble lackOfFitP();
}
