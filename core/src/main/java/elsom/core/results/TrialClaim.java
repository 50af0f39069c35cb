package elsom.core.results;

import elsom.core.claim.Checked;
import elsom.core.claim.ClaimCase;
import elsom.core.claim.ClaimedGroup;
import elsom.core.figure.FigureKind;
import elsom.core.plan.Direction;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.stats.Group;
import elsom.core.trial.Treatment;
import elsom.core.trial.TrialRecord;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A claim held against a trial's own units: every one of a treatment counts, lost ones leave their gap. */
public final class TrialClaim {
    private TrialClaim() {}

    /** Which figure a claim is of, and which way of it is better. */
    public record Of(FigureKind kind, Direction better) {
        private String measure() {
            return kind.label()
                    + switch (better) {
                        case HIGHER -> ", more is better";
                        case LOWER -> ", fewer is better";
                        case EITHER -> ", neither is better";
                    };
        }
    }

    /**
     * What is claimed.
     *
     * @param treatment number of the one that is praised, {@code comparator}: of the one it is held against
     * @param sameArea whether amounts are taken for the same area of container
     */
    public record Claimed(Of what, String words, int treatment, int comparator, boolean sameArea) {}

    /**
     * The same where some of it is read as below a limit, of which nobody knows how much there is: told only where it comes
     * out alike with none of it, half and the whole limit.
     *
     * @param found what is found of a record
     */
    public static Checked eitherWay(TrialRecord record, Function<TrialRecord, Findings> found, Claimed claimed) {
        Checked half = of(record, found.apply(record), claimed);
        if (!EitherWay.needed(record)) {
            return half;
        }
        List<Checked> others = Stream.of(false, true)
                .map(whole -> EitherWay.read(record, whole))
                .map(other -> of(other, found.apply(other), claimed))
                .toList();
        return others.stream().allMatch(other -> other.outcome() == half.outcome())
                ? half
                : new Checked(
                        Checked.Outcome.CANT_TELL,
                        half.read(),
                        "It hangs on how much there is of what lies below the limit.",
                        Optional.empty(),
                        Optional.empty(),
                        "A method that reaches lower, or a larger sample.",
                        List.of(
                                "With half of the limit: " + half.outcome().label() + ".",
                                "With none: " + others.get(0).outcome().label() + ".",
                                "With the whole limit: "
                                        + others.get(1).outcome().label() + "."));
    }

    /** What the trial says of it. Sides are called by the names of their treatments, in an order also by their letters. */
    public static Checked of(TrialRecord record, Findings findings, Claimed claimed) {
        Of what = claimed.what();
        String words = claimed.words();
        boolean order = words.contains(">") || words.contains("<");
        String text = order ? byName(record, words) : words;
        List<Treatment> sides = new ArrayList<>();
        record.treatments().stream()
                .filter(t -> order || t.number() == claimed.treatment())
                .forEach(sides::add);
        record.treatments().stream()
                .filter(t -> !order && t.number() == claimed.comparator())
                .forEach(sides::add);
        List<Treatment> read = sides.stream()
                .filter(t -> sample(record, findings, what.kind(), t.number()).isPresent())
                .toList();
        if (read.size() < 2 || (!order && read.size() < sides.size())) {
            return new Checked(
                    Checked.Outcome.NOT_TESTABLE,
                    "",
                    "Nothing was read of one of the two.",
                    Optional.empty(),
                    Optional.empty(),
                    "Read it, then ask again.",
                    List.of());
        }
        boolean named = read.stream().anyMatch(t -> named(text, t));
        return Checked.per(
                ClaimCase.of(
                        text,
                        what.measure(),
                        what.kind().unitSymbol(),
                        named ? read.stream().map(Treatment::name).toList() : List.of(),
                        0),
                read.stream()
                        .flatMap(t -> sample(record, findings, what.kind(), t.number()).stream())
                        .toList(),
                read.stream()
                        .map(t -> claimed.sameArea() ? area(record, t.number()) : 1.0)
                        .toList());
    }

    /** "C > B" with the names of the treatments that these letters stand for. */
    private static String byName(TrialRecord record, String words) {
        String text = words;
        for (Treatment treatment : record.treatments()) {
            text = text.replaceAll(
                    "(?<![\\p{L}0-9])" + Pattern.quote(treatment.code()) + "(?![\\p{L}0-9])",
                    Matcher.quoteReplacement(treatment.name()));
        }
        return text;
    }

    private static boolean named(String words, Treatment treatment) {
        return words.toLowerCase(Locale.ROOT).contains(treatment.name().toLowerCase(Locale.ROOT));
    }

    private static Optional<ClaimedGroup> sample(
            TrialRecord record, Findings findings, FigureKind kind, int treatment) {
        List<Double> values = findings.units().stream()
                .filter(unit -> unit.unit().treatment() == treatment)
                .flatMap(unit -> unit.figure(kind).stream())
                .map(figure -> kind.unit() == UnitOfMeasure.FRACTION ? 100 * figure.value() : figure.value())
                .collect(Collectors.toCollection(ArrayList::new));
        if (values.isEmpty()) {
            return Optional.empty();
        }
        String name = record.treatment(treatment).name();
        return Optional.of(
                values.size() == 1
                        ? new ClaimedGroup.Bare(values.get(0))
                        : new ClaimedGroup.Measured(new Group(name, values)));
    }

    /** Mean opening of a treatment's containers in cm². */
    public static double area(TrialRecord record, int treatment) {
        return record.units().stream()
                .filter(unit -> unit.treatment() == treatment)
                .map(record::container)
                .mapToDouble(container -> container.areaCm2(container.depthCm()))
                .average()
                .orElse(1);
    }
}
