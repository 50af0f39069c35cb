package elsom.web.plan;

import elsom.core.design.Balance;
import elsom.core.design.LayoutKind;
import elsom.core.plan.Factor;
import elsom.core.plan.Plan;
import elsom.core.quantity.Decimals;
import elsom.core.trial.Side;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.BenchMap;
import elsom.web.kit.Swatch;
import java.util.List;

/**
 * The bench as an editor.
 *
 * @param siteLines benches in the form, and one to add
 * @param problem why nothing can be drawn yet; empty when it can
 */
record LayoutPage(
        PlanFrame frame,
        Form form,
        Problems problems,
        BenchMap map,
        BalanceView balance,
        List<LayoutKind> kinds,
        List<String> factors,
        List<Side> sides,
        int siteLines,
        long seed,
        int moves,
        String problem) {

    /** How evenly light and edges are shared out. */
    record BalanceView(List<Line> lines, List<String> ties, boolean lit, String overall) {
        /** What one treatment gets. */
        record Line(Swatch swatch, int units, String light, String off, String edge, boolean tied) {}

        static BalanceView of(TrialRecord record) {
            Balance balance = Balance.of(record.benches(), record.units());
            boolean lit = balance.meanLight().isPresent();
            return new BalanceView(
                    balance.shares().stream()
                            .map(share -> line(record, balance, share))
                            .toList(),
                    balance.ties().stream()
                            .map(tie -> {
                                var treatment = record.treatment(tie.treatment());
                                return treatment.code() + " " + treatment.name() + " " + tie.what() + ".";
                            })
                            .toList(),
                    lit,
                    (lit ? "mean light " + Decimals.fixed(balance.meanLight().orElse(0), 0) + " µmol/m²/s, " : "")
                            + Decimals.percent(balance.edgeShare(), 0) + " % of all units on an edge");
        }

        private static Line line(TrialRecord record, Balance balance, Balance.Share share) {
            double mean = balance.meanLight().orElse(0);
            double off = mean > 0 ? share.meanLight().orElse(mean) / mean - 1 : 0;
            return new Line(
                    Swatch.of(record.treatment(share.treatment())),
                    share.units(),
                    share.meanLight().isPresent()
                            ? Decimals.fixed(share.meanLight().getAsDouble(), 0)
                            : Decimals.fixed(share.meanRow(), 1),
                    (off >= 0 ? "+" : "−") + Decimals.percent(Math.abs(off), 0) + " %",
                    Decimals.percent(share.edgeShare(), 0) + " %",
                    balance.ties().stream().anyMatch(tie -> tie.treatment() == share.treatment()));
        }
    }

    static LayoutPage of(PlanFrame frame, TrialRecord record, Plan plan, Form form, Problems problems) {
        return new LayoutPage(
                frame,
                form,
                problems,
                BenchMap.whole(
                        record,
                        unit -> new BenchMap.Face(
                                record.treatment(unit).code(), BenchMap.State.DONE, "#" + unit.code())),
                BalanceView.of(record),
                Pages.layouts(),
                plan.treatments().factors().stream().map(Factor::name).toList(),
                List.of(Side.values()),
                Math.max(form.lines(BenchPart.SITES), 1) + 1,
                plan.arrangement().seed(),
                plan.arrangement().moves().size(),
                plan.layoutProblem().orElse(""));
    }
}
