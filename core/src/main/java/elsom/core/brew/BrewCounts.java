package elsom.core.brew;

import elsom.core.brew.BrewFindings.Counted;
import elsom.core.plan.Factor;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedTreatment;
import elsom.core.plan.Question;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialRecord;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** A trial's counts, brew by brew, as findings take them: each count, and ratios of those that belong together. */
public final class BrewCounts {
    private static final double SECONDS_AN_HOUR = 3600;

    private BrewCounts() {}

    /** The counts that a trial takes: its endpoints in µg/mL. */
    public static List<Endpoint> counted(TrialRecord record) {
        return record.endpoints().stream()
                .filter(endpoint -> endpoint.unit() == UnitOfMeasure.MICROGRAM_PER_MILLILITRE)
                .toList();
    }

    /** Whether a count was entered yet. */
    public static boolean any(TrialRecord record) {
        return counted(record).stream()
                .anyMatch(endpoint -> record.readings().stream()
                        .anyMatch(reading -> reading.ref().endpoint().equals(endpoint.code())));
    }

    /** What they tell, what was asked about first. */
    public static BrewFindings of(TrialRecord record, Plan plan, List<BrewReading> log) {
        List<Counted> counted = new ArrayList<>();
        List<EndpointCode> asked =
                plan.asked().questions().stream().map(Question::endpoint).toList();
        List<Endpoint> askedFirst = counted(record).stream()
                .sorted(Comparator.comparing(endpoint -> !asked.contains(endpoint.code())))
                .toList();
        for (Endpoint endpoint : askedFirst) {
            add(record, plan, endpoint.name(), endpoint.code(), Optional.empty(), counted);
        }
        ratio(record, plan, "Fungi to bacteria, active", "fungi", "bacteria", counted);
        ratio(record, plan, "Active share of fungi", "fungi", "total-fungi", counted);
        ratio(record, plan, "Active share of bacteria", "bacteria", "total-bacteria", counted);
        List<String> stops = log.stream()
                .filter(visit -> visit.whyStop().isPresent())
                .map(visit -> visit.unit().value())
                .distinct()
                .toList();
        return BrewFindings.of(factors(plan), counted, stops);
    }

    private static void ratio(
            TrialRecord record, Plan plan, String name, String over, String under, List<Counted> counted) {
        add(record, plan, name, new EndpointCode(over), Optional.of(new EndpointCode(under)), counted);
    }

    private static void add(
            TrialRecord record,
            Plan plan,
            String name,
            EndpointCode code,
            Optional<EndpointCode> under,
            List<Counted> counted) {
        List<FactorEffects.Brew> brews = new ArrayList<>();
        for (ExperimentalUnit unit : record.units()) {
            OptionalDouble value = last(record, unit, code);
            OptionalDouble by = under.isEmpty() ? OptionalDouble.of(1) : last(record, unit, under.get());
            if (value.isPresent() && by.isPresent() && value.getAsDouble() > 0 && by.getAsDouble() > 0) {
                brews.add(new FactorEffects.Brew(
                        levels(plan, unit), hours(plan, unit), value.getAsDouble() / by.getAsDouble()));
            }
        }
        if (!brews.isEmpty()) {
            counted.add(new Counted(name, brews));
        }
    }

    /** Treatments that are no grid are levels of one factor. */
    private static List<Integer> levels(Plan plan, ExperimentalUnit unit) {
        PlannedTreatment treatment = plan.treatments().all().get(unit.treatment() - 1);
        return plan.treatments().factorial() ? treatment.levels() : List.of(unit.treatment() - 1);
    }

    private static List<FactorEffects.Named> factors(Plan plan) {
        return plan.treatments().factorial()
                ? plan.treatments().factors().stream()
                        .map(factor -> new FactorEffects.Named(
                                factor.name(),
                                factor.levels().stream().map(Factor.Level::name).toList()))
                        .toList()
                : List.of(new FactorEffects.Named(
                        "Brew",
                        plan.treatments().all().stream()
                                .map(PlannedTreatment::name)
                                .toList()));
    }

    private static double hours(Plan plan, ExperimentalUnit unit) {
        Instant end = plan.schedule().end();
        return end == null
                ? 0
                : Duration.between(plan.schedule().startOf(unit.treatment()), end)
                                .toSeconds()
                        / SECONDS_AN_HOUR;
    }

    private static OptionalDouble last(TrialRecord record, ExperimentalUnit unit, EndpointCode code) {
        return record.looks().stream()
                .map(Look::number)
                .flatMap(look -> record.current(new ReadingRef(unit.code(), look, code)).stream())
                .map(Reading::value)
                .reduce((earlier, later) -> later)
                .map(OptionalDouble::of)
                .orElse(OptionalDouble.empty());
    }
}
