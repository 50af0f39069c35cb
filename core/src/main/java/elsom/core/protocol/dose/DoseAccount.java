package elsom.core.protocol.dose;

import elsom.core.dose.DoseCurve;
import elsom.core.dose.DoseEffect;
import elsom.core.dose.WorkingRate;
import elsom.core.figure.FigureKind;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Sentence;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.section.Account;
import elsom.core.section.Amount;
import elsom.core.section.Cell;
import elsom.core.section.Column;
import elsom.core.section.Door;
import elsom.core.section.Fact;
import elsom.core.section.Part;
import elsom.core.section.Table;
import elsom.core.stats.Outcome;
import elsom.core.trial.TrialRecord;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** Tells what a series of doses did: curve, harmless and harmful doses, and how they changed with time. */
final class DoseAccount {
    private static final String UNTOLD = "can't tell";

    private final TrialRecord record;
    private final DoseResult result;

    DoseAccount(TrialRecord record, DoseResult result) {
        this.record = record;
        this.result = result;
    }

    Account account() {
        Account.Builder account = Account.of(
                        "doses",
                        result.kind().label() + " by "
                                + (result.by() == DoseResult.By.SHARE
                                        ? Sentence.inside(result.factor())
                                        : result.by().label()))
                .about(result.look().name())
                .parts(result.lines().stream().map(this::part).toList());
        if (result.lines().stream().anyMatch(line -> line.rate().asOptional().isPresent())) {
            account.door(Door.MIXING, result.kind().code());
        }
        result.lines().stream()
                .flatMap(line -> line.voided().stream())
                .distinct()
                .forEach(why -> account.caution("Nothing is claimed: " + why + "."));
        return account.method("", List.of(how(result.lines().get(0).effect()))).build();
    }

    private Part part(DoseResult.Line line) {
        List<Table> tables = new ArrayList<>();
        if (line.atLooks().size() > 1) {
            tables.add(atEachLook(line));
        }
        tables.add(eachDose(line));
        return Part.drawn(DoseChart.of(record, result, line), tables.toArray(Table[]::new))
                .named(line.name())
                .standing(line.atLooks().stream()
                        .map(at -> new Part.Standing(at.look().name(), facts(line, at), how(at.effect())))
                        .toList());
    }

    private List<Fact> facts(DoseResult.Line line, DoseResult.AtLook at) {
        Outcome<WorkingRate> rate = line.isLast(at) ? line.rate() : at.rate();
        return List.of(
                Fact.leading(
                        line.isLast(at) ? "To work with" : "Had it ended here, it would have allowed",
                        rate(rate),
                        rate.asOptional()
                                .map(found -> DoseWording.standing(result, found)
                                        + setBy(line, at)
                                        + (result.endsEarly().isEmpty() ? "" : " " + result.endsEarly()))
                                .orElseGet(() -> rate.whyNot().orElse("") + ".")),
                Fact.of("No harm shown up to", "NOEC", noec(line, at)),
                Fact.of("Harm from", "LOEC", loec(line, at)),
                Fact.of(at.effect().meaning().tenth(), "EC10", effective(line, at, 10)),
                Fact.of(at.effect().meaning().fifth(), "EC20", effective(line, at, 20)),
                Fact.of(at.effect().meaning().half(), "EC50", effective(line, at, 50)));
    }

    private static String setBy(DoseResult.Line line, DoseResult.AtLook at) {
        return line.limit()
                .filter(limit -> line.isLast(at))
                .map(limit -> " Set by " + Sentence.inside(limit.kind().label()) + ".")
                .orElse("");
    }

    private Cell rate(Outcome<WorkingRate> rate) {
        return rate.asOptional().map(found -> dose(found.rate())).orElseGet(() -> Cell.none("none"));
    }

    /** What a NOEC of too few units may hide stands beside it. */
    private Cell noec(DoseResult.Line line, DoseResult.AtLook at) {
        Cell cell = tested(line, at, at.effect().tested().noec(), "none: the lowest harms");
        OptionalDouble unseen = at.effect().tested().unseen();
        return cell.amount().isEmpty() || at.effect().proven() || unseen.isEmpty()
                ? cell
                : cell.with(
                        Double.isInfinite(unseen.getAsDouble())
                                ? "any harm could be missed"
                                : "harm of " + result.kind().finer().show(unseen.getAsDouble()) + " could be missed");
    }

