package elsom.core.analysis;

import elsom.core.quantity.Decimals;
import elsom.core.stats.Outcome;
import java.util.List;

/** Questions about k of n. */
final class Shares {
    private Shares() {}

    static Judgement judge(Observations all, Ask ask, Pairing pairing, List<String> checked, Judge.Told told) {
        Outcome<SharesModel> model = SharesModel.of(all, ask.scatter());
        if (model.asOptional().isEmpty()) {
            return Judge.refused(all, pairing, checked, model.whyNot().orElseThrow());
        }
        SharesModel shares = model.asOptional().orElseThrow();
        checked.add(
                shares.excess() > 1
                        ? "Units of a treatment scatter " + Decimals.fixed(shares.excess(), 1)
                                + " times as much as chance among their plants would make them: intervals are widened by it."
                        : "Units of a treatment scatter no more than chance among their plants would make them.");
        if (shares.plantsAreUnits()) {
            checked.add(
                    "Each plant is a unit of its own: nothing is told that Fisher's exact test does not bear out, for all"
                            + " comparisons together by Bonferroni.");
        }
        return new Contrasts(all, ask, pairing, shares, false).judged(checked, told);
    }
}
