package elsom.web.next;

import elsom.core.analysis.Answer;
import elsom.core.audit.Grade;
import elsom.core.chain.Chain;
import elsom.core.chain.Pooled;
import elsom.core.chain.Repeat;
import elsom.core.chain.Stage;
import elsom.core.next.Proposal;
import elsom.core.plan.PlanOrigin;
import elsom.core.quantity.Decimals;
import elsom.core.results.Findings;
import elsom.core.results.Headline;
import elsom.core.results.Verdict;
import elsom.core.stats.Interval;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.Json;
import elsom.web.kit.Times;
import elsom.web.kit.TrialHeader;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;

/**
 * What next.
 *
 * @param stages the chain the trial stands in, in order of time
 * @param pooled what its repeats say together
 * @param proposals at most three, the most telling first
 */
public record NextPage(TrialHeader header, List<StageLine> stages, List<PooledView> pooled, List<Offer> proposals) {
    private static final int MOST_POOLED = 8;
    private static final int STEP = 5;

    /** A trial of the chain. */
    public record StageLine(
            String question, String href, boolean here, String when, String change, String firmness, String learned) {}

    /** A comparison that several trials made. */
    public record PooledView(
            Verdict verdict, String heterogeneity, String label, String data, List<RepeatLine> repeats, String lots) {}

    /** One trial's say. */
    public record RepeatLine(String question, String href, String when, String units, String effect, Grade grade) {}

    /** A follow-up that can be begun. */
    public record Offer(
            String code, String label, String what, String reason, String narrows, String costs, UUID token) {}

    private record Forest(String label, String unit, List<Row> rows) {}

    private record Row(Mark treatment, String comparator, double difference, double low, double high, Answer answer) {}

    private record Mark(String code, String name) {}

    static NextPage of(TrialRecord record, Chain chain, List<Proposal> proposals, Instant now) {
        return new NextPage(
                TrialHeader.of(record, now, TrialHeader.Step.FINDINGS),
                stages(record, chain),
                pooled(chain),
                offers(proposals));
    }

    /** The stages of a chain as lines; none where the trial stands alone. */
    public static List<StageLine> stages(TrialRecord record, Chain chain) {
        return chain.stages().size() < 2
                ? List.of()
                : chain.stages().stream().map(stage -> line(record, stage)).toList();
    }

    private static StageLine line(TrialRecord record, Stage stage) {
        PlanOrigin origin = stage.plan().origin();
        String learned = stage.learned()
                .map(Findings.Answered::verdict)
                .map(verdict -> Headline.of(verdict).words())
                .orElse(stage.record().trial().started() ? "It has not told yet." : "Planned.");
        return new StageLine(
                stage.record().trial().question(),
                "/trials/" + stage.id() + (stage.findings().isPresent() ? "/findings" : ""),
                stage.id() == record.trial().id().value(),
                Times.day(stage.record().trial().start(), stage.record().trial().zone()),
                origin == null ? "" : origin.change(),
                stage.learned().map(told -> told.verdict().firmness().label()).orElse(""),
                learned);
    }

    /** What repeats of a chain say together, those of most trials first. */
    public static List<PooledView> pooled(Chain chain) {
        return chain.pooled().stream().limit(MOST_POOLED).map(NextPage::view).toList();
    }

    private static PooledView view(Pooled pooled) {
        List<RepeatLine> lines = new ArrayList<>();
        List<Row> rows = new ArrayList<>();
        for (Repeat repeat : pooled.repeats()) {
            double effect = pooled.effect(repeat);
            String units =
                    repeat.treatment().n() + " beside " + repeat.comparator().n();
            lines.add(new RepeatLine(
                    repeat.question(),
                    "/trials/" + repeat.trial() + "/findings",
                    Times.day(repeat.started().toInstant(), repeat.started().getZone()),
                    units,
                    pooled.told(effect),
                    repeat.grade()));
            Interval own = pooled.interval(repeat);
            rows.add(row(
                    pooled,
                    String.valueOf(rows.size() + 1),
                    "begun " + lines.get(lines.size() - 1).when(),
                    effect,
                    own,
                    pooled.answer(own)));
        }
        rows.add(row(
                pooled,
                "=",
                "all together",
                pooled.effects().estimate(),
                pooled.effects().interval95(),
                pooled.answer()));
        String label = pooled.kind().label() + ", " + pooled.treatment() + " beside " + pooled.comparator();
        return new PooledView(
                pooled.verdict(),
                pooled.heterogeneity(),
                label,
                Json.of(new Forest(label, pooled.percent() ? "%" : pooled.kind().unitSymbol(), rows)),
                lines,
                pooled.lots()
                        + (pooled.lots() == 1 ? " lot, " : " lots, ")
                        + pooled.seasons()
                        + (pooled.seasons() == 1 ? " season" : " seasons"));
    }

    private static Row row(Pooled pooled, String code, String name, double effect, Interval interval, Answer answer) {
        return new Row(
                new Mark(code, name),
                pooled.comparator(),
                pooled.shown(effect),
                pooled.shown(interval.low()),
                pooled.shown(interval.high()),
                answer);
    }

    private static String costs(Proposal proposal) {
        String times = Decimals.significant(proposal.cost(), 2);
        return times.equals("1")
                ? "It takes as much bench and time as this one."
                : "It takes " + times + " times the bench and hours of this one.";
    }

    /** Proposals as they are offered, each with its own token. */
    public static List<Offer> offers(List<Proposal> proposals) {
        return proposals.stream()
                .map(proposal -> new Offer(
                        proposal.kind().code(),
                        proposal.kind().label(),
                        proposal.what(),
                        proposal.reason(),
                        proposal.narrowing() >= 1
                                ? "An answer that can be relied on, where there is none now."
                                : "Narrows what decides by about "
                                        + STEP * Math.round(100 * proposal.narrowing() / STEP) + " %.",
                        costs(proposal),
                        UUID.randomUUID()))
                .toList();
    }
}
