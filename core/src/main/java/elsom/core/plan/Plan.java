package elsom.core.plan;

import elsom.core.design.Grid;
import elsom.core.design.Layout;
import elsom.core.design.LayoutKind;
import elsom.core.design.UnitFill;
import elsom.core.quantity.Bounds;
import elsom.core.trial.Bench;
import elsom.core.trial.Chore;
import elsom.core.trial.Container;
import elsom.core.trial.ProtocolCode;
import elsom.core.trial.Treatment;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * All that is decided before a trial starts.
 *
 * @param origin null for a plan of its own
 */
public record Plan(
        ProtocolCode protocol,
        Asked asked,
        Treatments treatments,
        Pots pots,
        Arrangement arrangement,
        Schedule schedule,
        Rules rules,
        @Nullable PlanOrigin origin) {
    public Plan {
        Bounds.present("the kind of trial", protocol);
        Bounds.present("what is asked", asked);
        Bounds.present("what is compared", treatments);
        Bounds.present("what a unit is", pots);
        Bounds.present("where units stand", arrangement);
        Bounds.present("when it is done", schedule);
        Bounds.present("how it is run", rules);
        for (PlannedLook look : schedule.looks()) {
            look.endpoints().stream()
                    .filter(code -> asked.measure(code).isEmpty())
                    .forEach(code -> {
                        throw new IllegalArgumentException(
                                "look “" + look.name() + "” measures “" + code + "”, which is no endpoint of the plan");
                    });
        }
    }

    /** Whether it was written down by somebody else's rules: nobody knows what is not in the notebook. */
    public boolean copied() {
        return origin != null && origin.why() == FollowUp.NOTEBOOK;
    }

    public Plan with(Asked other) {
        return new Plan(protocol, other, treatments, pots, arrangement, schedule, rules, origin);
    }

    /**
     * The plan with other questions and endpoints; looks measure what is left of theirs.
     *
     * @throws IllegalArgumentException if a look would measure nothing
     */
    public Plan measuring(Asked other) {
        List<PlannedLook> left = schedule.looks().stream()
                .map(look -> new PlannedLook(
                        look.name(),
                        look.after(),
                        look.endpoints().stream()
                                .filter(code -> other.measure(code).isPresent())
                                .toList()))
                .toList();
        return new Plan(
                protocol,
                other,
                treatments,
                pots,
                arrangement,
                schedule.with(left, schedule.steps(), schedule.hours()),
                rules,
                origin);
    }

    public Plan with(Treatments others, Pots otherPots) {
        return new Plan(protocol, asked, others, otherPots, arrangement, schedule, rules, origin);
    }

    public Plan with(Arrangement other) {
        return new Plan(protocol, asked, treatments, pots, other, schedule, rules, origin);
    }

    public Plan with(Schedule other) {
        return new Plan(protocol, asked, treatments, pots, arrangement, other, rules, origin);
    }

    public Plan with(Rules other) {
        return new Plan(protocol, asked, treatments, pots, arrangement, schedule, other, origin);
    }

    public Plan from(@Nullable PlanOrigin other) {
        return new Plan(protocol, asked, treatments, pots, arrangement, schedule, rules, other);
    }

    /** Measures that no look takes. */
    public List<Measure> unread() {
        return asked.measures().stream()
                .filter(Measure::taken)
                .filter(measure -> schedule.looks().stream()
                        .noneMatch(look ->
                                look.endpoints().contains(measure.endpoint().code())))
                .toList();
    }

    public String question() {
        return asked.question();
    }

    /** The first control; empty when there is none. */
    public Optional<PlannedTreatment> control() {
        return treatments.all().stream().filter(PlannedTreatment::isControl).findFirst();
    }

    /** What a question compares with. */
    public Optional<PlannedTreatment> comparator(Question asked) {
        List<PlannedTreatment> all = treatments.all();
        return asked.comparator() == 0
                ? control()
                : asked.comparator() <= all.size() ? Optional.of(all.get(asked.comparator() - 1)) : Optional.empty();
    }

    public Container container(PlannedTreatment treatment) {
        return treatment.container() == null ? pots.container() : treatment.container();
    }

    /** Filled volume of a treatment's units in mL: its own, the usual one, or to the brim. */
    public double volumeMl(PlannedTreatment treatment) {
        if (treatment.volumeMl() > 0) {
            return treatment.volumeMl();
        }
        return pots.volumeMl() > 0 && treatment.container() == null
                ? pots.volumeMl()
                : container(treatment).volumeMl();
    }

    /** The containers in use, each once. */
    public List<Container> containers() {
        List<PlannedTreatment> all = treatments.all();
        return all.isEmpty()
                ? List.of(pots.container())
                : all.stream().map(this::container).distinct().toList();
    }

    /** Units that go on from an earlier trial. */
    public List<PlanOrigin.Kept> kept() {
        return origin == null ? List.of() : origin.kept();
    }

    /** How many units are randomised. */
    public int units() {
        return kept().isEmpty() ? layout().size() : kept().size();
    }

    /** The benches with their places. */
    public List<Bench> benches() {
        List<Bench> benches = new ArrayList<>();
        List<Site> sites = arrangement.sites();
        for (int i = 0; i < sites.size(); i++) {
            benches.add(sites.get(i).bench(i + 1, wanted(i), containers(), arrangement.guards()));
        }
        return benches;
    }

    /** Rows and columns of a bench that is made as large as it needs to be: a row a block. */
    private Grid wanted(int site) {
        int treatmentCount = Math.max(1, treatments.size());
        if (!kept().isEmpty()) {
            int columns = (int) Math.ceil(Math.sqrt(kept().size()));
            return new Grid((int) Math.ceil(kept().size() / (double) columns), columns);
        }
        int sites = arrangement.sites().size();
        int share = arrangement.everySite()
                ? arrangement.replicates()
                : arrangement.replicates() / sites + (site < arrangement.replicates() % sites ? 1 : 0);
        return new Grid(Math.max(1, share), treatmentCount);
    }

    /** The layout to be drawn. */
    public Layout layout() {
        List<PlannedTreatment> all = treatments.all();
        List<UnitFill> fillings = new ArrayList<>();
        for (PlannedTreatment treatment : all) {
            int factor = arrangement.wholePlotFactor();
            int whole = factor >= 1 && factor <= treatment.levels().size()
                    ? treatment.levels().get(factor - 1)
                    : 0;
            fillings.add(new UnitFill(fillings.size() + 1, container(treatment).name(), volumeMl(treatment), whole));
        }
        return new Layout(
                arrangement.kind(),
                benches(),
                fillings,
                arrangement.replicates(),
                arrangement.everySite(),
                arrangement.seed());
    }

    /** Why the layout can't be drawn yet; empty when it can. */
    public Optional<String> layoutProblem() {
        if (treatments.size() < 1) {
            return Optional.of("There are no treatments yet.");
        }
        if (treatments.size() > Treatment.MOST) {
            return Optional.of("That makes " + treatments.size() + " treatments; a trial has at most " + Treatment.MOST
                    + ". Strike cells out, or take fewer levels.");
        }
        try {
            if (!kept().isEmpty()) {
                return kept().stream().anyMatch(kept -> kept.treatment() > treatments.size())
                        ? Optional.of("A unit that goes on had a treatment that the plan no longer has.")
                        : roomForKept();
            }
            int factor = arrangement.wholePlotFactor();
            int factors = treatments.factors().size();
            boolean grouped =
                    arrangement.kind() != LayoutKind.SPLIT_PLOT || (factors > 1 && factor >= 1 && factor <= factors);
            return grouped
                    ? layout().problem()
                    : Optional.of("A split-plot needs two factors or more, and one of them given to whole groups.");
        } catch (IllegalArgumentException impossible) {
            return Optional.of(String.valueOf(impossible.getMessage()));
        }
    }

    private Optional<String> roomForKept() {
        int room = Layout.places(benches()).size();
        return room >= kept().size()
                ? Optional.empty()
                : Optional.of("There is room for " + room + " of the " + kept().size() + " units that are kept.");
    }

    /**
     * Draws the trial: units, codes, places, looks. The same plan always draws the same trial.
     *
     * @throws IllegalArgumentException if there is a {@link #layoutProblem} or no look
     */
    public TrialRecord draw(TrialId id) {
        layoutProblem().ifPresent(problem -> {
            throw new IllegalArgumentException(problem);
        });
        return new Drawing(this).record(id, true);
    }

    /** The trial as far as it can be drawn yet: without units while there is a {@link #layoutProblem}. */
    public TrialRecord sketch(TrialId id) {
        return new Drawing(this).record(id, layoutProblem().isEmpty());
    }

    /** Moving every unit on within its block; empty when units stay where they stand. */
    public Optional<Recurring> turning() {
        Duration every = Duration.ofDays(arrangement.rotateEveryDays());
        return every.isZero()
                ? Optional.empty()
                : Optional.of(new Recurring(
                        Recurring.Kind.TURN,
                        "Every unit one place on within its block, the last to the front; a quarter turn each.",
                        every,
                        every,
                        every.compareTo(schedule.length()) > 0 ? every : schedule.length()));
    }

    /** Names of the treatments that start at each time, the earliest first; all at once unless they end together. */
    public Map<Instant, List<String>> starts() {
        Map<Instant, List<String>> starts = new TreeMap<>();
        starts.put(schedule.start(), new ArrayList<>());
        List<PlannedTreatment> all = treatments.all();
        for (int i = 0; i < all.size(); i++) {
            starts.computeIfAbsent(schedule.startOf(i + 1), at -> new ArrayList<>())
                    .add(all.get(i).name());
        }
        return starts;
    }

    /** What is to be done besides looks, in order of time: care, turning, and starts that are not the trial's own. */
    public List<Chore> chores() {
        Stream<Chore> starts = starts().entrySet().stream()
                .filter(start -> !start.getKey().equals(schedule.start()))
                .map(start -> new Chore(
                        Chore.Kind.START,
                        "Start " + String.join(", ", start.getValue()),
                        Duration.between(schedule.start(), start.getKey())));
        Stream<Chore> care = Stream.concat(schedule.steps().stream(), turning().stream())
                .flatMap(step -> step.times().stream()
                        .map(at -> new Chore(step.kind().chore(), step.kind().label(), at)));
        return Stream.concat(starts, care)
                .sorted(Comparator.comparing(Chore::afterStart))
                .toList();
    }
}
