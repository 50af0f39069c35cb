package elsom.core.results;

import elsom.core.analysis.Answer;
import elsom.core.analysis.Comparison;
import elsom.core.analysis.EndpointKind;
import elsom.core.analysis.MainEffect;
import elsom.core.figure.FigureKind;
import elsom.core.plan.Direction;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Sentence;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.results.Verdict.Firmness;
import elsom.core.stats.Interval;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Answers as sentences a person can repeat: what, how much, with its interval, at which look, in which units. */
public final class Wording {
    private static final int MOST_PAIRS_NAMED = 3;
    private static final int MOST_NAMED = 8;

    static final String REPEAT = "One trial, one lot: repeat it before you rely on it.";
    static final List<Answer> CLEAR_FIRST = List.of(Answer.values());

    private final JudgedQuestion question;
    private final FigureKind kind;

    private Wording(JudgedQuestion question) {
        this.question = question;
        this.kind = question.kind();
    }

    /** The answer of a question. */
    public static Verdict of(JudgedQuestion question) {
        return soFar(question, new Wording(question).verdict());
    }

    /** Before its last look nothing is firm. */
    static Verdict soFar(JudgedQuestion question, Verdict verdict) {
        return soFar(question.coverage(), verdict);
    }

    static Verdict soFar(Coverage coverage, Verdict verdict) {
        if (!coverage.soFar() || verdict.firmness() == Firmness.CANT_TELL) {
            return verdict;
        }
        String next = verdict.wouldChange().startsWith(REPEAT) ? "" : verdict.wouldChange();
        return new Verdict(
                Firmness.SO_FAR,
                "So far, " + Sentence.inside(verdict.sentence()),
                ("Its last look is still to come: whoever stops at the first clear look is wrong more often than 5 times in"
                                + " 100. " + next)
                        .strip(),
                verdict.brief().isEmpty() ? "" : "So far, " + Sentence.inside(verdict.brief()));
    }

    /** A difference with its sign and unit: "+3.1 g", "−12 points". */
    public static String difference(FigureKind kind, double value) {
        return signed(kind, value) + unit(kind, value);
    }

    /** An interval of a difference: "1.0 to 5.2 g"; an open end in words. */
    public static String interval(FigureKind kind, Interval interval) {
        if (interval.low() == Double.POSITIVE_INFINITY || interval.high() == Double.NEGATIVE_INFINITY) {
            return interval.low() > 0 ? "later, by a time without end so far" : "sooner, by a time without end so far";
        }
        if (Double.isInfinite(interval.low()) && Double.isInfinite(interval.high())) {
            return "no bound on either side";
        }
        if (Double.isInfinite(interval.low())) {
            return "up to " + signed(kind, interval.high()) + unit(kind, interval.high());
        }
        return Double.isInfinite(interval.high())
                ? signed(kind, interval.low()) + unit(kind, interval.low()) + " or more"
                : ends(kind, interval) + unit(kind, interval.high());
    }

    /** Two ends that differ as printed: with as many more decimals as that takes. */
    private static String ends(FigureKind kind, Interval interval) {
        for (int more = 1; more < 4; more++) {
            String low = number(kind, interval.low(), more);
            String high = number(kind, interval.high(), more);
            if (!low.equals(high)) {
                return signedText(interval.low(), low) + " to " + signedText(interval.high(), high);
            }
        }
        return signed(kind, interval.low()) + " to " + signed(kind, interval.high());
    }

    private static String number(FigureKind kind, double value, int moreDecimals) {
        int decimals = kind.decimals() + moreDecimals;
        return kind.unit() == UnitOfMeasure.FRACTION
                ? Decimals.percent(Math.abs(value), decimals)
                : Decimals.fixed(Math.abs(value), decimals);
    }

    private static String signedText(double value, String number) {
        return (value < 0 ? "−" : "+") + number;
    }

    /** A difference with its sign, its unit left to the heading. */
    public static String signed(FigureKind kind, double value) {
        return signedText(value, number(kind, value, 1));
    }

    private static String unit(FigureKind kind, double value) {
        String unit =
                kind.unit() == UnitOfMeasure.FRACTION ? "points" : kind.unit().symbol(Math.abs(value));
        return unit.isEmpty() ? "" : " " + unit;
    }

