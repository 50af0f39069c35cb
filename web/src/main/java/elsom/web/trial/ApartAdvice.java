package elsom.web.trial;

import elsom.core.mix.Quarantine;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.Times;
import java.time.ZoneId;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;

/** Lets every page of a trial say which of its lots are in quarantine, and pages of no trial which lots are at all. */
@ControllerAdvice
public class ApartAdvice {
    private final Quarantines quarantines;
    private final Plans plans;
    private final Trials trials;

    ApartAdvice(Quarantines quarantines, Plans plans, Trials trials) {
        this.quarantines = quarantines;
        this.plans = plans;
        this.trials = trials;
    }

    /** A lot in quarantine, with since when (where a trial's time zone is known) and why. */
    public record Apart(String lot, String said, String href) {
        public static Apart of(Quarantine kept, @Nullable ZoneId zone) {
            String since = zone == null ? "" : "Since " + Times.day(kept.since(), zone);
            String why = Stream.of(since, kept.reason())
                    .filter(text -> !text.isEmpty())
                    .collect(Collectors.joining(": "));
            return new Apart(
                    kept.lot(),
                    (why.isEmpty() ? "" : why.substring(0, 1).toUpperCase(Locale.ROOT) + why.substring(1) + ". ")
                            + "Use it only to find out what is wrong with it.",
                    kept.trial() > 0 ? "/trials/" + kept.trial() + "/findings" : "/shelf/containers");
        }
    }

    /** Looked up only by a page that shows it. */
    @FunctionalInterface
    public interface ApartLots {
        List<Apart> lots();
    }

    @ModelAttribute("apart")
    ApartLots apart(@PathVariable(name = "trial", required = false) @Nullable Long trial) {
        return () -> trial == null ? everywhere() : of(trials.snapshot(new TrialId(trial)));
    }

    private List<Apart> everywhere() {
        return quarantines.all().stream()
                .filter(Quarantine::stands)
                .map(kept -> Apart.of(kept, null))
                .toList();
    }

    /** Of a blind trial that has started nothing: a lot's name would tell what is in its pots. */
    private List<Apart> of(TrialRecord record) {
        boolean hidden = record.trial().started() && record.trial().blind();
        boolean none = quarantines.all().stream().noneMatch(Quarantine::stands);
        return hidden || none
                ? List.of()
                : quarantines.of(plans.kept(record.trial().id()).plan()).stream()
                        .map(kept -> Apart.of(kept, record.trial().zone()))
                        .toList();
    }
}
