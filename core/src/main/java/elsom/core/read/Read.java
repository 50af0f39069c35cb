package elsom.core.read;

import elsom.core.quantity.Decimals;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Collectors;

/** What was made of what somebody typed: understood, a question with its readings, or a refusal with what would do. */
public sealed interface Read {
    /**
     * Understood.
     *
     * @param meaning what it comes to
     * @param unit the unit of it, as it is said; empty where there is none
     * @param about whether it was hedged: "about 20 g"
     * @param note words beside it that change no number: symptoms, a method, how often
     * @param measure what a kitchen's measure was taken for, to be said back; empty for none
     */
    record Value(Meaning meaning, String unit, boolean about, String note, String measure) implements Read {
        Value(Meaning meaning, String unit) {
            this(meaning, unit, false, "", "");
        }

        /** What it is taken for, in words that the same box reads as the same: "2.5 mL/L". */
        public String says() {
            return meaning.says(unit.equals("mg/L") ? Ion.said(note).orElse(unit) : unit);
        }

        Value noted(boolean hedged, String words, String kitchen) {
            return new Value(
                    meaning,
                    unit,
                    about || hedged,
                    note.isEmpty() ? words : note,
                    measure.isEmpty() ? kitchen : measure);
        }
    }

    /**
     * Not one thing: nothing is kept before it is answered.
     *
     * @param question what is asked
     * @param readings texts that the same box understands, each one reading; may be empty
     */
    record Ask(String question, List<String> readings) implements Read {
        public Ask {
            readings = List.copyOf(readings);
        }

        Ask(String question) {
            this(question, List.of());
        }

        /** The question with its readings: "1250 g or 1.25 g?". */
        public String why() {
            return readings.isEmpty() ? question : question + " " + String.join(", or ", readings) + "?";
        }
    }

    /**
     * Not taken.
     *
     * @param problem what is wrong
     * @param example what this box takes
     */
    record Refused(String problem, String example) implements Read {
        public String message() {
            return problem + ". Accepted: " + example;
        }
    }

    /** What was understood. */
    sealed interface Meaning {
        /** In words that the same box reads as the same. */
        String says(String unit);

        /** Without its unit, for files: "0; 0.5; 1", "7/10", "coir=0.7; grit=0.3", "<1", "unknown". */
        String plain();
    }

    /** One amount. */
    record Amount(double value) implements Meaning {
        /** A number in as many digits as anybody reads. */
        static String figure(double value) {
            return Decimals.significant(value, 10).replace('−', '-');
        }

        @Override
        public String plain() {
            return Double.toString(value);
        }

        @Override
        public String says(String unit) {
            return unit.equals(Units.FRACTION) || unit.equals(Units.OF_STOCK)
                    ? figure(100 * value) + " %"
                    : unit.equals(Units.SCORED) || unit.equals(Units.NO_UNIT)
                            ? figure(value)
                            : (figure(value) + " " + unit).strip();
        }
    }

    /** Amounts in one unit, in the order they were typed. */
    record Amounts(List<Double> values) implements Meaning {
        public Amounts {
            values = List.copyOf(values);
        }

        @Override
        public String plain() {
            return values.stream().map(Amount::figure).collect(Collectors.joining("; "));
        }

        @Override
        public String says(String unit) {
            boolean share = unit.equals(Units.OF_STOCK);
            String listed =
                    values.stream().map(v -> Amount.figure(share ? 100 * v : v)).collect(Collectors.joining("; "));
            return (listed + " " + (share ? "%" : unit)).strip();
        }
    }

    /** k of n. */
    record Counted(int count, int of) implements Meaning {
        @Override
        public String plain() {
            return count + "/" + of;
        }

        @Override
        public String says(String unit) {
            return count + " of " + of;
        }
    }

    /** A day. */
    record Day(LocalDate date) implements Meaning {
        @Override
        public String plain() {
            return date.toString();
        }

        @Override
        public String says(String unit) {
            return date.toString();
        }
    }

    /** Parts of a whole, by volume; together 1. */
    record Mixed(List<Share> shares) implements Meaning {
        public Mixed {
            shares = List.copyOf(shares);
        }

        @Override
        public String plain() {
            return shares.stream()
                    .map(share -> share.material() + "=" + Amount.figure(share.share()))
                    .collect(Collectors.joining("; "));
        }

        @Override
        public String says(String unit) {
            return shares.size() == 1
                    ? shares.get(0).material()
                    : shares.stream()
                            .map(share -> Amount.figure(100 * share.share()) + " % " + share.material())
                            .collect(Collectors.joining(" + "));
        }
    }

    /** One part of a mix. */
    record Share(String material, double share) {}

    /** Below or above what could be measured. */
    record Limit(boolean below, double limit) implements Meaning {
        @Override
        public String plain() {
            return (below ? "<" : ">") + Amount.figure(limit);
        }

        @Override
        public String says(String unit) {
            return ((below ? "<" : ">") + Amount.figure(limit) + " " + unit).strip();
        }
    }

    /** A mean of several with how they scatter. */
    record Summarised(double mean, double sd, int n) implements Meaning {
        @Override
        public String plain() {
            return "mean=" + Amount.figure(mean) + "; sd=" + Amount.figure(sd) + "; n=" + n;
        }

        @Override
        public String says(String unit) {
            return Amount.figure(mean) + " ± " + Amount.figure(sd) + (unit.isEmpty() ? "" : " " + unit) + ", n = " + n;
        }
    }

    /** Not known: not 0, and not due again. */
    record Unknown() implements Meaning {
        @Override
        public String plain() {
            return "unknown";
        }

        @Override
        public String says(String unit) {
            return "?";
        }
    }
}
