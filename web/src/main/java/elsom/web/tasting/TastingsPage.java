package elsom.web.tasting;

import elsom.core.panel.PanelWords;
import elsom.core.panel.Tasting;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.Times;
import elsom.web.kit.TrialHeader;
import java.time.Instant;
import java.util.List;

/** The tastings of a trial, and a form to begin one. */
record TastingsPage(
        TrialHeader header, List<Line> sessions, TastingForm form, List<String> problems, List<Tasting.Kind> kinds) {
    /**
     * A tasting.
     *
     * @param says what it says once its codes are told; empty before
     */
    record Line(String href, String kind, String when, String done, String says) {}

    static TastingsPage of(
            TrialRecord record, List<Tastings.Session> sessions, TastingForm form, List<String> problems, Instant now) {
        return new TastingsPage(
                TrialHeader.of(record, now, TrialHeader.Step.FINDINGS),
                sessions.stream()
                        .map(session -> new Line(
                                "/trials/" + session.trial() + "/tasting/" + session.number(),
                                session.tasting().kind().label(),
                                Times.day(session.begunAt(), record.trial().zone()),
                                session.tasted().done() + " of "
                                        + session.tasting().tasters() + " tasters",
                                session.open() ? PanelWords.of(session.tasted()).sentence() : ""))
                        .toList(),
                form,
                problems,
                List.of(Tasting.Kind.values()));
    }
}
