package elsom.web.practice;

import elsom.core.plan.Plan;
import elsom.core.practice.Brief;
import elsom.core.practice.Draft;
import elsom.core.practice.Planned;
import elsom.core.quantity.Decimals;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.BenchMap;
import elsom.web.kit.TrialHeader;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A practice bench.
 *
 * @param problem why it can't be started as it is planned; empty when it can
 * @param done looks that were read
 * @param next the look to run to; empty when all were read
 * @param map how units stand, with what was read last; empty where the plan can't be drawn
 * @param pick how many of the best the level tempts one to measure; 0 for levels without that temptation
 */
record PracticeBenchPage(
        TrialHeader header,
        Brief brief,
        long seed,
        State state,
        List<String> shelf,
        List<Cost> costs,
        String problem,
        List<String> done,
        String next,
        boolean last,
        int pick,
        List<String> wentWrong,
        Optional<BenchMap> map) {
    /** How far a bench has come. */
    enum State {
        PLANNING,
        RUNNING,
        TO_CALL,
        CALLED
    }

    /**
     * What the plan takes of one thing.
     *
     * @param share of what there is, 0 to 1, for a bar
     */
    record Cost(String what, String takes, String of, double share, boolean over) {}

    static PracticeBenchPage of(Practice practice, TrialRecord record, Plan plan, Instant now) {
        Optional<Look> next = record.trial().started() ? BenchRun.next(record) : Optional.empty();
        List<String> done = record.looks().stream()
                .filter(look -> record.progress(look).done() > 0)
                .map(Look::name)
                .toList();
        int last = record.looks().isEmpty() ? 0 : record.looks().size();
        return new PracticeBenchPage(
                TrialHeader.of(record, now, record.trial().started() ? TrialHeader.Step.BENCH : TrialHeader.Step.PLAN),
                practice.level().brief(),
                practice.seed(),
                state(practice, record, next),
                practice.level().shelf().stream().map(Draft::shown).toList(),
                costs(practice.level().brief().budget(), Planned.costs(plan)),
                record.trial().started() ? "" : refusal(practice, plan).orElse(""),
                done,
                next.map(Look::name).orElse(""),
                next.map(look -> look.number() == last).orElse(false),
                next.filter(look -> Planned.decides(practice.level(), look)).isPresent()
                        ? practice.level().trap().best()
                        : 0,
                record.mishaps().stream()
                        .map(mishap -> mishap.note()
                                + (mishap.units().size() == record.units().size()
                                        ? ""
                                        : ": "
                                                + String.join(
                                                        ", ",
                                                        mishap.units().stream()
                                                                .map(unit -> unit.value())
                                                                .toList())))
                        .toList(),
                map(practice, record, plan));
    }

    /** The bench as it stands, or as it would be drawn; with what was read last. */
    private static Optional<BenchMap> map(Practice practice, TrialRecord record, Plan plan) {
        if (!record.trial().started() && plan.layoutProblem().isPresent()) {
            return Optional.empty();
        }
        TrialRecord standing = record.trial().started() ? record : plan.draw(practice.trial());
        return standing.units().isEmpty()
                ? Optional.empty()
                : Optional.of(BenchMap.of(standing, 1, unit -> face(practice, standing, unit)));
    }

    private static BenchMap.Face face(Practice practice, TrialRecord record, ExperimentalUnit unit) {
        EndpointCode endpoint = practice.level().brief().measured().endpoint();
        String href =
                "/trials/" + record.trial().id() + (record.trial().started() ? "/units/" + unit.code() : "/plan/bench");
        if (record.ended(unit.code()).isPresent()) {
            return new BenchMap.Face("lost", BenchMap.State.LOST, href);
        }
        return record.looks().stream()
                .flatMap(look -> record.current(new ReadingRef(unit.code(), look.number(), endpoint)).stream())
                .reduce((earlier, later) -> later)
                .map(reading -> new BenchMap.Face(reading.typedText().split(" ", 2)[0], BenchMap.State.DONE, href))
                .orElse(new BenchMap.Face("", BenchMap.State.TODO, href));
    }

    private static State state(Practice practice, TrialRecord record, Optional<Look> next) {
        if (practice.called().isPresent()) {
            return State.CALLED;
        }
        return !record.trial().started() ? State.PLANNING : next.isPresent() ? State.RUNNING : State.TO_CALL;
    }

    private static List<Cost> costs(Brief.Budget budget, Planned.Costs costs) {
        List<Cost> lines = new ArrayList<>();
        lines.add(cost("Places on the bench", costs.places(), budget.places(), 0));
        lines.add(cost("Hours of work", costs.hours(), budget.hours(), 1));
        lines.add(cost("Money", costs.money(), budget.money(), 2));
        return lines;
    }

    private static Cost cost(String what, double takes, double of, int decimals) {
        return new Cost(
                what,
                Decimals.fixed(takes, decimals),
                Decimals.fixed(of, decimals),
                Math.min(1, takes / of),
                takes > of);
    }

    /** Why a plan can't be started on this bench, in words that say what to do. */
    static Optional<String> refusal(Practice practice, Plan plan) {
        List<String> unknown = Planned.unknown(practice.level(), plan);
        if (plan.treatments().size() < 2) {
            return Optional.of("The plan needs two treatments or more.");
        }
        if (!unknown.isEmpty()) {
            return Optional.of("There is nothing on the shelf for “" + String.join("”, “", unknown)
                    + "”. Name treatments as the shelf does: “"
                    + Draft.shown(practice.level().shelf().get(1)) + "”.");
        }
        return Planned.costs(plan).within(practice.level().brief().budget())
                ? Optional.empty()
                : Optional.of("The plan takes more than there is. Plan fewer units, treatments or looks.");
    }
}