    private Verdict verdict() {
        List<Comparison> comparisons = question.judgement().comparisons();
        if (question.judgement().refused().isPresent()) {
            return new Verdict(
                    Firmness.CANT_TELL,
                    "Can't tell yet about " + what() + ": "
                            + Sentence.inside(question.judgement().refused().get()) + ".",
                    "At least four units of each treatment would.");
        }
        if (comparisons.size() == 1) {
            return one(comparisons.get(0));
        }
        if (LevelWording.leads(question)) {
            return new LevelWording(question, this).verdict();
        }
        // Whoever was not compared with the leader was not beaten by it: only all pairs tell who leads.
        long arms = comparisons.stream()
                .flatMapToInt(c -> IntStream.of(c.treatment(), c.comparator()))
                .distinct()
                .count();
        boolean allPairs = arms > 2 && comparisons.size() == arms * (arms - 1) / 2;
        return allPairs && comparisons.size() > MOST_PAIRS_NAMED ? pairs(comparisons) : many(comparisons);
    }

    private String what() {
        return what(question);
    }

    /** "dry mass at day 28". */
    static String what(JudgedQuestion question) {
        return Sentence.inside(question.kind().label()) + " at "
                + question.look().said();
    }

    /** What an interval is, in words: where only one of its ends decides, each holds by itself. */
    String intervalName() {
        return question.ask().asGood() ? "bounds, each 95 %," : "95 % interval";
    }

    private boolean eitherWay() {
        return question.direction() == Direction.EITHER;
    }

    private Verdict one(Comparison c) {
        String treated = question.name(c.treatment());
        String beside = question.name(c.comparator());
        String sentence = switch (c.answer()) {
            case BETTER, WORSE ->
                treated
                        + (eitherWay()
                                ? " differs from "
                                : c.answer() == Answer.BETTER ? " did better than " : " did worse than ")
                        + beside + ": " + what() + (new TimesWording(question).open(c) ? ": " : " ") + howMuch(c)
                        + (c.certain() ? ", for certain by what matters" : "") + ".";
            case NO_DIFFERENCE ->
                treated + " and " + beside + " show no difference that matters in " + what() + ": " + howMuch(c)
                        + (c.clear() ? ", which is a difference, yet less than matters" : "") + ".";
            case AS_GOOD -> treated + " is as good as " + beside + " in " + what() + ": " + howMuch(c) + least(c) + ".";
            case NOT_AS_GOOD ->
                treated + " is not as good as " + beside + " in " + what() + ": " + howMuch(c) + least(c) + ".";
            case CANT_TELL ->
                "Can't tell yet whether " + treated
                        + (question.ask().asGood() ? " is as good as " : " differs from ") + beside + " in " + what()
                        + ": " + howMuch(c) + least(c) + ".";
        };
        return new Verdict(firmness(c.answer()), sentence, next(List.of(c)));
    }

    /** Which of its ends decides, and by what, where it is asked whether it is as good. */
    private String least(Comparison c) {
        if (!question.ask().asGood() || c.margin().isEmpty() || c.interval().isEmpty()) {
            return "";
        }
        double margin = c.margin().getAsDouble();
        return "; worse by " + difference(kind, margin).substring(1) + " would matter";
    }

    Firmness firmness(Answer answer) {
        return switch (answer) {
            case BETTER -> eitherWay() ? Firmness.DIFFERENT : Firmness.BETTER;
            case WORSE -> eitherWay() ? Firmness.DIFFERENT : Firmness.WORSE;
            case NO_DIFFERENCE -> Firmness.NO_DIFFERENCE;
            case AS_GOOD -> Firmness.AS_GOOD;
            case NOT_AS_GOOD -> Firmness.NOT_AS_GOOD;
            case CANT_TELL -> Firmness.CANT_TELL;
        };
    }

