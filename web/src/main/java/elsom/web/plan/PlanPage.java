package elsom.web.plan;

import elsom.core.protocol.Protocol;
import elsom.core.protocol.Protocols;
import elsom.core.protocol.Step;
import elsom.core.quantity.Decimals;
import elsom.core.trial.Container;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.Treatment;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.BenchMap;
import elsom.web.kit.Swatch;
import elsom.web.kit.Times;
import elsom.web.kit.TrialHeader;
import java.time.Instant;
import java.util.List;
import java.util.stream.Collectors;

/** The drawn layout, what to fill into what, and when to look. */
record PlanPage(
        TrialHeader header,
        BenchMap map,
        List<FillLine> fillings,
        List<LookLine> looks,
        String drawnFrom,
        String drawnHow,
        String nextHref,
        String nextLabel) {

    /** What one treatment's units are. */
    record FillLine(Swatch swatch, String kind, String container, String volume, String units, String codes) {}

    /** One look with what to do before it. */
    record LookLine(String name, String when, Step step, boolean done) {}

    static PlanPage of(TrialRecord record, Instant now) {
        Protocol protocol = Protocols.find(record.trial().protocol()).orElseThrow();
        String bench = "/trials/" + record.trial().id() + "/bench";
        return new PlanPage(
                TrialHeader.of(record, now, TrialHeader.Step.PLAN),
                BenchMap.of(record, unit -> face(record, unit, bench)),
                record.treatments().stream().map(t -> line(record, t)).toList(),
                record.looks().stream()
                        .map(look -> look(record, protocol, look))
                        .toList(),
                "seed " + record.trial().seed(),
                "Every row is a block with each treatment once, in an order drawn by lot.",
                bench,
                record.nextLook().map(look -> "Go to the bench: " + look.name()).orElse("Look at the bench"));
    }

    private static BenchMap.Face face(TrialRecord record, ExperimentalUnit unit, String bench) {
        boolean lost = record.ended(unit.code()).isPresent();
        return new BenchMap.Face(
                record.treatment(unit).code(),
                lost ? BenchMap.State.LOST : BenchMap.State.DONE,
                bench + "?unit=" + unit.code());
    }

    private static FillLine line(TrialRecord record, Treatment treatment) {
        List<ExperimentalUnit> units = record.units().stream()
                .filter(unit -> unit.treatment() == treatment.number())
                .toList();
        Container container = record.container(units.get(0));
        double volume = units.get(0).filledVolumeMl();
        return new FillLine(
                Swatch.of(treatment),
                treatment.kind(),
                container.name(),
                Decimals.upTo(volume, 0) + " mL",
                units.size() + " × = " + Decimals.upTo(units.size() * volume / 1000, 1) + " L",
                units.stream().map(unit -> unit.code().value()).sorted().collect(Collectors.joining(" ")));
    }

    private static LookLine look(TrialRecord record, Protocol protocol, Look look) {
        return new LookLine(
                look.name(),
                Times.dayAndTime(
                        look.plannedAt(record.trial().start()), record.trial().zone()),
                protocol.stepBefore(record, look),
                record.progress(look).complete());
    }
}
