package elsom.core.results;

import elsom.core.analysis.Ask;
import elsom.core.analysis.Comparison;
import elsom.core.analysis.DeadAsWorst;
import elsom.core.analysis.EndpointKind;
import elsom.core.analysis.Judgement;
import elsom.core.analysis.MainEffect;
import elsom.core.plan.Direction;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.section.Account;
import elsom.core.section.Amount;
import elsom.core.section.Cell;
import elsom.core.section.Column;
import elsom.core.section.Part;
import elsom.core.section.Table;
import elsom.core.section.Tone;
import elsom.core.trial.Endpoint;
import elsom.core.trial.TrialRecord;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;

/** Tells a question's comparisons: differences with their intervals beside the margin. */
final class ContrastsAccount {
    private static final double PERCENT = 100;

    private final TrialRecord record;
    private final JudgedQuestion question;
    private final Judgement judgement;

    ContrastsAccount(TrialRecord record, JudgedQuestion question) {
        this.record = record;
        this.question = question;
        this.judgement = question.judgement();
    }

    Account account() {
        Account.Builder account = Account.of("comparisons", question.kind().label())
                .about(question.look().name() + question.besideOne())
                .says(question.asked()
                        + (question.stated().label().isEmpty()
                                ? ""
                                : " (" + question.stated().label() + ")"));
        question.coverage().sentences().forEach(account::says);
        List<Table> tables = new ArrayList<>();
        // Where factors act together there is no effect over all.
        if (!judgement.mainEffects().isEmpty() && (leveled() || LevelWording.leads(question))) {
            tables.add(overAll());
        }
        if (!judgement.comparisons().isEmpty()) {
            boolean beside = LevelWording.leads(question) && !leveled();
            tables.add(beside ? comparisons().folded() : comparisons());
        }
        if (question.overTime().size() > 1) {
            tables.add(overTime());
        }
        account.part(Part.drawn(ContrastChart.of(record, question), tables.toArray(Table[]::new)));
        return account.method("How it was judged: " + judgement.method().label(), checked())
                .build();
    }

    private List<String> checked() {
        List<String> checked = new ArrayList<>(judgement.checked());
        judgement.refused().ifPresent(reason -> checked.add(reason + "."));
        checked.add("Intervals hold together for all comparisons of "
                + (question.posed().sharing() > 1
                        ? "the " + question.posed().sharing() + " primary questions"
                        : "this question")
                + ", in 95 of 100 trials like it.");
        if (judgement.comparisons().stream().anyMatch(c -> deadAsWorst(c).isPresent())) {
            checked.add("“With the dead as the worst” counts each unit that died with the worst there is ("
                    + (question.direction() == Direction.HIGHER
                            ? "nothing at all"
                            : endOfScale().isPresent() ? "the end of its scale" : "the worst that was read")
                    + "); what is true of all that were set up lies between the two differences, scatter apart"
                    + " (Horowitz and Manski 2000).");
        }
        if (lettered()) {
            checked.add("Two treatments that share a letter are not shown to differ.");
        }
        return checked;
    }

    private boolean leveled() {
        return question.ask().against() instanceof Ask.Against.Level;
    }

    private boolean lettered() {
        return !judgement.letters().isEmpty() && judgement.comparisons().size() > 1 && !leveled();
    }

    private Table comparisons() {
        List<Column<Comparison>> columns = new ArrayList<>(List.of(
                Column.cells("Treatment", this::treatment),
                Column.words("Beside", c -> question.name(c.comparator())),
                Column.numbers("Difference", this::difference),
                Column.numbers(question.ask().asGood() ? "Bounds, each 95 %" : "95 % interval", this::interval),
                Column.numbers("In percent", this::percent),
                Column.numbers("p", c -> c.p().isPresent() ? p(c.p().getAsDouble()) : Cell.none(Cell.NONE))));
        if (lettered()) {
            columns.add(Column.words("Letters", c -> judgement.letters().get(c.treatment())));
        }
        if (judgement.comparisons().stream().anyMatch(c -> deadAsWorst(c).isPresent())) {
            columns.add(Column.numbers(
                    "With the dead as the worst",
                    c -> deadAsWorst(c).isPresent()
                            ? Cell.number(
                                    Wording.difference(
                                            question.kind(), deadAsWorst(c).getAsDouble()),
                                    Amount.of(
                                            deadAsWorst(c).getAsDouble(),
                                            question.kind().unit()))
                            : Cell.none(Cell.NONE)));
        }
        columns.add(Column.cells(
                "Answer", c -> Cell.verdict(Wording.words(question, c.answer()), Tone.of(c.answer()))));
        if (question.number() > 0 && (leveled() || question.claim().needsMargin())) {
            columns.add(
                    Column.cells("As stated", c -> standing(Held.of(question.claim(), c, question.observations()))));
        }
        return Table.of(
                "differences",
                ofQuestion("Differences with their 95 % intervals, adjusted for all comparisons of the question"),
                columns,
                judgement.comparisons());
    }

