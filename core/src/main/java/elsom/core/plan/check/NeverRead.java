package elsom.core.plan.check;

import elsom.core.flag.Flag;
import elsom.core.plan.Measure;
import elsom.core.plan.Plan;
import elsom.core.plan.Question;
import elsom.core.quantity.Sentence;
import elsom.core.trial.EndpointCode;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** What no look takes is never read. */
final class NeverRead implements PlanRule {
    @Override
    public void check(Plan plan, Noted noted) {
        Set<EndpointCode> asked =
                plan.asked().questions().stream().map(Question::endpoint).collect(Collectors.toSet());
        plan.asked().measures().stream()
                .filter(measure -> !measure.endpoint().measured())
                .filter(measure -> asked.contains(measure.endpoint().code()) || measure.weight() > 0)
                .forEach(measure -> noted.flag(
                        Flag.Severity.WRONG,
                        Sentence.inside(measure.endpoint().name()) + " is written in words and can't be compared.",
                        "Words have no mean and no scatter, so the question would never be answered.",
                        "Score it with anchors, or put the units in order of it."));
        Map<Boolean, List<Measure>> unread = plan.unread().stream()
                .collect(Collectors.partitioningBy(
                        measure -> asked.contains(measure.endpoint().code())));
        unread.getOrDefault(true, List.of())
                .forEach(measure -> noted.flag(
                        Flag.Severity.WRONG,
                        "No look takes " + lower(measure) + ", which is asked about.",
                        "It would never be read, and the question never answered.",
                        "Tick it at a look under “Dates and care”, or ask about something that is read."));
        unread.getOrDefault(false, List.of()).stream()
                .filter(measure -> measure.weight() > 0)
                .forEach(measure -> noted.flag(
                        Flag.Severity.CAUTION,
                        "No look takes " + lower(measure) + ", which has a weight.",
                        "The ranking by all together would lack it.",
                        "Tick it at a look under “Dates and care”, or take its weight away."));
    }

    private static String lower(Measure measure) {
        return Sentence.inside(measure.endpoint().name());
    }
}
