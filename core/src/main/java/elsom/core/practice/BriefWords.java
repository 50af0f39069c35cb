package elsom.core.practice;

import elsom.core.plan.Direction;
import elsom.core.practice.Brief.Measured;
import elsom.core.practice.Brief.Option;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ProtocolCode;
import java.util.List;

/** What several levels share in their briefs. */
final class BriefWords {
    static final ProtocolCode GROWTH = new ProtocolCode("growth");
    static final ProtocolCode DOSES = new ProtocolCode("dose-series");
    static final ProtocolCode BIOASSAY = new ProtocolCode("seedling-injury");
    static final ProtocolCode WATER = new ProtocolCode("water-holding");

    static final Measured FRESH_MASS = new Measured(new EndpointCode("fresh-mass"), Direction.HIGHER, 20, true, 2);
    static final Measured INJURY = new Measured(new EndpointCode("injury"), Direction.LOWER, 1, false, 0);

    private static final Option CANT_TELL = new Option(Call.CANT_TELL, "This trial can't tell.");

    private BriefWords() {}

    /** Better, worse or no difference of one thing beside another. */
    static List<Option> beside(String one, String other) {
        return List.of(
                new Option(Call.BETTER, one + " grows heavier plants than " + other + "."),
                new Option(Call.WORSE, one + " grows lighter plants than " + other + "."),
                new Option(Call.NO_DIFFERENCE, "There is no difference of 20 % or more."),
                CANT_TELL);
    }

    static List<Option> safe(String dose) {
        return List.of(
                new Option(Call.SAFE, dose + " is safe: less than a point of injury."),
                new Option(Call.HARMFUL, dose + " harms."),
                CANT_TELL);
    }

    static List<Option> causes(String lot) {
        return List.of(
                new Option(Call.RESIDUE, lot + " carries a weedkiller residue."),
                new Option(Call.SALTS, lot + " is too salt."),
                new Option(Call.BOTH, lot + " is both: a residue and too salt."),
                new Option(Call.NOTHING, "Nothing is wrong with " + lot + "."),
                CANT_TELL);
    }

    static List<Option> more(String one, String other) {
        return List.of(
                new Option(Call.BETTER, one + " holds more water a litre than " + other + "."),
                new Option(Call.WORSE, one + " holds less water a litre than " + other + "."),
                new Option(Call.NO_DIFFERENCE, "They hold the same, to 3 parts in 100."),
                CANT_TELL);
    }
}