    /** Where one way is better. */
    private OptionalDouble deadAsWorst(Comparison c) {
        return question.direction() == Direction.EITHER
                ? OptionalDouble.empty()
                : DeadAsWorst.difference(question.observations(), c.treatment(), c.comparator(), endOfScale());
    }

    private OptionalDouble endOfScale() {
        return question.observations().kind() == EndpointKind.SCORE
                ? record.endpoints().stream()
                        .filter(endpoint ->
                                endpoint.code().value().equals(question.kind().code()))
                        .mapToDouble(Endpoint::highest)
                        .findFirst()
                : OptionalDouble.empty();
    }

    private static Cell standing(Held held) {
        return Cell.verdict(
                held.label(),
                switch (held) {
                    case HELD -> Tone.FOR;
                    case NOT_HELD -> Tone.AGAINST;
                    case CANT_TELL -> Tone.CANT_TELL;
                });
    }

    /** Several questions may be about the same endpoint. */
    private String ofQuestion(String title) {
        return question.number() > 0 && !judgement.mainEffects().isEmpty()
                ? title + ", question " + question.number()
                : title;
    }

    /** What levels do over all levels of the other factors. */
    private Table overAll() {
        List<Column<MainEffect>> columns = new ArrayList<>(List.of(
                Column.words("Level", MainEffect::level),
                Column.words("Beside", MainEffect::against),
                Column.numbers(
                        "Difference",
                        effect -> Cell.number(
                                Wording.difference(question.kind(), effect.difference()),
                                Amount.of(effect.difference(), question.kind().unit())
                                        .within(Optional.of(effect.interval())))),
                Column.numbers(
                        question.ask().asGood() ? "Bounds, each 95 %" : "95 % interval",
                        effect -> Cell.none(Wording.interval(question.kind(), effect.interval()))),
                Column.numbers(
                        "p", effect -> effect.p().isPresent() ? p(effect.p().getAsDouble()) : Cell.none(Cell.NONE)),
                Column.cells(
                        "Answer",
                        effect -> Cell.verdict(Wording.words(question, effect.answer()), Tone.of(effect.answer())))));
        if (leveled()) {
            columns.add(Column.cells(
                    "As stated", effect -> standing(Held.of(question.claim(), effect, question.observations()))));
        }
        return Table.of(
                "over-all", ofQuestion("Over all levels of the other factors"), columns, judgement.mainEffects());
    }

    private Cell treatment(Comparison c) {
        return Cell.of(record.treatment(c.treatment() + 1));
    }

    private Cell difference(Comparison c) {
        return Double.isFinite(c.difference())
                ? Cell.number(
                        Wording.difference(question.kind(), c.difference()),
                        Amount.of(c.difference(), question.kind().unit()).within(c.interval()))
                : Cell.none(Cell.NONE);
    }

    private Cell interval(Comparison c) {
        return Cell.none(c.interval()
                .map(interval -> Wording.interval(question.kind(), interval))
                .orElse(Cell.NONE));
    }

    private Cell percent(Comparison c) {
        if (c.percent().isEmpty() || question.observations().kind() == EndpointKind.SCORE) {
            return Cell.none(Cell.NONE);
        }
        double percent = c.percent().getAsDouble();
        return Cell.number(
                (percent < 0 ? "−" : "+") + Decimals.fixed(Math.abs(percent), 0) + " %",
                Amount.of(percent / PERCENT, UnitOfMeasure.FRACTION).within(share(c, true), share(c, false)));
    }

    private static OptionalDouble share(Comparison c, boolean low) {
        return c.percentInterval().isPresent()
                ? OptionalDouble.of((low
                                ? c.percentInterval().get().low()
                                : c.percentInterval().get().high())
                        / PERCENT)
                : OptionalDouble.empty();
    }

    private static Cell p(double p) {
        return Cell.number(Decimals.p(p), Amount.of(p, UnitOfMeasure.FRACTION));
    }

    /** What one comparison said at each look. */
    private Table overTime() {
        List<Integer> all =
                IntStream.range(0, judgement.comparisons().size()).boxed().toList();
        List<Column<Integer>> columns = new ArrayList<>(List.of(
                Column.cells("Treatment", i -> treatment(judgement.comparisons().get(i))),
                Column.words(
                        "Beside",
                        i -> question.name(judgement.comparisons().get(i).comparator()))));
        question.overTime()
                .forEach(at -> columns.add(Column.cells(
                        at.look().name(),
                        i -> Cell.verdict(
                                Wording.words(question, at.answers().get(i)),
                                Tone.of(at.answers().get(i))))));
        return Table.of("answers-over-time", "What the same question said at each look", columns, all)
                .folded();
    }
}
