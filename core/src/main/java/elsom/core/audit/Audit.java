package elsom.core.audit;

import elsom.core.trial.EndpointCode;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Whether a trial was a fair test.
 *
 * @param faults the worst first
 */
public record Audit(List<Fault> faults) {
    private static final List<AuditRule> RULES = List.of(
            new OneUnitOfATreatment(),
            new PlantsAsUnits(),
            new NoComparator(),
            new UnequalUnits(),
            new TiedFactors(),
            new DifferentPots(),
            new TiedToPlace(),
            new LightApart(),
            new CareApart(),
            new AgeAtMeasuring(),
            new LateLooks(),
            new MissedLooks(),
            new MeterNotChecked(),
            new InstrumentChanged(),
            new SeveralScorers(),
            new NotBlind(),
            new UnitsLost(),
            new MixUp(),
            new QuestionAddedLater(),
            new ChangedMidway(),
            new StoppedEarly(),
            new FailedControl(),
            new MixedSpecies(),
            new TooFewToTell(),
            new OneHitOfMany(),
            new NitrogenApart(),
            new OtherBasis(),
            new MissedWatering(),
            new SharedWater(),
            new WeatherApart(),
            new ByHand(),
            new NotWrittenDown(),
            new OneLotOnly());

    public Audit {
        faults = List.copyOf(faults);
    }

    /** What every rule found, the worst first. */
    public static Audit of(AuditCase trial) {
        return new Audit(RULES.stream()
                .flatMap(rule -> rule.check(trial).stream())
                .sorted(Comparator.comparing(Fault::grade).reversed())
                .toList());
    }

    /** How far the trial as a whole can be relied on. */
    public Grade grade() {
        return faults.stream().map(Fault::grade).reduce(Grade.SOUND, Grade::worse);
    }

    /** How far what is said of an endpoint can be relied on. */
    public Grade grade(EndpointCode endpoint) {
        return faults.stream()
                .filter(fault -> fault.touches(endpoint))
                .map(Fault::grade)
                .reduce(Grade.SOUND, Grade::worse);
    }

    /** The fault that caps what is said of an endpoint; empty when nothing does. */
    public Optional<Fault> cap(EndpointCode endpoint) {
        return faults.stream()
                .filter(fault -> fault.touches(endpoint) && fault.grade() != Grade.SOUND)
                .findFirst();
    }

    /** How many rules are looked through. */
    public static int rules() {
        return RULES.size();
    }
}
