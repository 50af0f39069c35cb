package elsom.core.results;

import elsom.core.analysis.Observations;
import elsom.core.flag.Scene;
import elsom.core.plan.Measure;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Sentence;
import elsom.core.stats.Interval;
import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Look;
import java.time.Duration;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * What must hold of a trial before anything of it is claimed: what its control shows, and until when it is looked at.
 *
 * @param expected what the control's mean of an endpoint must be
 * @param grows endpoints of which the control must have more at the last look than at the first
 * @param until when a trial of this kind looks at an endpoint last, after its start
 */
public record Validity(
        Map<EndpointCode, Scene.Expected> expected, Map<EndpointCode, Duration> until, Set<EndpointCode> grows) {
    private static final Duration A_WHILE = Duration.ofHours(12);
    private static final double HOURS_A_DAY = 24;

    public Validity {
        expected = Map.copyOf(expected);
        until = Map.copyOf(until);
        grows = Set.copyOf(grows);
    }

    public Optional<Scene.Expected> expected(Measure measure) {
        return Optional.ofNullable(expected.get(measure.endpoint().code()));
    }

    /**
     * Why nothing can be claimed of what is held against some controls, as a sentence without its stop; empty when they are
     * as they must be, or were not read.
     *
     * @param controls their indexes among the trial's treatments
     */
    public Optional<String> failed(Evidence evidence, Collection<Integer> controls) {
        return evidence.measured().stream()
                .filter(measure -> expected.containsKey(measure.endpoint().code()))
                .flatMap(measure -> failed(evidence, measure, controls).stream())
                .findFirst()
                .or(() -> evidence.measured().stream()
                        .filter(measure -> grows.contains(measure.endpoint().code()))
                        .flatMap(measure -> stoodStill(evidence, measure, controls).stream())
                        .findFirst());
    }

    /**
     * What an endpoint's control must come to at the look it is judged at: what is asked of such a trial, or, of what grows, more
     * than at the first look.
     */
    public Optional<Scene.Expected> mustBe(Evidence evidence, Measure measure) {
        return expected(measure)
                .or(() -> grows.contains(measure.endpoint().code())
                        ? beyondTheFirst(evidence, measure)
                        : Optional.empty());
    }

    private static Optional<Scene.Expected> beyondTheFirst(Evidence evidence, Measure measure) {
        List<Look> looks = evidence.looksOf(measure.endpoint().code());
        if (looks.size() < 2) {
            return Optional.empty();
        }
        List<Integer> controls = IntStream.range(
                        0, evidence.record().treatments().size())
                .filter(arm -> evidence.record().treatments().get(arm).isControl())
                .boxed()
                .toList();
        OptionalDouble first = mean(UnitValues.of(evidence, measure, looks.get(0), Optional.empty()), controls);
        return first.isEmpty()
                ? Optional.empty()
                : Optional.of(new Scene.Expected(
                        new Interval(Math.nextUp(first.getAsDouble()), Double.MAX_VALUE),
                        "its plants must grow, and its "
                                + Sentence.inside(measure.endpoint().name()) + " came to no more than at “"
                                + looks.get(0).name() + "”, " + Decimals.upTo(first.getAsDouble(), 1)));
    }

    /** What is said of a control that did not grow from the first look at which it was measured to the last. */
    private static Optional<String> stoodStill(Evidence evidence, Measure measure, Collection<Integer> controls) {
        List<Look> looks = evidence.looksOf(measure.endpoint().code());
        if (looks.size() < 2) {
            return Optional.empty();
        }
        Look first = looks.get(0);
        Look last = looks.get(looks.size() - 1);
        OptionalDouble before = mean(UnitValues.of(evidence, measure, first, Optional.empty()), controls);
        OptionalDouble after = mean(UnitValues.of(evidence, measure, last, Optional.empty()), controls);
        return before.isPresent() && after.isPresent() && after.getAsDouble() <= before.getAsDouble()
                ? Optional.of("the control failed: its plants must grow; its "
                        + Sentence.inside(measure.endpoint().name()) + " came to "
                        + Decimals.upTo(after.getAsDouble(), 1) + " at “" + last.name() + "”, from "
                        + Decimals.upTo(before.getAsDouble(), 1) + " at “" + first.name() + "”")
                : Optional.empty();
    }

    private Optional<String> failed(Evidence evidence, Measure measure, Collection<Integer> controls) {
        Scene.Expected must = expected(measure).orElseThrow();
        Optional<Look> look = evidence.lookOf(measure.endpoint().code());
        OptionalDouble mean = look.isEmpty()
                ? OptionalDouble.empty()
                : mean(UnitValues.of(evidence, measure, look.get(), Optional.empty()), controls);
        if (mean.isEmpty()
                || (mean.getAsDouble() >= must.range().low()
                        && mean.getAsDouble() <= must.range().high())) {
            return Optional.empty();
        }
        Endpoint endpoint = evidence.record().endpoint(measure.endpoint().code());
        return Optional.of("the control failed: " + must.sentence() + "; it came to "
                + (endpoint.among() > 0
                        ? Decimals.percent(mean.getAsDouble(), 0) + " %"
                        : Decimals.upTo(mean.getAsDouble(), 1))
                + " at “" + look.get().name() + "”");
    }

    private static OptionalDouble mean(Observations seen, Collection<Integer> controls) {
        return seen.seen().stream()
                .filter(unit -> controls.contains(unit.arm()))
                .mapToDouble(unit -> unit.value().inSums())
                .filter(Double::isFinite)
                .average();
    }

    /** Why a rate would be too early at a look, as a sentence without its stop; empty at the last that is planned. */
    public Optional<String> tooEarly(Evidence evidence, EndpointCode code, Look at) {
        Look last = last(evidence, code).orElse(at);
        if (last.number() <= at.number()) {
            return Optional.empty();
        }
        return Optional.of("The last look, “" + last.name() + "”, is still to come"
                + (until.containsKey(code) ? ": harm of this kind often shows after a week" : ""));
    }

    /** What is to be said of a trial whose last look comes sooner than such trials have it; empty where it does not. */
    public Optional<String> endsEarly(Evidence evidence, EndpointCode code) {
        Duration usual = until.get(code);
        return usual == null
                ? Optional.empty()
                : last(evidence, code)
                        .filter(last -> last.afterStart().plus(A_WHILE).compareTo(usual) < 0)
                        .map(last -> "It was looked at until day " + days(last.afterStart()) + ", not until day "
                                + days(usual) + ": harm of this kind often shows after a week.");
    }

    private static String days(Duration after) {
        return Decimals.upTo(after.toHours() / HOURS_A_DAY, 1);
    }

    /** The last look at which it is read: one that was skipped ends the trial sooner. */
    private static Optional<Look> last(Evidence evidence, EndpointCode code) {
        return evidence.record().looks().stream()
                .filter(look -> look.endpoints().contains(code)
                        && evidence.record().skipped(look.number(), code).isEmpty())
                .reduce((a, b) -> b);
    }
}