    /** "+3.1 g (95 % interval +1.0 to +5.2 g), +18 % (+6 to +31 %)". */
    private String howMuch(Comparison c) {
        int fewest = Math.min(
                question.observations().seen(c.treatment()),
                question.observations().seen(c.comparator()));
        if (fewest == 0) {
            return "no unit of one of them was read";
        }
        if (c.interval().isEmpty() || (Double.isNaN(c.difference()) && !new TimesWording(question).open(c))) {
            return fewest == 1
                    ? "one unit is left of one of them, which tells nothing of chance"
                    : "nothing to judge by";
        }
        TimesWording times = new TimesWording(question);
        return (times.open(c) ? times.told(c) : difference(kind, c.difference()))
                + " (" + intervalName() + " " + interval(kind, c.interval().get()) + ")"
                + percent(c)
                + (question.observations().kind() == EndpointKind.SCORE && c.byRanks()
                        ? ", judged by ranks: p " + Decimals.p(c.rankP().orElse(1))
                        : "");
    }

    /** Nothing for scores: a percentage of next to no injury says nothing. */
    private String percent(Comparison c) {
        if (c.percent().isEmpty() || question.observations().kind() == EndpointKind.SCORE) {
            return "";
        }
        String mean = signedText(
                c.percent().getAsDouble(), Decimals.fixed(Math.abs(c.percent().getAsDouble()), 0));
        return ", " + mean + " %"
                + c.percentInterval()
                        .map(i -> " (" + signedText(i.low(), Decimals.fixed(Math.abs(i.low()), 0)) + " to "
                                + signedText(i.high(), Decimals.fixed(Math.abs(i.high()), 0)) + " %)")
                        .orElse("");
    }

    private Verdict many(List<Comparison> comparisons) {
        Map<Answer, List<Comparison>> groups = new LinkedHashMap<>();
        for (Answer answer : CLEAR_FIRST) {
            List<Comparison> alike =
                    comparisons.stream().filter(c -> c.answer() == answer).toList();
            if (!alike.isEmpty()) {
                groups.put(answer, alike);
            }
        }
        boolean sameComparator =
                comparisons.stream().map(Comparison::comparator).distinct().count() == 1;
        String beside =
                sameComparator ? " beside " + question.name(comparisons.get(0).comparator()) : "";
        String parts = groups.entrySet().stream()
                .map(group -> part(group.getKey(), group.getValue(), comparisons.size(), sameComparator))
                .collect(Collectors.joining("; "));
        Firmness firmness = groups.size() == 1
                ? firmness(groups.keySet().iterator().next())
                : groups.containsKey(Answer.CANT_TELL) ? Firmness.PARTLY : Firmness.SETTLED;
        return new Verdict(
                firmness,
                kind.label() + " at " + question.look().said() + beside + ": " + parts + ".",
                next(comparisons));
    }

    /** Of all pairs, who leads and how many can be told apart. */
    private Verdict pairs(List<Comparison> comparisons) {
        Set<Integer> beaten = new HashSet<>();
        for (Comparison c : comparisons) {
            if (c.answer() == Answer.BETTER) {
                beaten.add(c.comparator());
            } else if (c.answer() == Answer.WORSE) {
                beaten.add(c.treatment());
            }
        }
        List<String> leading = comparisons.stream()
                .flatMapToInt(c -> IntStream.of(c.treatment(), c.comparator()))
                .distinct()
                .sorted()
                .filter(arm -> !beaten.contains(arm))
                .mapToObj(question::name)
                .toList();
        long apart = comparisons.stream().filter(Comparison::clear).count();
        String lead = leading.size() > MOST_PAIRS_NAMED
                ? "no leader stands out"
                : String.join(" and ", leading) + (leading.size() == 1 ? " leads" : " lead and can't be told apart");
        return new Verdict(
                apart == 0 ? Firmness.CANT_TELL : apart < comparisons.size() ? Firmness.PARTLY : Firmness.SETTLED,
                kind.label() + " at " + question.look().said() + ": " + lead + "; " + apart + " of "
                        + comparisons.size() + " pairs are told apart.",
                next(comparisons));
    }

    private String part(Answer answer, List<Comparison> alike, int all, boolean sameComparator) {
        String names = alike.size() == all || alike.size() > MOST_NAMED
                ? alike.size() + " of " + all + " comparisons"
                : alike.stream().map(c -> named(c, answer, sameComparator)).collect(Collectors.joining(", "));
        return words(answer) + (answer == Answer.CANT_TELL ? " yet: " : ": ") + names;
    }

