package elsom.core.plan;

import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Typed;
import elsom.core.trial.ControlKind;
import elsom.core.trial.Endpoint;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Makes a question of what was typed for its parts. */
public final class QuestionReader {
    private final NamedTreatments treatments;
    private final NamedLevels levels;

    /**
     * The parts of a question as typed.
     *
     * @param who treatments or levels; nothing for all others
     * @param with what they are held against: a treatment, a level, or a figure; nothing for the control
     * @param matters the smallest difference that matters; nothing when nobody knows
     * @param look number of the look it is about; 0 for the newest
     */
    public record Parts(
            Measure measure, Claim claim, String who, String with, String matters, int look, Hypothesis.Place place) {}

    private record Matters(double amount, boolean percent) {}

    /**
     * A reader.
     *
     * @param treatments collects treatments that are made by naming them
     */
    public QuestionReader(Treatments planned, NamedTreatments treatments) {
        this.treatments = treatments;
        this.levels = new NamedLevels(planned);
    }

    /**
     * The question.
     *
     * @throws IllegalArgumentException in words, with what would be accepted
     */
    public Question read(Parts typed, Stated stated) {
        Claim claim = typed.claim();
        Direction direction = claim == Claim.AS_GOOD ? better(typed.measure()) : claim.direction();
        Matters matters = matters(typed.matters(), typed.measure());
        if (claim.fixed()) {
            return made(
                    typed, numbers(typed.who(), ControlKind.NONE), 0, null, figure(typed), matters, direction, stated);
        }
        Optional<Step> step = levels.step(typed.who(), typed.with());
        if (step.isPresent()) {
            return made(typed, List.of(), 0, step.get(), null, matters, direction, stated);
        }
        // The comparator first: what a question makes of nothing begins with what the others are compared with.
        List<Integer> with = numbers(typed.with(), ControlKind.CONTROL);
        if (with.size() > 1) {
            throw new IllegalArgumentException(
                    "One treatment to compare with, or nothing for the control. Accepted: A.");
        }
        List<Integer> who = numbers(typed.who(), ControlKind.NONE);
        return made(typed, who, with.isEmpty() ? 0 : with.get(0), null, null, matters, direction, stated);
    }

    private List<Integer> numbers(String typed, ControlKind control) {
        return treatments.numbers(typed, control);
    }

    private static Question made(
            Parts typed,
            List<Integer> who,
            int with,
            @Nullable Step step,
            @Nullable Double figure,
            Matters matters,
            Direction direction,
            Stated stated) {
        return new Question(
                who,
                with,
                typed.measure().endpoint().code(),
                direction,
                matters.amount(),
                matters.percent(),
                stated,
                new Hypothesis(typed.claim(), step, figure, typed.look(), typed.place()));
    }

    private static Direction better(Measure measure) {
        if (measure.better() == Direction.EITHER) {
            throw new IllegalArgumentException("“as good” needs to know which way is better: say it for "
                    + measure.endpoint().name() + " under “How it is measured”.");
        }
        return measure.better();
    }

    private static Double figure(Parts typed) {
        UnitOfMeasure unit = typed.measure().endpoint().unit();
        if (Typed.parse(typed.with(), unit) instanceof Typed.Understood understood) {
            double figure = understood.stored().value();
            Endpoint endpoint = typed.measure().endpoint();
            if (figure < endpoint.lowest() || figure > endpoint.highest()) {
                throw new IllegalArgumentException(endpoint.name() + " can't be “" + typed.with() + "”: it runs from "
                        + Decimals.upTo(endpoint.lowest(), 6) + " to " + Decimals.upTo(endpoint.highest(), 6)
                        + ". Accepted: a figure between them.");
            }
            return figure;
        }
        throw new IllegalArgumentException("“" + typed.claim().label() + "” is followed by a figure; “" + typed.with()
                + "” is none. Accepted: " + ("5.4 " + unit.symbol()).strip() + ".");
    }

    /** "15 %" of the comparator, or an amount in the endpoint's unit. An endpoint in percent takes percent as its unit. */
    private static Matters matters(String text, Measure measure) {
        if (text.isEmpty()) {
            return new Matters(0, false);
        }
        UnitOfMeasure unit = measure.endpoint().unit();
        boolean percent = text.endsWith("%") && unit != UnitOfMeasure.PERCENT;
        if (Typed.parse(text, percent ? UnitOfMeasure.PERCENT : unit) instanceof Typed.Understood understood
                && understood.stored().value() > 0) {
            return new Matters(understood.stored().value(), percent);
        }
        throw new IllegalArgumentException("“" + text
                + "”: the smallest difference that would matter to you, above 0. Accepted: 15 %, or 2 " + unit.symbol()
                + ".");
    }
}
