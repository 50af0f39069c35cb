package elsom.web.tasting;

import elsom.core.panel.PanelWords;
import elsom.core.panel.Tasted;
import elsom.core.plan.Plan;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.Chapter;
import elsom.web.kit.Chapters;
import elsom.web.kit.Times;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** What panels said of a trial's produce, as far as codes are told; fewer people than a panel say nothing in a report. */
@Component
class TastingChapter implements Chapters {
    private final Tastings tastings;
    private final Clock clock;

    TastingChapter(Tastings tastings, Clock clock) {
        this.tastings = tastings;
        this.clock = clock;
    }

    @Override
    public Optional<Chapter> of(TrialRecord record, Plan plan) {
        List<Chapter.Part> parts = tastings.of(record.trial().id()).stream()
                .filter(session -> session.open() && session.tasted().done() >= Tasted.LEAST_PANEL)
                .map(session -> part(record, session))
                .toList();
        return parts.isEmpty()
                ? Optional.empty()
                : Optional.of(new Chapter(
                        "What tasters said", "/trials/" + record.trial().id() + "/tasting", parts));
    }

    private Chapter.Part part(TrialRecord record, Tastings.Session session) {
        PanelWords words = PanelWords.of(session.tasted());
        return new Chapter.Part(
                session.tasting().kind().label() + " "
                        + Times.day(session.begunAt(), record.trial().zone()) + ", "
                        + session.tasted().done() + " tasters",
                words.sentence(),
                Stream.concat(words.lines().stream(), session.told().stream()).toList(),
                Chapter.Drawing.POINTS,
                SessionPage.of(record, session, clock.instant()).points());
    }
}