    private String named(Comparison c, Answer answer, boolean sameComparator) {
        String name = question.name(c.treatment()) + (sameComparator ? "" : " beside " + question.name(c.comparator()));
        boolean clear = answer == Answer.BETTER || answer == Answer.WORSE;
        TimesWording times = new TimesWording(question);
        if (clear && times.open(c)) {
            return name + " (" + times.come(c.treatment()) + ")";
        }
        return clear && Double.isFinite(c.difference()) ? name + " (" + difference(kind, c.difference()) + ")" : name;
    }

    /** What would tell, or what stands against relying on it. */
    private String next(List<Comparison> comparisons) {
        return next(comparisons, List.of());
    }

    /** The same where main effects lead: what they tell is not open. */
    String next(List<Comparison> comparisons, List<MainEffect> leading) {
        OptionalInt most = comparisons.stream()
                .filter(c -> c.answer() == Answer.CANT_TELL)
                .map(Comparison::unitsThatWouldTell)
                .filter(OptionalInt::isPresent)
                .mapToInt(OptionalInt::getAsInt)
                .max();
        boolean open = leading.isEmpty()
                ? comparisons.stream().anyMatch(c -> c.answer() == Answer.CANT_TELL)
                : leading.stream().anyMatch(effect -> effect.answer() == Answer.CANT_TELL);
        List<String> said = new ArrayList<>();
        if (most.isPresent()) {
            said.add("By the scatter seen, " + most.getAsInt()
                    + " units of each would likely tell what can't be told yet.");
        } else if (comparisons.stream().anyMatch(Wording::byScatterAlone)) {
            said.add("More than 500 units of each would be needed to tell them apart.");
        }
        if (comparisons.stream().allMatch(c -> c.margin().isEmpty())) {
            said.add("Nobody said which difference matters, so “no difference that matters” can't be said.");
        }
        if (!open) {
            said.add(REPEAT);
        }
        return String.join(" ", said);
    }

    /** Whether only more units would tell: not where one is left, its dead speak against it, or something has not come. */
    private static boolean byScatterAlone(Comparison c) {
        return c.answer() == Answer.CANT_TELL
                && !c.clear()
                && c.interval()
                        .filter(i -> Double.isFinite(i.low()) && Double.isFinite(i.high()))
                        .isPresent();
    }

    /** When answers changed: "Harmless-looking until day 3, worse from day 7", one sentence for each that did. */
    public static List<String> changes(JudgedQuestion question) {
        List<String> sentences = new ArrayList<>();
        for (int i = 0; i < question.judgement().comparisons().size(); i++) {
            int which = i;
            List<Answer> answers = question.overTime().stream()
                    .map(at -> at.answers().get(which))
                    .toList();
            if (Questions.changed(answers)) {
                sentences.add(new Wording(question).change(which, answers));
            }
        }
        return sentences;
    }

    private String change(int comparison, List<Answer> answers) {
        int from = answers.size() - 1;
        while (from > 0 && answers.get(from - 1) == answers.get(answers.size() - 1)) {
            from--;
        }
        String before = question.overTime().get(from - 1).look().said();
        Comparison c = question.judgement().comparisons().get(comparison);
        return question.name(c.treatment()) + " beside " + question.name(c.comparator()) + ": "
                + words(answers.get(answers.size() - 1)) + " from "
                + question.overTime().get(from).look().said() + " on. A trial that ended at " + before
                + " would have said: " + words(answers.get(from - 1)) + ".";
    }

    /** An answer in a word or two. */
    public String words(Answer answer) {
        return switch (answer) {
            case BETTER -> eitherWay() ? "higher" : "better";
            case WORSE -> eitherWay() ? "lower" : "worse";
            case NO_DIFFERENCE -> "no difference that matters";
            case AS_GOOD -> "as good";
            case NOT_AS_GOOD -> "not as good";
            case CANT_TELL -> "can't tell";
        };
    }

    /** An answer in a word or two, as this question has it. */
    public static String words(JudgedQuestion question, Answer answer) {
        return new Wording(question).words(answer);
    }
}
