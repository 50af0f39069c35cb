package elsom.core.plan;

import elsom.core.quantity.Spans;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;

/**
 * What differs between a started trial's plan and a changed one.
 *
 * @param changes a sentence each, of what may change with a reason
 * @param frozen a sentence each, of what may not change after the start
 */
public record PlanChanges(List<String> changes, List<String> frozen) {
    public PlanChanges {
        changes = List.copyOf(changes);
        frozen = List.copyOf(frozen);
    }

    public static PlanChanges between(Plan before, Plan after) {
        List<String> changes = new ArrayList<>();
        List<String> frozen = new ArrayList<>();
        if (!before.treatments().equals(after.treatments())) {
            frozen.add("Treatments are frozen since the start.");
        }
        if (!before.arrangement().equals(after.arrangement())) {
            frozen.add("The layout is frozen since the start.");
        }
        if (!before.pots().equals(after.pots())) {
            frozen.add("Containers, filling and sowing are frozen since the start.");
        }
        if (before.rules().blind() != after.rules().blind()) {
            frozen.add("Whether a trial is blind is settled before the start; unblinding is a step of its own.");
        }
        if (!before.schedule().start().equals(after.schedule().start())
                || !Objects.equals(before.schedule().end(), after.schedule().end())
                || !before.schedule().runs().equals(after.schedule().runs())) {
            frozen.add("The start is in the past; it can't change.");
        }
        asked(before, after, changes, frozen);
        schedule(before.schedule(), after.schedule(), changes);
        if (before.rules().watering() != after.rules().watering()) {
            changes.add("Watering changed from “" + before.rules().watering().label() + "” to “"
                    + after.rules().watering().label() + "”.");
        }
        if (before.rules().refillFraction() != after.rules().refillFraction()) {
            changes.add("The refill weight's share of water changed.");
        }
        return new PlanChanges(changes, frozen);
    }

    private static void asked(Plan before, Plan after, List<String> changes, List<String> frozen) {
        if (before.rules().mayEndEarly() != after.rules().mayEndEarly()) {
            frozen.add(
                    "Whether it may end early is frozen since the start: who decides that after a look is wrong more often.");
        }
        if (!before.question().equals(after.question())
                || !before.asked().crop().equals(after.asked().crop())) {
            frozen.add("The question and the crop are frozen since the start; add a comparison instead.");
        }
        List<Question> old = before.asked().questions();
        if (old.size() > after.asked().questions().size()
                || !old.equals(after.asked().questions().subList(0, old.size()))) {
            frozen.add("Comparisons stated before can't be changed or taken back; later ones are added below them.");
        } else {
            after.asked()
                    .questions()
                    .subList(old.size(), after.asked().questions().size())
                    .forEach(added -> changes.add("Comparison added: " + added.sentence(after)));
        }
        for (Measure measure : after.asked().measures()) {
            before.asked()
                    .measure(measure.endpoint().code())
                    .ifPresentOrElse(
                            was -> measure(was, measure, changes),
                            () -> changes.add(
                                    "Endpoint added: " + measure.endpoint().name() + "."));
        }
        before.asked().measures().stream()
                .filter(was -> after.asked().measure(was.endpoint().code()).isEmpty())
                .forEach(was -> frozen.add("“" + was.endpoint().name() + "” can't be taken out after the start."));
    }

    private static void measure(Measure was, Measure is, List<String> changes) {
        if (!was.rule().equals(is.rule())) {
            changes.add("How " + was.endpoint().name() + " is measured changed from “" + was.rule() + "” to “"
                    + is.rule() + "”.");
        }
        if (!was.scorer().equals(is.scorer())) {
            changes.add("Who measures " + was.endpoint().name() + " changed to " + is.scorer() + ".");
        }
        if (was.better() != is.better()) {
            changes.add("Which way " + was.endpoint().name() + " is better changed from “"
                    + was.better().label() + "” to “" + is.better().label() + "”.");
        }
        if (was.weight() != is.weight()) {
            changes.add("The weight of " + was.endpoint().name() + " in the ranking changed from " + was.weight()
                    + " to " + is.weight() + ".");
        }
    }

    private static void schedule(Schedule before, Schedule after, List<String> changes) {
        List<PlannedLook> gone = new ArrayList<>(before.looks());
        gone.removeAll(after.looks());
        List<PlannedLook> come = new ArrayList<>(after.looks());
        come.removeAll(before.looks());
        gone.forEach(look -> changes.add("Look “" + look.name() + "” at " + when(look) + " dropped or changed."));
        come.forEach(look -> changes.add("Look “" + look.name() + "” at " + when(look) + " planned."));
        if (!before.steps().equals(after.steps())) {
            changes.add("Recurring steps changed.");
        }
        if (!before.hours().equals(after.hours())) {
            changes.add("Working hours or days away changed.");
        }
    }

    private static String when(PlannedLook look) {
        return Spans.words(look.after().toSeconds() / 3600.0);
    }
}
