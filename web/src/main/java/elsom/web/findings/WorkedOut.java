package elsom.web.findings;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import elsom.core.diagnosis.Seen;
import elsom.core.protocol.Protocols;
import elsom.core.protocol.seedling.BioassayResult;
import elsom.core.results.Evidence;
import elsom.core.results.Findings;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.ClosedPage;
import elsom.web.kit.TrialHeader;
import elsom.web.trial.Plans;
import elsom.web.trial.Trials;
import java.time.Clock;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;
import org.thymeleaf.ITemplateEngine;

/** Findings of snapshots, worked out once for each snapshot and look compared at. */
@Component
public class WorkedOut {
    private static final int MOST = 60;

    private final Plans plans;
    private final Trials trials;
    private final LaterTrials laterTrials;
    private final Clock clock;
    private final LikelihoodTable causes;
    private final ITemplateEngine templates;
    private final Cache<TrialRecord, Map<Asked, Findings>> kept =
            Caffeine.newBuilder().weakKeys().maximumSize(MOST).build();

    private final Cache<Findings, Map<Integer, List<DrawnSection>>> drawn =
            Caffeine.newBuilder().weakKeys().maximumSize(MOST).build();

    WorkedOut(
            Plans plans,
            Trials trials,
            LaterTrials laterTrials,
            LikelihoodTable causes,
            ITemplateEngine templates,
            Clock clock) {
        this.trials = trials;
        this.laterTrials = laterTrials;
        this.clock = clock;
        this.causes = causes;
        causes.onChange(kept::invalidateAll);
        this.plans = plans;
        this.templates = templates;
    }

    /** What one bench's page shows of findings, drawn once: nothing in it depends on who asks, or when. */
    public List<DrawnSection> drawn(TrialRecord record, Findings findings, int bench) {
        return drawn.get(findings, fresh -> new ConcurrentHashMap<>())
                .computeIfAbsent(
                        bench, number -> DrawnSection.all(SectionView.of(record, findings, number), templates));
    }

    /** The look compared at, 0 for each question at its own; and what later trials showed of lots. */
    private record Asked(int look, Map<String, List<Seen>> later) {}

    /**
     * The findings of a trial as it stands. What later trials of the same lots showed is taken in, unless an earlier look is
     * asked for.
     *
     * @param compareAt the look to compare at; empty for each question at its own
     */
    public Findings of(TrialRecord record, OptionalInt compareAt) {
        Findings alone = alone(record, new Asked(compareAt.orElse(0), Map.of()));
        Map<String, List<Seen>> later = compareAt.isPresent() ? Map.of() : later(record, alone);
        return later.isEmpty() ? alone : alone(record, new Asked(0, later));
    }

    private Findings alone(TrialRecord record, Asked asked) {
        return kept.get(record, fresh -> new ConcurrentHashMap<>())
                .computeIfAbsent(
                        asked,
                        what -> Protocols.find(record.trial().protocol())
                                .orElseThrow()
                                .findings(Evidence.of(
                                        plans.plan(record.trial().id()),
                                        record,
                                        what.look() == 0 ? OptionalInt.empty() : OptionalInt.of(what.look()),
                                        causes.current(),
                                        what.later())));
    }

    private Map<String, List<Seen>> later(TrialRecord record, Findings alone) {
        Map<String, List<Seen>> later = new HashMap<>();
        alone.sections(BioassayResult.class).stream()
                .filter(result -> result.diagnosis().isPresent())
                .forEach(result -> {
                    List<Seen> signs = laterTrials.of(record, result.lot()).stream()
                            .map(other -> trials.snapshot(other.id()))
                            .filter(other -> ClosedPage.ofFindings(other, clock.instant(), TrialHeader.Step.FINDINGS)
                                    .isEmpty())
                            .flatMap(other ->
                                    alone(other, new Asked(0, Map.of())).sections(BioassayResult.class).stream())
                            .filter(other -> other.lot().equals(result.lot()))
                            .flatMap(other -> other.telling().stream())
                            .toList();
                    if (!signs.isEmpty()) {
                        later.put(result.lot(), unlike(signs));
                    }
                });
        return later;
    }

    /** Each sign once, as the latest trial showed it. */
    private static List<Seen> unlike(List<Seen> signs) {
        Map<String, Seen> first = new LinkedHashMap<>();
        signs.forEach(seen -> first.putIfAbsent(seen.sign().code() + seen.plants(), seen));
        return List.copyOf(first.values());
    }
}
