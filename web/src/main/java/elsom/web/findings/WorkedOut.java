package elsom.web.findings;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import elsom.core.protocol.Protocols;
import elsom.core.results.Evidence;
import elsom.core.results.Findings;
import elsom.core.trial.TrialRecord;
import elsom.web.trial.Plans;
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
    private final LikelihoodTable causes;
    private final ITemplateEngine templates;
    private final Cache<TrialRecord, Map<Integer, Findings>> kept =
            Caffeine.newBuilder().weakKeys().maximumSize(MOST).build();

    private final Cache<Findings, Map<Integer, List<DrawnSection>>> drawn =
            Caffeine.newBuilder().weakKeys().maximumSize(MOST).build();

    WorkedOut(Plans plans, LikelihoodTable causes, ITemplateEngine templates) {
        this.causes = causes;
        causes.onChange(kept::invalidateAll);
        this.plans = plans;
        this.templates = templates;
    }

    /** What one bench's page shows of findings, drawn once: nothing in it depends on who asks, or when. */
    public List<DrawnSection> drawn(TrialRecord record, Findings findings, int bench) {
        return drawn.get(findings, fresh -> new ConcurrentHashMap<>())
                .computeIfAbsent(
                        bench,
                        number -> SectionView.of(record, findings, number).stream()
                                .map(section -> DrawnSection.of(section, templates))
                                .toList());
    }

    /**
     * The findings of a trial as it stands.
     *
     * @param compareAt the look to compare at; empty for each question at its own
     */
    public Findings of(TrialRecord record, OptionalInt compareAt) {
        return kept.get(record, fresh -> new ConcurrentHashMap<>())
                .computeIfAbsent(
                        compareAt.orElse(0),
                        look -> Protocols.find(record.trial().protocol())
                                .orElseThrow()
                                .findings(Evidence.of(
                                        plans.plan(record.trial().id()),
                                        record,
                                        look == 0 ? OptionalInt.empty() : OptionalInt.of(look),
                                        causes.current())));
    }
}
