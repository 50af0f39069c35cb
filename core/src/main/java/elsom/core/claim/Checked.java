package elsom.core.claim;

import elsom.core.quantity.Decimals;
import elsom.core.stats.Interval;
import elsom.core.stats.Proportion;
import elsom.core.stats.Summary;
import elsom.core.stats.TwoSample;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.apache.commons.statistics.distribution.NormalDistribution;

/**
 * A claim held against its numbers.
 *
 * @param read what its words were taken for, said back before it is judged; empty where they were not needed
 * @param percent what the first group differs by, in percent of the other; empty where nothing can be told
 * @param percent95 its 95 % interval
 * @param test what would test it; empty when it is told
 * @param remarks what its words or numbers hide
 */
public record Checked(
        Outcome outcome,
        String read,
        String sentence,
        Optional<Double> percent,
        Optional<Interval> percent95,
        String test,
        List<String> remarks) {
    /** What the numbers say of the claim. */
    public enum Outcome {
        SUPPORTED("supported"),
        NOT_SUPPORTED("not supported"),
        CANT_TELL("can't tell"),
        CANT_BE_READ("can't be read"),
        NOT_TESTABLE("not testable from this");

        private final String label;

        Outcome(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }

        private static Outcome of(Held held) {
            return switch (held) {
                case SUPPORTED -> SUPPORTED;
                case NOT_SUPPORTED -> NOT_SUPPORTED;
                case CANT_TELL -> CANT_TELL;
                case CANT_BE_READ -> CANT_BE_READ;
            };
        }
    }

    private static final NormalDistribution NORMAL = NormalDistribution.of(0, 1);
    private static final double Z = NORMAL.inverseSurvivalProbability(0.025);
    private static final double HUNDRED = 100;
    private static final Pattern BEST_OF_MANY =
            Pattern.compile("\\b(?:best|top|finest|pick of)\\b.*\\b(?:plants?|pots?|trays?|ones)\\b");
    private static final String MORE_UNITS = "Several units of each, placed at random, and the mean of all of them.";

    public Checked {
        remarks = List.copyOf(remarks);
    }

    /**
     * A claim held against its sides.
     *
     * @param sides numbers of each side, in the order of the case's names; two where they have no names
     */
    public static Checked of(ClaimCase said, List<ClaimedGroup> sides) {
        ClaimedGroup about = sides.get(said.about());
        ClaimedGroup against = sides.get(said.about() == 0 ? 1 : 0);
        boolean best =
                BEST_OF_MANY.matcher(said.claim().toLowerCase(Locale.ROOT)).find();
        if (best || sides.stream().anyMatch(ClaimedGroup.Best.class::isInstance)) {
            return best(about, against);
        }
        Meant meant = said.meant();
        if (meant instanceof Meant.Asked asked) {
            return new Checked(
                    Outcome.CANT_BE_READ,
                    "",
                    "It can't be read: " + asked.why() + (asked.why().endsWith("?") ? "" : "."),
                    Optional.empty(),
                    Optional.empty(),
                    "Say of what, how much, and beside what: “at least 30 % more fresh mass than none”.",
                    List.of());
        }
        return meant instanceof Meant.Region region ? beside(region, about, against) : several(meant, said, sides);
    }

    /**
     * A claim of two groups that stood on unlike areas, or as unlike numbers of plants: judged for the same of both, with what
     * it looked like before.
     *
     * @param units of area or plants that each side's numbers are of, above 0
     */
    public static Checked per(ClaimCase said, List<ClaimedGroup> sides, List<Double> units) {
        List<ClaimedGroup> each = new ArrayList<>();
        for (int i = 0; i < sides.size(); i++) {
            each.add(sides.get(i).per(units.get(i)));
        }
        Checked alike = of(said, each);
        if (units.stream().distinct().count() == 1) {
            return alike;
        }
        Checked unlike = of(said, sides);
        List<String> remarks = new ArrayList<>(alike.remarks());
        remarks.add("They are of unlike areas or numbers ("
                + units.stream().map(u -> Decimals.significant(u, 4)).collect(Collectors.joining(" and "))
                + "); of each as it stands: "
                + unlike.sentence().substring(0, 1).toLowerCase(Locale.ROOT)
                + unlike.sentence().substring(1));
        return new Checked(
                alike.outcome(),
                alike.read(),
                "For the same area or number: " + alike.sentence(),
                alike.percent(),
                alike.percent95(),
                alike.test(),
                remarks);
    }

    private static Checked beside(Meant.Region region, ClaimedGroup about, ClaimedGroup against) {
        if (about instanceof ClaimedGroup.Measured one && against instanceof ClaimedGroup.Measured two) {
            TwoSample sample = new TwoSample(two.group(), one.group());
            return judged(
                    region,
                    about,
                    against,
                    sample.percent().asOptional(),
                    sample.fiellerWelch().asOptional().flatMap(TwoSample.Fieller::percent95),
                    List.of());
        }
        if (about instanceof ClaimedGroup.Counted one && against instanceof ClaimedGroup.Counted two) {
            return counted(region, one, two);
        }
        return bare(about, against);
    }

    private static Checked counted(Meant.Region region, ClaimedGroup.Counted about, ClaimedGroup.Counted against) {
        Proportion one = about.share();
        Proportion other = against.share();
        Optional<Interval> ratio = ratio(one, other);
        if (region.ratio() && ratio.isEmpty()) {
            return untestable(
                    "One of them has none, and of none nothing is a percentage.",
                    "Count more, or claim points: “" + Decimals.percent(one.share() - other.share(), 0) + " points”.",
                    List.of());
        }
        Interval points = one.newcombe95(other);
        return judged(
                region,
                about,
                against,
                ratio.map(any -> HUNDRED * (one.share() / other.share() - 1)),
                ratio.map(i -> new Interval(HUNDRED * (i.low() - 1), HUNDRED * (i.high() - 1))),
                List.of("From " + Decimals.percent(other.share(), 0) + " % to " + Decimals.percent(one.share(), 0)
                        + " % is " + signed(HUNDRED * (one.share() - other.share()), 0)
                        + " points (95 % interval " + signed(HUNDRED * points.low(), 0) + " to "
                        + signed(HUNDRED * points.high(), 0)
                        + "), and that in percent of the other: percent of percent sounds like more."));
    }

    private static Checked judged(
            Meant.Region region,
            ClaimedGroup about,
            ClaimedGroup against,
            Optional<Double> percent,
            Optional<Interval> percent95,
            List<String> remarks) {
        Optional<Interval> interval = Held.interval(region.ratio(), about, against);
        if (interval.isEmpty()) {
            return untestable(
                    "The numbers do not scatter, or the group it is held against can't be told from 0.",
                    MORE_UNITS,
                    List.of());
        }
        Held held = Held.inside(region, interval.get());
        String percents = percent.isPresent() && percent95.isPresent()
                ? told(percent.get()) + " (95 % interval "
                        + told(percent95.get().low()) + " to "
                        + told(percent95.get().high()) + ")"
                : "";
        String figure = region.ratio()
                ? percents
                : percent.map(Checked::told).orElse("a difference") + " (95 % interval of the difference "
                        + between(interval.get(), region.unit()) + ")";
        return new Checked(
                Outcome.of(held),
                region.words(),
                "It is " + figure + ": " + words(held) + ".",
                percent,
                percent95,
                held == Held.CANT_TELL
                        ? "More units of each narrow the interval; the plan says how many would tell."
                        : "",
                remarks);
    }

    private static String between(Interval interval, String unit) {
        return signed(Decimals.significant(interval.low(), 3)) + " to "
                + signed(Decimals.significant(interval.high(), 3)) + (unit.isEmpty() ? "" : " " + unit);
    }

    private static String signed(String number) {
        return number.startsWith("−") || number.equals("0") ? number : "+" + number;
    }

    private static String words(Held held) {
        return switch (held) {
            case SUPPORTED -> "all of that is within what is claimed";
            case NOT_SUPPORTED -> "none of that is within what is claimed";
            default -> "some of that is within what is claimed, and some is not";
        };
    }

    /** An order, or one beside each: every step by itself, and where means stand in another order than is claimed. */
    private static Checked several(Meant meant, ClaimCase said, List<ClaimedGroup> sides) {
        Held held = Held.of(meant, sides, said.about());
        List<String> steps = new ArrayList<>();
        List<Integer> order = meant instanceof Meant.Ordered ordered ? ordered.sides() : List.of();
        Meant.Region above = Meant.Region.above(false, 0, true, said.unit());
        if (!order.isEmpty()) {
            slipped(order, said, sides).ifPresent(steps::add);
        }
        for (int i = 0; i + 1 < order.size(); i++) {
            steps.add(step(above, said, sides, order.get(i), order.get(i + 1)));
        }
        if (meant instanceof Meant.BesideEach each) {
            for (int other = 0; other < sides.size(); other++) {
                if (other != said.about()) {
                    steps.add(step(each.region(), said, sides, said.about(), other));
                }
            }
        }
        return new Checked(
                Outcome.of(held),
                meant.words(),
                switch (held) {
                    case SUPPORTED -> "Each step of it is shown.";
                    case NOT_SUPPORTED -> "A step of it is shown to be the other way round.";
                    default -> "Not every step of it is shown.";
                },
                Optional.empty(),
                Optional.empty(),
                held == Held.SUPPORTED
                        ? ""
                        : "More units of those that can't be parted; until then they share a place.",
                steps);
    }

    private static String step(Meant.Region region, ClaimCase said, List<ClaimedGroup> sides, int one, int other) {
        Checked step = beside(region, sides.get(one), sides.get(other));
        return said.sides().names().get(one) + " beside " + said.sides().names().get(other) + ": "
                + step.outcome().label() + ". " + step.sentence();
    }

    /** Where the means stand in another order than is claimed. */
    private static Optional<String> slipped(List<Integer> order, ClaimCase said, List<ClaimedGroup> sides) {
        if (order.stream().anyMatch(side -> mean(sides.get(side)).isEmpty())) {
            return Optional.empty();
        }
        List<Integer> byMean = new ArrayList<>(order);
        byMean.sort(Comparator.comparing((Integer side) -> mean(sides.get(side)).orElse(0))
                .reversed());
        return byMean.equals(order)
                ? Optional.empty()
                : Optional.of("By their means they stand otherwise: "
                        + byMean.stream()
                                .map(side -> said.sides().names().get(side) + " ("
                                        + Decimals.significant(
                                                mean(sides.get(side)).orElse(0), 4) + ")")
                                .collect(Collectors.joining(", "))
                        + ". A place has slipped.");
    }

    private static OptionalDouble mean(ClaimedGroup sample) {
        if (sample instanceof ClaimedGroup.Measured measured) {
            return OptionalDouble.of(measured.group().mean());
        }
        if (sample instanceof ClaimedGroup.Counted counted) {
            return OptionalDouble.of(counted.share().share());
        }
        return sample instanceof ClaimedGroup.Bare bare ? OptionalDouble.of(bare.mean()) : OptionalDouble.empty();
    }

    /** The 95 % interval of the ratio of two shares, on the log scale (Katz et al. 1978); none where one has none. */
    static Optional<Interval> ratio(Proportion one, Proportion other) {
        if (one.affected() == 0 || other.affected() == 0) {
            return Optional.empty();
        }
        double ratio = one.share() / other.share();
        double error = Math.sqrt(1.0 / one.affected() - 1.0 / one.n() + 1.0 / other.affected() - 1.0 / other.n());
        return Optional.of(new Interval(ratio * Math.exp(-Z * error), ratio * Math.exp(Z * error)));
    }

    private static String signed(double value, int decimals) {
        return (value > 0 ? "+" : "") + Decimals.fixed(value, decimals);
    }

    private static String told(double percent) {
        return signed(percent, Math.abs(percent) < 10 ? 1 : 0) + " %";
    }

    /** What choosing the best alone does: the mean of the top of so many normal values (Blom 1958). */
    private static Checked best(ClaimedGroup first, ClaimedGroup other) {
        List<String> remarks = new ArrayList<>();
        if (first instanceof ClaimedGroup.Best best && other instanceof ClaimedGroup.Measured all) {
            double sds = liftOfBest(best.picked(), best.of());
            double sd = Summary.of(all.group().values().stream()
                            .mapToDouble(Double::doubleValue)
                            .toArray())
                    .sd()
                    .orElse(0);
            remarks.add("The best " + best.picked() + " of " + best.of() + " of the very same plants would stand "
                    + Decimals.fixed(sds, 1) + " standard deviations above their mean"
                    + (all.group().mean() > 0
                            ? ": here about "
                                    + told(HUNDRED * sds * sd / all.group().mean()) + ", by choosing alone."
                            : "."));
        }
        return untestable(
                "The best of many say what the best can do, not what all do: any group looks better by its best.",
                "The mean of all units of both, lost ones counted.",
                remarks);
    }

    /** How many standard deviations the mean of the best stands above that of all. */
    static double liftOfBest(int picked, int of) {
        double sum = 0;
        for (int rank = 1; rank <= picked; rank++) {
            sum += NORMAL.inverseCumulativeProbability((of + 1 - rank - 0.375) / (of + 0.25));
        }
        return sum / picked;
    }

    private static Checked bare(ClaimedGroup first, ClaimedGroup other) {
        List<String> remarks =
                first instanceof ClaimedGroup.Bare one && other instanceof ClaimedGroup.Bare two && two.mean() != 0
                        ? List.of("The two figures differ by " + told(HUNDRED * (one.mean() / two.mean() - 1))
                                + ", but of one unit or a bare mean nobody can say how much of that is chance.")
                        : List.of(
                                "Both need the same kind of numbers: values, a mean with its scatter and n, or k of n.");
        return untestable("A figure without its scatter can't be held against another.", MORE_UNITS, remarks);
    }

    private static Checked untestable(String sentence, String test, List<String> remarks) {
        return new Checked(Outcome.NOT_TESTABLE, "", sentence, Optional.empty(), Optional.empty(), test, remarks);
    }
}
