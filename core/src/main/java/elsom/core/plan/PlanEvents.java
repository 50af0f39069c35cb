package elsom.core.plan;

import elsom.core.trial.Chore;
import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** Everything a plan has to be done at a time, in order of time. */
public final class PlanEvents {
    private static final Duration LEAST = Duration.ofMinutes(10);
    private static final Duration SETTING_UP = Duration.ofMinutes(2);

    private final Plan plan;
    private final List<PlanEvent> events = new ArrayList<>();

    private PlanEvents(Plan plan) {
        this.plan = plan;
    }

    public static List<PlanEvent> of(Plan plan) {
        PlanEvents made = new PlanEvents(plan);
        made.starts();
        plan.schedule().looks().forEach(made::look);
        plan.schedule().steps().forEach(made::step);
        made.turns();
        made.events.sort(Comparator.comparing(PlanEvent::at).thenComparing(PlanEvent::kind));
        return List.copyOf(made.events);
    }

    private void add(PlanEvent.Kind kind, Instant at, Duration takes, String title, String detail, Chore.Kind chore) {
        String clash =
                plan.schedule().hours().clash(at.atZone(plan.schedule().zone())).orElse("");
        events.add(new PlanEvent(kind, at, takes.compareTo(LEAST) < 0 ? LEAST : takes, title, detail, clash, chore));
    }

    private int units() {
        return plan.treatments().size() == 0 ? 0 : plan.units();
    }

    /** One start for all, or one for each group of treatments that run as long. */
    private void starts() {
        Map<Instant, List<String>> together = plan.starts();
        int all = plan.treatments().size();
        together.forEach((at, names) -> add(
                PlanEvent.Kind.START,
                at,
                SETTING_UP.multipliedBy((long) Math.ceil(units() * names.size() / (double) Math.max(1, all))),
                names.size() == all ? "Start" : "Start " + String.join(", ", names),
                plan.schedule().endsTogether() ? "So that all end together." : "Set up all units.",
                Chore.Kind.START));
    }

    private void look(PlannedLook look) {
        String what = look.endpoints().stream()
                .flatMap(code -> plan.asked().measure(code).stream())
                .map(Measure::endpoint)
                .map(Endpoint::name)
                .collect(Collectors.joining(", "));
        add(
                PlanEvent.Kind.LOOK,
                plan.schedule().start().plus(look.after()),
                measuring(plan, look, units()),
                "Look: " + look.name(),
                what + ".",
                Chore.Kind.OTHER);
    }

    /** How long a look takes with so many units. */
    public static Duration measuring(Plan plan, PlannedLook look, int units) {
        long seconds = 0;
        for (EndpointCode code : look.endpoints()) {
            seconds += plan.asked().measure(code).map(Measure::secondsEach).orElse(0);
        }
        return Duration.ofSeconds(seconds * units);
    }

    /** How long all looks take with so many units. */
    public static Duration measuring(Plan plan, int units) {
        return plan.schedule().looks().stream()
                .map(look -> measuring(plan, look, units))
                .reduce(Duration.ZERO, Duration::plus);
    }

    private void step(Recurring step) {
        step.times()
                .forEach(after -> add(
                        PlanEvent.Kind.STEP,
                        plan.schedule().start().plus(after),
                        Duration.ofSeconds(15L * units()),
                        step.kind().label(),
                        step.note(),
                        step.kind().chore()));
    }

    private void turns() {
        plan.turning()
                .ifPresent(turning -> turning.times()
                        .forEach(after -> add(
                                PlanEvent.Kind.TURN,
                                plan.schedule().start().plus(after),
                                Duration.ofSeconds(5L * units()),
                                turning.kind().label(),
                                turning.note(),
                                turning.kind().chore())));
    }
}
