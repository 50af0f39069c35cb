package elsom.web.tasting;

import elsom.core.panel.ForcedChoice;
import elsom.core.panel.PanelWords;
import elsom.core.panel.RankedPanel;
import elsom.core.panel.Tasted;
import elsom.core.panel.Tasting;
import elsom.core.quantity.Decimals;
import elsom.core.stats.Summary;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.Json;
import elsom.web.kit.TrialHeader;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A tasting: who is done, and what it says once its codes are told.
 *
 * @param tasters who is done, in order
 * @param says empty while it is blind
 * @param samples figures of each, of those who are done; empty while it is blind
 * @param points every taster's points or ranks by sample, or how many chose what, for the script; empty while it is blind
 * @param told what was done besides tasting
 * @param trays what is served to whom, for the printed sheets
 */
record SessionPage(
        TrialHeader header,
        int number,
        String base,
        Tasting.Kind kind,
        List<String> names,
        List<Boolean> tasters,
        int done,
        boolean open,
        Optional<PanelWords> says,
        List<SampleLine> samples,
        String points,
        List<List<Tasting.Plate>> trays,
        List<String> told) {
    /** Figures of a sample. */
    record SampleLine(String name, String figure, String spread) {}

    private record Points(boolean ranks, List<String> names, List<List<Double>> rows) {}

    private record Chosen(int chosen, int of, double guess, int least, String label) {}

    static SessionPage of(TrialRecord record, Tastings.Session session, Instant now) {
        Tasted tasted = session.tasted();
        boolean open = session.open() && tasted.done() > 0;
        List<Boolean> tasters = new ArrayList<>();
        for (int taster = 1; taster <= session.tasting().tasters(); taster++) {
            tasters.add(session.round().done(taster));
        }
        return new SessionPage(
                TrialHeader.of(record, now, TrialHeader.Step.FINDINGS),
                session.number(),
                "/trials/" + session.trial() + "/tasting/" + session.number(),
                session.tasting().kind(),
                session.tasting().samples(),
                tasters,
                tasted.done(),
                session.open(),
                open ? Optional.of(PanelWords.of(tasted)) : Optional.empty(),
                open ? lines(tasted) : List.of(),
                open ? drawn(session.tasting(), tasted) : "",
                session.tasting().served(),
                session.told());
    }

    private static String drawn(Tasting tasting, Tasted tasted) {
        return tasted.choice()
                .map(choice -> Json.of(new Chosen(
                        choice.chosen(),
                        choice.tasters(),
                        choice.kind().guess() * choice.tasters(),
                        ForcedChoice.leastOf(choice.kind(), choice.tasters()).orElse(0),
                        choice.kind() == ForcedChoice.Kind.TRIANGLE
                                ? "found the odd one"
                                : "prefer “" + tasting.samples().get(1) + "”")))
                .orElseGet(() -> Json.of(
                        new Points(tasting.kind() == Tasting.Kind.RANKING, tasting.samples(), tasted.bySample())));
    }

    private static List<SampleLine> lines(Tasted tasted) {
        List<String> names = tasted.tasting().samples();
        if (tasted.choice().isPresent()) {
            return List.of();
        }
        List<SampleLine> lines = new ArrayList<>();
        Optional<RankedPanel> ranked = tasted.ranked();
        List<List<Double>> rows = tasted.bySample();
        for (int i = 0; i < names.size(); i++) {
            int sample = i;
            double[] values = rows.stream().mapToDouble(row -> row.get(sample)).toArray();
            Summary summary = Summary.of(values);
            boolean ranks = tasted.tasting().kind() == Tasting.Kind.RANKING;
            double shown = ranks ? names.size() + 1 - summary.mean() : summary.mean();
            lines.add(new SampleLine(
                    names.get(i),
                    Decimals.fixed(shown, 1),
                    ranked.map(panel -> Decimals.upTo(panel.rankSums().get(sample), 1))
                            .orElse("")));
        }
        return lines;
    }
}
