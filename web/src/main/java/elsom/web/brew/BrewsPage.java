package elsom.web.brew;

import elsom.core.brew.BrewCounts;
import elsom.core.brew.BrewFindings;
import elsom.core.brew.BrewReading;
import elsom.core.brew.FactorEffects;
import elsom.core.brew.Recipe;
import elsom.core.plan.Plan;
import elsom.core.stats.Interval;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import elsom.web.kit.Json;
import elsom.web.kit.Swatch;
import elsom.web.kit.Times;
import elsom.web.kit.TrialHeader;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * The brews of a trial.
 *
 * @param asks brews that met the stop rule and wait for an answer
 * @param ratios what each factor did to each count, for the script
 * @param course oxygen and temperature of every brew over its hours, for the script; empty before the first visit
 */
record BrewsPage(
        TrialHeader header,
        String base,
        List<RecipePage.Sheet> sheets,
        String water,
        List<BrewLine> brews,
        boolean started,
        List<String> asks,
        String course,
        List<String> visits,
        BrewFindings findings,
        String ratios,
        boolean counted,
        UUID token) {
    public boolean anyEnded() {
        return brews.stream().anyMatch(brew -> brew.ending() > 0);
    }

    private static final double SECONDS_AN_HOUR = 3600;

    /** A brew; {@code ending}: the number of the visit that ended it, 0 where none did. */
    record BrewLine(String code, Swatch swatch, String begun, String state, String useBy, boolean open, int ending) {}

    private record Panel(String label, List<Ratio> rows) {}

    private record Ratio(
            String count,
            double ratio,
            @Nullable Double low,
            @Nullable Double high,
            boolean shown) {}

    private record Drawn(double least, List<Line> lines) {}

    private record Line(String code, Swatch swatch, boolean stopped, List<Point> points) {}

    private record Point(
            double hours, @Nullable Double oxygen, @Nullable Double temperature) {}

    static BrewsPage of(TrialRecord record, Plan plan, String recipe, List<BrewReading> log, Instant now) {
        Recipe read = Recipe.kept(recipe);
        BrewFindings findings = BrewCounts.of(record, plan, log);
        List<String> asks = new ArrayList<>();
        log.stream()
                .filter(BrewReading::asks)
                .forEach(visit -> asks.add(visit.unit() + ": " + visit.whyStop().orElseThrow()));
        return new BrewsPage(
                TrialHeader.of(record, now, null),
                "/trials/" + record.trial().id() + "/brews",
                RecipePage.sheets(record, plan, read),
                read.water().map(RecipePage::water).orElse(""),
                record.benchOrder().stream()
                        .map(unit -> line(record, plan, log, unit))
                        .toList(),
                record.trial().started(),
                asks,
                log.isEmpty() ? "" : course(record, plan, log),
                log.stream()
                        .map(visit -> visit.unit() + ", " + VisitPage.line(record, visit))
                        .toList(),
                findings,
                ratios(findings),
                BrewCounts.any(record),
                UUID.randomUUID());
    }

    /** A panel for what each factor did: a line a count. */
    private static String ratios(BrewFindings findings) {
        Map<String, List<Ratio>> panels = new LinkedHashMap<>();
        for (BrewFindings.Count count : findings.counts()) {
            count.effects().stream()
                    .flatMap(effects -> effects.effects().stream())
                    .forEach(effect -> panels.computeIfAbsent(
                                    effect.factor().equals(FactorEffects.HOURS)
                                            ? "12 h longer"
                                            : effect.factor() + ": " + effect.level() + " beside " + effect.beside(),
                                    label -> new ArrayList<>())
                            .add(new Ratio(
                                    count.name(),
                                    effect.ratio(),
                                    effect.interval().map(Interval::low).orElse(null),
                                    effect.interval().map(Interval::high).orElse(null),
                                    effect.shown())));
        }
        return Json.of(panels.entrySet().stream()
                .map(panel -> new Panel(panel.getKey(), panel.getValue()))
                .toList());
    }

    /** When a brew is begun: treatments that end together begin apart. */
    static Instant begun(TrialRecord record, Plan plan, UnitCode code) {
        return plan.schedule().startOf(record.unit(code).orElseThrow().treatment());
    }

    private static BrewLine line(TrialRecord record, Plan plan, List<BrewReading> log, ExperimentalUnit unit) {
        List<BrewReading> own =
                log.stream().filter(visit -> visit.unit().equals(unit.code())).toList();
        BrewReading.@Nullable Decision decision = own.stream()
                .map(BrewReading::decision)
                .filter(one -> one != null)
                .reduce((earlier, later) -> later)
                .orElse(null);
        boolean ended = decision == BrewReading.Decision.DONE || decision == BrewReading.Decision.STOPPED;
        return new BrewLine(
                unit.code().value(),
                Swatch.of(record).get(unit.treatment() - 1),
                Times.dayAndTime(
                        begun(record, plan, unit.code()), record.trial().zone()),
                state(decision),
                own.stream()
                        .flatMap(visit -> visit.useBy().stream())
                        .reduce((earlier, later) -> later)
                        .map(at ->
                                "use by " + Times.dayAndTime(at, record.trial().zone()))
                        .orElse(""),
                !ended,
                own.stream()
                        .filter(BrewReading::ends)
                        .mapToInt(BrewReading::number)
                        .reduce(0, (earlier, later) -> later));
    }

    /** Whether something went into any of them. */
    static boolean anyBegun(TrialRecord record, Plan plan, List<BrewReading> log, Instant now) {
        return record.trial().started()
                && (!log.isEmpty()
                        || record.units().stream()
                                .anyMatch(unit ->
                                        !begun(record, plan, unit.code()).isAfter(now)));
    }

    static String state(BrewReading.@Nullable Decision decision) {
        if (decision == null) {
            return "";
        }
        return switch (decision) {
            case DONE -> "done";
            case STOPPED -> "stopped";
            case GOES_ON -> "goes on against the rule";
        };
    }

    private static String course(TrialRecord record, Plan plan, List<BrewReading> log) {
        List<Line> lines = new ArrayList<>();
        for (ExperimentalUnit unit : record.units()) {
            Instant begun = begun(record, plan, unit.code());
            List<BrewReading> own = log.stream()
                    .filter(visit -> visit.unit().equals(unit.code()))
                    .toList();
            lines.add(new Line(
                    unit.code().value(),
                    Swatch.of(record).get(unit.treatment() - 1),
                    own.stream().anyMatch(visit -> visit.decision() == BrewReading.Decision.STOPPED),
                    own.stream()
                            .map(visit -> new Point(
                                    Duration.between(begun, visit.at()).toSeconds() / SECONDS_AN_HOUR,
                                    visit.oxygen(),
                                    visit.temperature()))
                            .toList()));
        }
        return Json.of(new Drawn(BrewReading.LEAST_OXYGEN, lines));
    }
}
