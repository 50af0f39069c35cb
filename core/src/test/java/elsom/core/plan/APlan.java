package elsom.core.plan;

import elsom.core.design.LayoutKind;
import elsom.core.protocol.Protocols;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.Container;
import elsom.core.trial.ControlKind;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ProtocolCode;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Builds plans for tests: a growth trial in blocks, of which a test says only what it is about. */
public final class APlan {
    public static final Instant START = Instant.parse("2026-06-01T08:00:00Z");
    public static final ZoneId ZONE = ZoneId.of("Europe/London");
    public static final Container POT = Container.taperedRound("Round pot 9 cm", 8.5, 9, 6.5);
    public static final Container TUB = Container.taperedRound("Tub 18 cm", 18, 20, 16);

    private Plan plan;

    private APlan(String protocol) {
        plan = Protocols.find(new ProtocolCode(protocol))
                .orElseThrow()
                .begin("Which grows better?", ZONE, START, Pots.of(POT), 7);
        plan = plan.with(
                new Asked(plan.question(), "marigold", List.of(), plan.asked().measures()));
    }

    public static APlan ofGrowth() {
        return new APlan("growth");
    }

    public static APlan of(String protocol) {
        return new APlan(protocol);
    }

    /** Treatments in a list, the first the control. */
    public APlan list(String... mixes) {
        List<PlannedTreatment> list = new ArrayList<>();
        for (String mix : mixes) {
            list.add(PlannedTreatment.of(mix, mix, list.isEmpty() ? ControlKind.CONTROL : ControlKind.NONE));
        }
        return treatments(list);
    }

    public APlan treatments(List<PlannedTreatment> list) {
        plan = plan.with(Treatments.listed(list), plan.pots());
        return this;
    }

    public APlan factors(Factor... factors) {
        plan = plan.with(Treatments.crossed(Arrays.asList(factors), "leaf mould", List.of()), plan.pots());
        return this;
    }

    public APlan striking(Integer... cell) {
        List<List<Integer>> struck = new ArrayList<>(plan.treatments().struck());
        struck.add(List.of(cell));
        plan = plan.with(
                Treatments.crossed(
                        plan.treatments().factors(), plan.treatments().base(), struck),
                plan.pots());
        return this;
    }

    /** A factor of named levels, the first the control. */
    public static Factor factor(String name, FactorKind kind, String... levels) {
        List<Factor.Level> all = new ArrayList<>();
        for (String level : levels) {
            all.add(new Factor.Level(level, null, all.isEmpty()));
        }
        return new Factor(name, kind, UnitOfMeasure.COUNT, all, null, null);
    }

    /** A dose factor in percent, 0 the control. */
    public static Factor doses(@Nullable Double labelRate, @Nullable Double expectedEffect, double... doses) {
        List<Factor.Level> all = Arrays.stream(doses)
                .mapToObj(dose -> new Factor.Level(dose + " %", dose, dose == 0))
                .toList();
        return new Factor("Wood vinegar", FactorKind.DOSE, UnitOfMeasure.PERCENT, all, labelRate, expectedEffect);
    }

    public APlan replicates(int number) {
        plan = plan.with(plan.arrangement().withReplicates(number));
        return this;
    }

    public APlan laidOut(LayoutKind kind, Site... sites) {
        Arrangement a = plan.arrangement();
        plan = plan.with(new Arrangement(
                kind,
                a.replicates(),
                sites.length == 0 ? a.sites() : Arrays.asList(sites),
                true,
                1,
                false,
                0,
                a.seed(),
                List.of()));
        return this;
    }

    public APlan pots(Pots pots) {
        plan = plan.with(plan.treatments(), pots);
        return this;
    }

    public APlan asking(Question... questions) {
        plan = plan.with(new Asked(
                plan.question(),
                plan.asked().crop(),
                Arrays.asList(questions),
                plan.asked().measures()));
        return this;
    }

    public APlan ruled(Rules rules) {
        plan = plan.with(rules);
        return this;
    }

    /** Every endpoint better one way. */
    public APlan better(Direction way) {
        plan = plan.with(new Asked(
                plan.question(),
                plan.asked().crop(),
                plan.asked().questions(),
                plan.asked().measures().stream()
                        .map(measure -> measure.with(measure.rule(), measure.scorer(), measure.weight(), way))
                        .toList()));
        return this;
    }

    public static Question question(String endpoint) {
        return new Question(List.of(), 0, new EndpointCode(endpoint), Direction.HIGHER, 15, true, Stated.BEFORE_START);
    }

    public APlan endingTogether(Instant end, Duration... runs) {
        plan = plan.with(plan.schedule().endingTogether(end, Arrays.asList(runs)));
        return this;
    }

    public APlan steps(Recurring... steps) {
        plan = plan.with(plan.schedule()
                .with(
                        plan.schedule().looks(),
                        Arrays.asList(steps),
                        plan.schedule().hours()));
        return this;
    }

    public APlan hours(Hours hours) {
        plan = plan.with(
                plan.schedule().with(plan.schedule().looks(), plan.schedule().steps(), hours));
        return this;
    }

    public Plan plan() {
        return plan;
    }

    public TrialRecord drawn() {
        return plan.draw(new TrialId(1));
    }
}
