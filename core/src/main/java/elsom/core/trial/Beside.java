package elsom.core.trial;

import elsom.core.quantity.Decimals;
import java.util.List;
import java.util.Optional;

/**
 * What is done and kept beside readings.
 *
 * @param chores what is to be done besides looks, in order of time
 * @param given water and feed that units were given, in order of entry, withdrawn entries too
 * @param again scores that another station made without seeing the first, in order of entry
 * @param turns times its units were moved on within their blocks, as written down, in order
 * @param skips endpoints that are not read at a look
 */
public record Beside(
        List<Chore> chores, List<Given> given, List<SecondScore> again, List<Turn> turns, List<Skip> skips) {
    public static final Beside NOTHING = new Beside(List.of(), List.of(), List.of(), List.of(), List.of());

    public Beside {
        chores = List.copyOf(chores);
        given = List.copyOf(given);
        again = List.copyOf(again);
        turns = List.copyOf(turns);
        skips = List.copyOf(skips);
    }

    public Beside chores(List<Chore> all) {
        return new Beside(all, given, again, turns, skips);
    }

    public Beside given(List<Given> all) {
        return new Beside(chores, all, again, turns, skips);
    }

    public Beside again(List<SecondScore> all) {
        return new Beside(chores, given, all, turns, skips);
    }

    public Beside turns(List<Turn> all) {
        return new Beside(chores, given, again, all, skips);
    }

    public Beside skips(List<Skip> all) {
        return new Beside(chores, given, again, turns, all);
    }

    /** What of this does not fit a trial; empty when all does. */
    Optional<String> problem(TrialRecord record) {
        return given.stream()
                .filter(entry -> entry.millilitres().keySet().stream()
                        .anyMatch(unit -> record.unit(unit).isEmpty()))
                .findFirst()
                .map(entry ->
                        "entry " + entry.number() + " of water and feed is of a unit that the trial does not have")
                .or(() -> again.stream()
                        .filter(score -> !record.has(new ReadingRef(score.unit(), score.look(), score.endpoint()))
                                || !record.endpoint(score.endpoint()).allows(score.value()))
                        .findFirst()
                        .map(score -> "a second score is of " + score.unit() + ", look " + score.look() + ", "
                                + score.endpoint() + ": " + Decimals.upTo(score.value(), 3)
                                + ", which the trial does not read"))
                .or(() -> skips.stream()
                        .filter(skip -> !record.look(skip.look())
                                .map(look -> look.endpoints().contains(skip.endpoint()))
                                .orElse(false))
                        .findFirst()
                        .map(skip ->
                                skip.endpoint() + " is skipped at look " + skip.look() + ", which does not read it"));
    }
}
