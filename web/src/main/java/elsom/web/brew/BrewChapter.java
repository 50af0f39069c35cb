package elsom.web.brew;

import elsom.core.brew.BrewReading;
import elsom.core.brew.Recipe;
import elsom.core.plan.Plan;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.Chapter;
import elsom.web.kit.Chapters;
import elsom.web.kit.Times;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** How a trial's brews went: what went in, their course, and what each factor did to the counts. */
@Component
class BrewChapter implements Chapters {
    private final Brews brews;
    private final Clock clock;

    BrewChapter(Brews brews, Clock clock) {
        this.brews = brews;
        this.clock = clock;
    }

    @Override
    public Optional<Chapter> of(TrialRecord record, Plan plan) {
        if (!record.trial().protocol().equals(elsom.core.protocol.general.AeratedBrew.CODE)) {
            return Optional.empty();
        }
        TrialId id = record.trial().id();
        List<BrewReading> log = brews.log(id);
        BrewsPage page = BrewsPage.of(record, plan, brews.recipe(id), log, clock.instant());
        List<Chapter.Part> parts = new ArrayList<>();
        if (page.counted()) {
            List<String> shown = page.findings().shown();
            parts.add(new Chapter.Part(
                    "What the counts say",
                    shown.isEmpty() ? "No factor is shown to change a count." : String.join(" ", shown),
                    page.findings().next(),
                    Chapter.Drawing.RATIOS,
                    page.ratios()));
        }
        if (!log.isEmpty()) {
            parts.add(new Chapter.Part(
                    "Their course",
                    "",
                    record.units().stream()
                            .flatMap(unit -> met(record, unit, log).stream())
                            .toList(),
                    Chapter.Drawing.BREWS,
                    page.course()));
        }
        parts.add(new Chapter.Part("What went in", "", wentIn(page), Chapter.Drawing.NONE, ""));
        List<String> corrected = corrected(record, log);
        if (!corrected.isEmpty()) {
            parts.add(new Chapter.Part("What was corrected", "", corrected, Chapter.Drawing.NONE, ""));
        }
        return Optional.of(new Chapter("The brews", page.base(), parts));
    }

    /** That a brew met the stop rule: how often, why first, and what became of it; empty for one that never did. */
    private static Optional<String> met(TrialRecord record, ExperimentalUnit unit, List<BrewReading> log) {
        List<BrewReading> met = log.stream()
                .filter(visit ->
                        visit.unit().equals(unit.code()) && visit.whyStop().isPresent())
                .toList();
        if (met.isEmpty()) {
            return Optional.empty();
        }
        BrewReading first = met.get(0);
        BrewReading last = met.get(met.size() - 1);
        return Optional.of(unit.code() + " met the stop rule at " + met.size()
                + (met.size() == 1 ? " visit" : " visits")
                + ", first " + Times.dayAndTime(first.at(), record.trial().zone()) + ": "
                + first.whyStop().orElseThrow() + ". "
                + (last.decision() == null ? "Nobody said what became of it." : "It " + became(last)));
    }

    private static String became(BrewReading visit) {
        String why = visit.reason().isEmpty() ? "." : ", because: " + visit.reason() + ".";
        return (visit.decision() == BrewReading.Decision.STOPPED ? "was stopped" : "went on") + why;
    }

    private List<String> corrected(TrialRecord record, List<BrewReading> log) {
        Stream<String> recipes = brews.corrections(record.trial().id()).stream()
                .map(one -> "The recipe. " + RecipePage.said(record, one) + " It said: "
                        + one.was().replace("\n", "; ") + ".");
        Stream<String> ends = log.stream()
                .filter(visit -> !visit.ends() && visit.reason().startsWith(Brews.TAKEN_BACK))
                .map(visit -> visit.unit() + ", " + VisitPage.line(record, visit) + ".");
        return Stream.concat(recipes, ends).toList();
    }

    private static List<String> wentIn(BrewsPage page) {
        Stream<String> vessels = page.sheets().stream()
                .map(sheet -> sheet.swatch().name() + ", " + sheet.litres() + ": "
                        + sheet.lines().stream().map(BrewChapter::line).collect(Collectors.joining(", ")) + ".");
        return Stream.concat(Stream.of(page.water()).filter(said -> !said.isEmpty()), vessels)
                .toList();
    }

    private static String line(Recipe.SheetLine line) {
        return line.name() + " " + line.metric()
                + (line.afterHours() > 0 ? " after " + Math.round(line.afterHours()) + " h" : "");
    }
}
