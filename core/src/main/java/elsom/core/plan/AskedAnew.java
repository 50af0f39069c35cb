package elsom.core.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Questions of a plan whose treatments change: they go on being about what they named. A name that is gone is followed to
 * what stands in its place where it was only called otherwise, or to the level that is called so.
 */
public final class AskedAnew {
    private final Treatments before;
    private final Treatments after;

    private AskedAnew(Treatments before, Treatments after) {
        this.before = before;
        this.after = after;
    }

    /**
     * The plan with other treatments, and its questions by their new numbers.
     *
     * @throws IllegalArgumentException in words, if something that is asked about is gone
     */
    public static Plan with(Plan plan, Treatments after, Pots pots) {
        AskedAnew anew = new AskedAnew(plan.treatments(), after);
        Asked asked = plan.asked();
        List<Question> questions = new ArrayList<>();
        for (int i = 0; i < asked.questions().size(); i++) {
            questions.add(anew.question(asked.questions().get(i), i + 1));
        }
        return plan.with(after, pots).with(new Asked(asked.question(), asked.crop(), questions, asked.measures()));
    }

    /**
     * The plan with another schedule, and its questions by the new numbers of the looks they name.
     *
     * @throws IllegalArgumentException in words, if a look that is asked about is gone
     */
    public static Plan with(Plan plan, Schedule after) {
        List<String> was = names(plan.schedule());
        List<String> is = names(after);
        Asked asked = plan.asked();
        List<Question> questions = new ArrayList<>();
        for (Question question : asked.questions()) {
            int look = question.hypothesis().look();
            questions.add(look == 0 ? question : question.at(look(was, is, look, questions.size() + 1)));
        }
        return plan.with(after).with(new Asked(asked.question(), asked.crop(), questions, asked.measures()));
    }

    private static List<String> names(Schedule schedule) {
        return schedule.looks().stream().map(PlannedLook::name).toList();
    }

    /** By its name; one that is only called otherwise by its place. */
    private static int look(List<String> was, List<String> is, int look, int number) {
        String name = look <= was.size() ? was.get(look - 1) : "look " + look;
        if (is.contains(name)) {
            return is.indexOf(name) + 1;
        }
        if (was.size() == is.size() && look <= is.size() && !was.contains(is.get(look - 1))) {
            return look;
        }
        throw gone(number, name);
    }

    private Question question(Question question, int number) {
        Step step = question.hypothesis().step();
        if (step != null) {
            return made(question, List.of(), 0, followed(step, number));
        }
        List<Optional<Integer>> who =
                question.treatments().stream().map(this::number).toList();
        Optional<Integer> with = question.comparator() == 0 ? Optional.of(0) : number(question.comparator());
        if (with.isPresent() && who.stream().allMatch(Optional::isPresent)) {
            return made(question, who.stream().flatMap(Optional::stream).toList(), with.get(), null);
        }
        String named = question.treatments().stream().map(this::name).collect(Collectors.joining("; "));
        Optional<Step> level = question.hypothesis().claim().fixed()
                ? Optional.empty()
                : levels(named, question.comparator() == 0 ? "" : name(question.comparator()));
        return made(
                question,
                List.of(),
                0,
                level.orElseThrow(() -> gone(
                        number,
                        IntStream.concat(
                                        question.treatments().stream().mapToInt(Integer::intValue),
                                        IntStream.of(question.comparator()))
                                .filter(one -> one > 0 && number(one).isEmpty())
                                .mapToObj(this::name)
                                .collect(Collectors.joining("”, “")))));
    }

    private Optional<Step> levels(String who, String with) {
        try {
            return new NamedLevels(after).step(who, with);
        } catch (IllegalArgumentException ambiguous) {
            return Optional.empty();
        }
    }

    private static Question made(Question question, List<Integer> who, int with, @Nullable Step step) {
        Hypothesis stated = question.hypothesis();
        return new Question(
                who,
                with,
                question.endpoint(),
                question.direction(),
                question.matters(),
                question.inPercent(),
                question.stated(),
                new Hypothesis(stated.claim(), step, stated.figure(), stated.look(), stated.place()));
    }

    private String name(int number) {
        return number <= before.size() ? before.all().get(number - 1).name() : "treatment " + number;
    }

    /** The new number of a treatment; empty where it is gone. */
    private Optional<Integer> number(int number) {
        Optional<Integer> called = position(after, name(number));
        if (called.isPresent()
                || before.size() != after.size()
                || before.factors().size() != after.factors().size()) {
            return called;
        }
        // Only called otherwise: nothing that was there before stands in its place.
        boolean renamed = position(before, after.all().get(number - 1).name()).isEmpty();
        return renamed ? Optional.of(number) : Optional.empty();
    }

    private static Optional<Integer> position(Treatments among, String name) {
        return IntStream.rangeClosed(1, among.size())
                .filter(number -> among.all().get(number - 1).name().equalsIgnoreCase(name))
                .boxed()
                .findFirst();
    }

    private Step followed(Step step, int number) {
        if (step.factor() <= before.factors().size()
                && step.factor() <= after.factors().size()) {
            Factor was = before.factors().get(step.factor() - 1);
            Factor is = after.factors().get(step.factor() - 1);
            boolean same = was.levels().size() == is.levels().size();
            List<String> levels = step.levels().stream()
                    .flatMap(level -> level(was, is, level, same).stream())
                    .toList();
            Optional<String> beside = level(was, is, step.beside(), same);
            if (levels.size() == step.levels().size() && beside.isPresent() && !levels.contains(beside.get())) {
                return new Step(step.factor(), levels, beside.get());
            }
        }
        return levels(String.join("; ", step.levels()), step.beside())
                .orElseThrow(() -> gone(number, String.join("”, “", step.levels()) + "”, “" + step.beside()));
    }

    private static Optional<String> level(Factor was, Factor is, String name, boolean same) {
        List<String> names = is.levels().stream().map(Factor.Level::name).toList();
        if (names.contains(name)) {
            return Optional.of(name);
        }
        int at = was.levels().stream().map(Factor.Level::name).toList().indexOf(name);
        return same && at >= 0 ? Optional.of(names.get(at)) : Optional.empty();
    }

    private static IllegalArgumentException gone(int number, String names) {
        return new IllegalArgumentException(
                "Comparison " + number + " is about “" + names
                        + "”, which would be gone. Change it under “Question” first, or keep what it names; once a trial runs, both are frozen");
    }
}
