package elsom.core.protocol.dose;

import elsom.core.dose.DoseCurve;
import elsom.core.dose.DoseEffect;
import elsom.core.dose.WorkingRate;
import elsom.core.figure.FigureKind;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.section.Account;
import elsom.core.section.Section;
import elsom.core.section.Subject;
import elsom.core.stats.Outcome;
import elsom.core.trial.Look;
import elsom.core.trial.TrialRecord;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What a series of doses did to one endpoint.
 *
 * @param by what sort of doses they are
 * @param factor what was given, as the plan calls it
 * @param unit of doses
 * @param crop in the plan's words; empty when it says none
 * @param endsEarly what is to be said where the trial was looked at less long than such trials are; empty where it was not
 * @param lines one for each level of the other factors, such as a species
 */
public record DoseResult(
        FigureKind kind,
        By by,
        String factor,
        UnitOfMeasure unit,
        OptionalDouble labelRate,
        String crop,
        Look look,
        String endsEarly,
        List<Line> lines)
        implements Section {
    @Override
    public Subject subject() {
        return Subject.of(kind.code());
    }

    @Override
    public Account account(TrialRecord record) {
        return new DoseAccount(record, this).account();
    }

    /** What doses are of. */
    public enum By {
        STRENGTH("strength"),
        SHARE("share");

        private final String label;

        By(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /**
     * One series.
     *
     * @param name the level of the other factors; empty when there is one series only
     * @param atLooks its effect at each look so far, in order of time; the last is the one judged
     * @param rate to work with, by the last look
     * @param areas under each unit's course, for what was read at two looks or more
     * @param voided why nothing can be claimed of it; empty when its control is as it must be
     * @param limit the endpoint that allows less, and so sets the rate; empty when this one does
     */
    public record Line(
            String name,
            List<AtLook> atLooks,
            Outcome<WorkingRate> rate,
            List<Area> areas,
            Optional<String> voided,
            Optional<Limit> limit) {
        public Line {
            atLooks = List.copyOf(atLooks);
            areas = List.copyOf(areas);
        }

        public DoseEffect effect() {
            return atLooks.get(atLooks.size() - 1).effect();
        }

        /** The same with a rate that another endpoint sets. */
        Line limitedBy(Limit other) {
            return new Line(name, atLooks, other.rate(), areas, voided, Optional.of(other));
        }

        /** The rate with another safety factor than the usual one, unless there is none for another reason. */
        public Outcome<WorkingRate> rate(double factor) {
            return rate.then(usual -> WorkingRate.of(limit.map(Limit::effect).orElse(effect()), factor));
        }

        boolean isLast(AtLook at) {
            return at.equals(atLooks.get(atLooks.size() - 1));
        }
    }

    /** The endpoint that sets a rate, with what doses did to it. */
    public record Limit(FigureKind kind, DoseEffect effect, Outcome<WorkingRate> rate) {}

    /** The effect at a look, with the rate that a trial which ended there would have allowed. */
    public record AtLook(Look look, DoseEffect effect, Outcome<WorkingRate> rate) {}

    /** The mean area under the courses of a dose's units, in the endpoint's unit times days. */
    public record Area(double dose, double mean, int n) {}

    /**
     * How much stronger a dose must be in one series than in another for half the effect.
     *
     * @param ratio of the first's EC50 to the second's
     * @param low and {@code high}: its 95 % interval
     */
    public record Sensitivity(String first, String second, double ratio, double low, double high) {}

    public DoseResult {
        lines = List.copyOf(lines);
    }

    DoseResult with(List<Line> other) {
        return new DoseResult(kind, by, factor, unit, labelRate, crop, look, endsEarly, other);
    }

    /** A dose with its unit: "0.5 %". */
    public String dose(double dose) {
        return (Decimals.threeDigits(dose) + " " + unit.symbol()).strip();
    }

    /** Half the effect, where both ends of its interval are known. */
    private static Optional<DoseCurve.Effective> half(Line line) {
        return line.effect()
                .effective(50)
                .filter(found -> found.interval95().low() > 0
                        && Double.isFinite(found.interval95().high()));
    }

    /** The first two series compared by their EC50; empty where one has none. */
    public Optional<Sensitivity> sensitivity() {
        if (lines.size() < 2) {
            return Optional.empty();
        }
        return half(lines.get(0))
                .flatMap(one -> half(lines.get(1)).map(other -> {
                    // Errors of logarithms add as squares: half widths of both intervals are on that scale.
                    double half = Math.hypot(
                            Math.log(one.interval95().high() / one.dose()),
                            Math.log(other.interval95().high() / other.dose()));
                    double ratio = one.dose() / other.dose();
                    return new Sensitivity(
                            lines.get(0).name(),
                            lines.get(1).name(),
                            ratio,
                            ratio * Math.exp(-half),
                            ratio * Math.exp(half));
                }));
    }
}
