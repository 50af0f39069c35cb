package elsom.web.trial;

import elsom.core.protocol.Protocol;
import elsom.core.protocol.Protocols;
import elsom.core.quantity.Decimals;
import elsom.core.trial.Bench;
import elsom.core.trial.TreatmentProperty;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.Swatch;
import elsom.web.kit.TimeBar;
import elsom.web.kit.Times;
import elsom.web.kit.TrialHeader;
import java.time.Instant;
import java.util.List;
import java.util.stream.Collectors;

/** What a trial asks, of what, and how it is kept fair. */
record QuestionPage(
        TrialHeader header,
        String protocol,
        String purpose,
        List<Line> treatments,
        List<Fact> facts,
        String next,
        String nextHref,
        String nextLabel) {

    /** One treatment. */
    record Line(Swatch swatch, String kind, String control, String organicMatter) {}

    /** One thing that was settled before the start. */
    record Fact(String name, String value, String why) {}

    static QuestionPage of(TrialRecord record, Instant now) {
        Protocol protocol = Protocols.find(record.trial().protocol()).orElseThrow();
        boolean done = record.nextLook().isEmpty();
        String base = "/trials/" + record.trial().id();
        return new QuestionPage(
                TrialHeader.of(record, now, TrialHeader.Step.QUESTION),
                protocol.name(),
                protocol.purpose(),
                record.treatments().stream()
                        .map(t -> new Line(
                                Swatch.of(t),
                                t.kind(),
                                t.isControl() ? t.control().label() : "",
                                t.property(TreatmentProperty.ORGANIC_MATTER).isPresent()
                                        ? Decimals.percent(
                                                        t.property(TreatmentProperty.ORGANIC_MATTER)
                                                                .getAsDouble(),
                                                        0)
                                                + " %"
                                        : ""))
                        .toList(),
                facts(record),
                TimeBar.of(record, now, 0).summary(),
                done ? base + "/findings" : base + "/bench",
                done ? "Read the findings" : "Go to the bench");
    }

    private static List<Fact> facts(TrialRecord record) {
        int replicates =
                record.units().stream().mapToInt(u -> u.replicate()).max().orElse(0);
        String refill = Decimals.percent(record.trial().refillFraction(), 0) + " % of the water held after draining";
        return List.of(
                new Fact(
                        "Units",
                        record.units().size() + " · " + replicates + " of each treatment"
                                + (record.benches().size() > 1 ? " in each place" : ""),
                        "what was randomised; statistics count these"),
                new Fact(
                        "Places",
                        record.benches().stream().map(Bench::name).collect(Collectors.joining(", ")),
                        "every treatment stands in each"),
                new Fact(
                        "Watering",
                        record.trial().watering().label(),
                        record.trial().watering().consequence()),
                new Fact("Due for water at", refill, "the refill weight"),
                new Fact(
                        "Start",
                        Times.dayAndTime(record.trial().start(), record.trial().zone()),
                        "end of draining; " + record.trial().zone()));
    }
}
