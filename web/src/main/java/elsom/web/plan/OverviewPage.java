package elsom.web.plan;

import elsom.core.flag.Flag;
import elsom.core.notebook.Notebook;
import elsom.core.plan.Amendment;
import elsom.core.plan.Plan;
import elsom.core.plan.PlanOrigin;
import elsom.core.plan.check.PlanCheck;
import elsom.core.protocol.Protocol;
import elsom.core.quantity.Decimals;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.Treatment;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.BenchMap;
import elsom.web.kit.Swatch;
import elsom.web.kit.Times;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * The whole plan on a page: what was drawn, what goes into what, when to look, what it can't answer; and its start.
 *
 * @param looksFrom when the start is planned, which looks count from
 * @param offersNow whether that is not now, so that a start now may want looks to count from now
 */
record OverviewPage(
        PlanFrame frame,
        BenchMap map,
        List<FillLine> fillings,
        List<LookLine> looks,
        List<Pages.Sentence> questions,
        List<Flag> flags,
        List<AmendmentLine> amendments,
        String drawnHow,
        String looksFrom,
        boolean offersNow,
        String problem,
        boolean blind,
        boolean hidden,
        String originText,
        String originHref,
        String nextHref,
        String nextLabel) {

    private static final Duration ON_TIME = Duration.ofMinutes(30);

    /** What one treatment's units are. */
    record FillLine(Swatch swatch, String mix, String container, String volume, String units, String codes) {}

    /** One look with what to do before it. */
    record LookLine(String name, String when, String step, boolean done) {}

    /** A change after the start. */
    record AmendmentLine(int number, String when, String station, String reason, List<String> changes) {
        static AmendmentLine of(Amendment amendment, TrialRecord record) {
            return new AmendmentLine(
                    amendment.number(),
                    Times.dayAndTime(amendment.at(), record.trial().zone()),
                    amendment.station(),
                    amendment.reason(),
                    amendment.changes());
        }
    }

    static OverviewPage of(
            PlanFrame frame,
            TrialRecord record,
            Plan plan,
            Protocol protocol,
            List<Amendment> amendments,
            Optional<TrialRecord> earlier,
            Instant now) {
        Instant start = record.trial().start();
        String bench = "/trials/" + record.trial().id() + "/bench";
        boolean started = record.trial().started();
        boolean hidden = started && record.trial().blind();
        return new OverviewPage(
                frame,
                plan.copied() && !Notebook.takenUp(record)
                        ? new BenchMap(List.of())
                        : BenchMap.whole(record, unit -> face(record, unit)),
                hidden
                        ? List.of()
                        : record.treatments().stream()
                                .map(t -> line(record, t, plan.copied()))
                                .toList(),
                record.looks().stream()
                        .map(look -> look(record, protocol, look))
                        .toList(),
                plan.asked().questions().stream()
                        .map(q -> Pages.Sentence.of(plan, q))
                        .toList(),
                PlanCheck.of(plan),
                amendments.stream().map(a -> AmendmentLine.of(a, record)).toList(),
                how(plan, !Notebook.takenUp(record)),
                Times.dayAndTime(start, record.trial().zone()) + " (" + Times.away(start, now) + ")",
                !plan.schedule().endsTogether()
                        && Duration.between(start, now).abs().compareTo(ON_TIME) > 0,
                plan.layoutProblem().orElse(""),
                plan.rules().blind(),
                hidden,
                origin(plan),
                earlier.map(before -> "/trials/" + before.trial().id()).orElse(""),
                bench,
                record.nextLook().map(look -> "Go to the bench: " + look.name()).orElse("Look at the bench"));
    }

    private static String how(Plan plan, boolean nowhere) {
        if (plan.copied() && !nowhere) {
            return "Units stay where they stood when the trial was taken up; whether places were drawn at random was not written down.";
        }
        if (plan.copied()) {
            return "Copied from a notebook: where units stood, and whether places were drawn at random, was not written down.";
        }
        int moved = plan.arrangement().moves().size();
        return plan.arrangement().kind().label() + ": "
                + plan.arrangement().kind().purpose()
                + (plan.rules().blind()
                        ? " Drawn from a seed that is told once it is unblinded"
                        : " Drawn from seed " + plan.arrangement().seed())
                + (moved == 0 ? "." : "; " + moved + (moved == 1 ? " unit" : " units") + " moved by hand.");
    }

    private static String origin(Plan plan) {
        PlanOrigin origin = plan.origin();
        return origin == null ? "" : "From “" + origin.question() + "”: " + origin.change() + ".";
    }

    private static BenchMap.Face face(TrialRecord record, ExperimentalUnit unit) {
        boolean lost = record.ended(unit.code()).isPresent();
        String base = "/trials/" + record.trial().id();
        return new BenchMap.Face(
                record.treatment(unit).code(),
                lost ? BenchMap.State.LOST : BenchMap.State.DONE,
                base + (record.trial().started() ? "/bench?unit=" + unit.code() : "/plan/bench"));
    }

    private static FillLine line(TrialRecord record, Treatment treatment, boolean copied) {
        List<ExperimentalUnit> units = record.units().stream()
                .filter(unit -> unit.treatment() == treatment.number())
                .toList();
        String codes = units.stream().map(unit -> unit.code().value()).sorted().collect(Collectors.joining(" "));
        if (copied) {
            return new FillLine(
                    Swatch.of(treatment),
                    treatment.material().equals(treatment.name()) ? "" : treatment.material(),
                    "not written down",
                    "",
                    String.valueOf(units.size()),
                    codes);
        }
        String volume = units.isEmpty() ? "" : Decimals.upTo(units.get(0).filledVolumeMl(), 0) + " mL";
        double litres =
                units.stream().mapToDouble(ExperimentalUnit::filledVolumeMl).sum() / 1000;
        return new FillLine(
                Swatch.of(treatment),
                treatment.material().equals(treatment.name()) ? "" : treatment.material(),
                units.isEmpty() ? "" : units.get(0).container(),
                volume,
                units.isEmpty() ? "" : units.size() + " × " + volume + " = " + Decimals.upTo(litres, 1) + " L",
                codes);
    }

    private static LookLine look(TrialRecord record, Protocol protocol, Look look) {
        String what = look.endpoints().stream()
                .map(code -> record.endpoint(code).name())
                .collect(Collectors.joining(", "));
        boolean done = record.trial().started() && record.progress(look).complete();
        return new LookLine(
                look.name(),
                Times.dayAndTime(
                        look.plannedAt(record.trial().start()), record.trial().zone()),
                protocol.stepBefore(record, look).name() + ": " + what + (done ? " · done" : ""),
                done);
    }
}
