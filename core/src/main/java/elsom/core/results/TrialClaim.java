package elsom.core.results;

import elsom.core.claim.Checked;
import elsom.core.claim.Claim;
import elsom.core.claim.ClaimedGroup;
import elsom.core.claim.Order;
import elsom.core.figure.Figure;
import elsom.core.figure.FigureKind;
import elsom.core.stats.Group;
import elsom.core.trial.TrialRecord;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** A claim held against a trial's own units: every one of a treatment counts, lost ones leave their gap. */
public final class TrialClaim {
    private TrialClaim() {}

    /**
     * What the trial says of it. An order is recognised by its ">".
     *
     * @param treatment number of the one that is praised, {@code comparator}: of the one it is held against
     * @param sameArea whether amounts are taken for the same area of container
     */
    public static Checked of(
            TrialRecord record,
            Findings findings,
            FigureKind kind,
            String words,
            int treatment,
            int comparator,
            boolean sameArea) {
        Optional<Order> order = Order.read(words);
        if (order.isPresent()) {
            return order.get().check(samples(record, findings, kind));
        }
        Optional<ClaimedGroup> first = sample(record, findings, kind, treatment);
        Optional<ClaimedGroup> other = sample(record, findings, kind, comparator);
        if (first.isEmpty() || other.isEmpty()) {
            return new Checked(
                    Checked.Outcome.NOT_TESTABLE,
                    "Nothing was read of one of the two.",
                    Optional.empty(),
                    Optional.empty(),
                    "Read it, then ask again.",
                    List.of());
        }
        return Checked.per(
                Claim.read(words),
                first.get(),
                sameArea ? area(record, treatment) : 1,
                other.get(),
                sameArea ? area(record, comparator) : 1);
    }

    /** Treatments by their names and by their letters. */
    private static Map<String, ClaimedGroup> samples(TrialRecord record, Findings findings, FigureKind kind) {
        Map<String, ClaimedGroup> samples = new LinkedHashMap<>();
        record.treatments()
                .forEach(treatment -> sample(record, findings, kind, treatment.number())
                        .ifPresent(sample -> {
                            samples.put(treatment.name().toLowerCase(Locale.ROOT), sample);
                            samples.putIfAbsent(treatment.code().toLowerCase(Locale.ROOT), sample);
                        }));
        return samples;
    }

    private static Optional<ClaimedGroup> sample(
            TrialRecord record, Findings findings, FigureKind kind, int treatment) {
        List<Double> values = findings.units().stream()
                .filter(unit -> unit.unit().treatment() == treatment)
                .flatMap(unit -> unit.figure(kind).stream())
                .map(Figure::value)
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