    private Cell loec(DoseResult.Line line, DoseResult.AtLook at) {
        return tested(line, at, at.effect().tested().loec(), "none tested");
    }

    private Cell tested(DoseResult.Line line, DoseResult.AtLook at, OptionalDouble found, String without) {
        return line.voided().isPresent() || at.effect().tested().refused().isPresent()
                ? Cell.none(UNTOLD)
                : found.isPresent() ? dose(found.getAsDouble()) : Cell.none(without);
    }

    private Cell dose(double dose) {
        return Cell.number(result.dose(dose), Amount.of(dose, result.unit()));
    }

    private Cell effective(DoseResult.Line line, DoseResult.AtLook at, double percent) {
        if (line.voided().isPresent()) {
            return Cell.none(UNTOLD);
        }
        Optional<DoseCurve.Effective> found = at.effect().effective(percent);
        if (found.isEmpty()) {
            return Cell.none(at.effect().curve().asOptional().isPresent() ? "can't be told" : Cell.NONE);
        }
        return Cell.number(DoseWording.shown(result, at.effect(), found.get()), amount(found));
    }

    /** As narrow as a column wants it. */
    private Cell brief(DoseResult.Line line, DoseResult.AtLook at, double percent) {
        Optional<DoseCurve.Effective> found = at.effect().effective(percent);
        return found.isEmpty() || line.voided().isPresent()
                ? effective(line, at, percent)
                : Cell.number(DoseWording.brief(result, at.effect(), found.get()), amount(found));
    }

    private Optional<Amount> amount(Optional<DoseCurve.Effective> found) {
        return found.filter(one -> !one.outside())
                .map(one -> Amount.of(one.dose(), result.unit()).within(one.interval95()));
    }

    private Table atEachLook(DoseResult.Line line) {
        return Table.of(
                        "doses-over-time",
                        "At each look",
                        List.of(
                                Column.<DoseResult.AtLook>words(
                                        "Look", at -> at.look().name()),
                                Column.numbers("NOEC", at -> noec(line, at)),
                                Column.numbers("LOEC", at -> loec(line, at)),
                                Column.numbers("EC10", at -> brief(line, at, 10)),
                                Column.numbers("EC50", at -> brief(line, at, 50)),
                                Column.numbers("would have allowed", at -> rate(at.rate()))),
                        line.atLooks())
                .under(DoseTimes.of(result, line))
                .folded();
    }

    private Table eachDose(DoseResult.Line line) {
        FigureKind finer = result.kind().finer();
        List<Column<DoseEffect.Level>> columns = new ArrayList<>(List.of(
                Column.cells(result.factor(), level -> dose(level.dose())),
                Column.numbers("n", level -> Cell.count(level.n())),
                Column.values("Mean", finer, DoseEffect.Level::mean)));
        if (!line.areas().isEmpty()) {
            columns.add(Column.numbers("Area under its course", "unit × days", "", level -> area(line, level)));
        }
        return Table.of("each-dose", "Each strength", columns, line.effect().levels())
                .folded();
    }

    private Cell area(DoseResult.Line line, DoseEffect.Level level) {
        return line.areas().stream()
                .filter(area -> area.dose() == level.dose())
                .findFirst()
                .map(area -> Cell.number(Decimals.fixed(area.mean(), 1), Amount.of(area.mean(), UnitOfMeasure.COUNT)))
                .orElseGet(() -> Cell.none(Cell.NONE));
    }

    private static String how(DoseEffect effect) {
        String curve = effect.curve()
                .asOptional()
                .map(found -> DoseWording.averaged(found) + " (" + found.source() + ")"
                        + (found.lackOfFitP().isPresent()
                                ? "; it goes through the means (lack of fit, p "
                                        + Decimals.p(found.lackOfFitP().getAsDouble()) + ")"
                                : "")
                        + ". EC10 is the dose for 10 % " + found.meaning().of() + ".")
                .orElseGet(() -> "No curve: " + effect.curve().whyNot().orElse("") + ".");
        return effect.tested().test().isEmpty()
                ? curve
                : curve + " NOEC and LOEC: " + effect.tested().test() + ", each dose beside the control.";
    }
}
