package elsom.web.plan;

import elsom.core.plan.Need;
import elsom.core.plan.Needs;
import elsom.core.plan.Plan;
import elsom.core.protocol.Protocol;
import elsom.core.protocol.Step;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.TrialRecord;
import elsom.core.working.Term;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** What to get, what to do before the start, and when the answer will hold. */
record ReadyPage(PlanFrame frame, List<Group> groups, List<Step> steps, List<String> validity) {
    /** Things of one sort. */
    record Group(String title, List<Line> lines) {}

    /** One thing, with how its amount was worked out. */
    record Line(
            String name,
            String forWhat,
            String amount,
            String unit,
            String formula,
            List<Term> terms,
            List<String> steps) {}

    static ReadyPage of(PlanFrame frame, TrialRecord record, Plan plan, Protocol protocol) {
        List<Need> needs = record.units().isEmpty() ? List.of() : Needs.of(plan, record);
        return new ReadyPage(
                frame,
                Arrays.stream(Need.Kind.values())
                        .map(kind -> new Group(
                                kind.label(),
                                needs.stream()
                                        .filter(need -> need.kind() == kind)
                                        .map(ReadyPage::line)
                                        .toList()))
                        .filter(group -> !group.lines().isEmpty())
                        .toList(),
                steps(protocol),
                protocol.validity());
    }

    private static Line line(Need need) {
        int decimals = need.unit() == UnitOfMeasure.COUNT ? 0 : need.amount() < 10 ? 2 : 1;
        return new Line(
                need.name(),
                need.forWhat().isEmpty() ? "" : "for " + need.forWhat(),
                Decimals.upTo(need.amount(), decimals),
                need.unit().symbol(),
                need.working().formula(),
                need.working().terms(),
                need.working().steps());
    }

    /** The protocol's own steps, and what goes for all. */
    private static List<Step> steps(Protocol protocol) {
        List<Step> steps = new ArrayList<>(protocol.preparation());
        steps.add(new Step(
                "On the day",
                List.of(
                        "Calibrate or check every instrument; write down with what.",
                        "Clean blades, scoops and hands between treatments, the clean ones first.",
                        "Put every unit on its place on the map, and check three codes against it."),
                List.of()));
        return steps;
    }
}
