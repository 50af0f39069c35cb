package elsom.core.analysis;

import java.util.OptionalDouble;

/** What was seen of one unit. */
public sealed interface Value {
    /** In sums: a share for a count, infinity for what has not come, NaN for nothing. */
    double inSums();

    /** Whether it is a time that is known between two looks only, or from below. */
    default boolean spans() {
        return this instanceof Came || this instanceof NotYet;
    }

    /** A number: a measurement, a score, a time. */
    record Measured(double value) implements Value {
        public Measured {
            if (!Double.isFinite(value)) {
                throw new IllegalArgumentException("a value must be a finite number, got " + value);
            }
        }

        @Override
        public double inSums() {
            return value;
        }
    }

    /** So many of so many. */
    record CountOf(int k, int n) implements Value {
        public CountOf {
            if (n < 1 || k < 0 || k > n) {
                throw new IllegalArgumentException("a count must be 0 to what it is of, got " + k + " of " + n);
            }
        }

        @Override
        public double inSums() {
            return k / (double) n;
        }
    }

    /**
     * When something came that is looked for now and then: after the look before, at the latest at the one that found it.
     *
     * @param after the look before, in the endpoint's unit; the start where there was none
     * @param by the look that found it
     */
    record Came(double after, double by) implements Value {
        public Came {
            if (!(after < by) || !Double.isFinite(after) || !Double.isFinite(by)) {
                throw new IllegalArgumentException("it came after one look and by another, got " + after + ", " + by);
            }
        }

        @Override
        public double inSums() {
            return by;
        }
    }

    /**
     * It had not happened when last looked: later than all that had.
     *
     * @param by until when it had not, in the endpoint's unit; empty where that is not known
     */
    record NotYet(OptionalDouble by) implements Value {
        /** One of which it is not known until when. */
        public NotYet() {
            this(OptionalDouble.empty());
        }

        @Override
        public double inSums() {
            return Double.POSITIVE_INFINITY;
        }
    }

    /**
     * Nothing.
     *
     * @param reason why, in plain words: "lost on day 3"
     * @param died whether the unit died, which is a result of its own
     */
    record Missing(String reason, boolean died) implements Value {
        public Missing(String reason) {
            this(reason, false);
        }

        @Override
        public double inSums() {
            return Double.NaN;
        }
    }
}
