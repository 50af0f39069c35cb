package elsom.web.trial;

import elsom.core.care.CareStep;
import elsom.core.plan.Plan;
import elsom.core.plan.PlanEvent;
import elsom.core.trial.Standing;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.platform.DiskSpace;
import elsom.web.platform.NotFound;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.support.TransactionOperations;

/**
 * Lists of trials. What they show of a trial is worked out once for each of its revisions and kept, so that no list reads
 * trials whole. A trial that can't be read is in them as a line that says so.
 */
@Repository
public class TrialLists {
    private static final Logger LOG = LoggerFactory.getLogger(TrialLists.class);
    private static final int LONGEST_PROBLEM = 500;
    private static final int AT_ONCE = 100;
    private static final Duration LONGEST_LATE = Duration.ofDays(30);
    private static final int MOST_LATE = 100;
    private static final int MOST_CHORES = 5000;

    private final DigestMapper digests;
    private final TrialMapper mapper;
    private final Trials trials;
    private final Plans plans;
    private final TransactionOperations transaction;
    private final DiskSpace disk;
    private final Clock clock;
    private volatile @Nullable Known known;

    TrialLists(
            DigestMapper digests,
            TrialMapper mapper,
            Trials trials,
            Plans plans,
            TransactionOperations transaction,
            DiskSpace disk,
            Clock clock) {
        this.disk = disk;
        this.clock = clock;
        this.digests = digests;
        this.mapper = mapper;
        this.trials = trials;
        this.plans = plans;
        this.transaction = transaction;
    }

    /**
     * What Today shows, each sort up to a number, and how many there are in all.
     *
     * @param due with something to do now
     */
    public record Day(
            List<Digest> due,
            List<Digest> coming,
            List<Digest> plans,
            List<Digest> finished,
            List<CantBeRead> unreadable,
            int dueInAll,
            int comingInAll,
            int plansInAll,
            int finishedInAll) {}

    /**
     * Something to be done in a trial at a time.
     *
     * @param day it is due, where the trial stands
     * @param minutes it takes
     * @param prepare what is best done the day before; may be empty
     * @param care how far it is done
     * @param lastTime what all units were given alike last time; empty where that can't be said
     */
    public record Due(
            TrialId trial,
            String question,
            ZoneId zone,
            Instant at,
            LocalDate day,
            PlanEvent.Kind kind,
            String title,
            String detail,
            int minutes,
            String prepare,
            CareStep care,
            String lastTime) {
        static Due of(DigestMapper.ChoreRow row) {
            return new Due(
                    row.trialId(),
                    row.question(),
                    row.zone(),
                    row.dueAt(),
                    LocalDate.ofInstant(row.dueAt(), row.zone()),
                    row.kind(),
                    row.title(),
                    row.name(),
                    row.minutes(),
                    row.prepare(),
                    new CareStep(
                            row.chore(),
                            row.dueAt(),
                            row.dueAt(),
                            row.closesAt(),
                            true,
                            row.unitsDone(),
                            row.unitsOf(),
                            Optional.empty()),
                    row.lastTime());
        }
    }

    /** A trial that is stored and can't be read. */
    public record CantBeRead(TrialId trial, String question, String problem) {}

    /** A trial that was put away. */
    public record PutAway(TrialId trial, String question, String problem) {}

    /** Part of the list of trials. */
    public record Found(List<Digest> trials, int inAll) {}

    /** What Today shows: what is due first of all, and of the rest, of which there are many, only what is nearest. */
    public Day day(Instant now, int mostDue, int mostOthers) {
        refresh();
        DigestMapper.Counts counts = digests.counts(now);
        return new Day(
                digested(digests.due(now, mostDue)),
                digested(digests.coming(now, mostOthers)),
                digested(digests.plans(mostOthers)),
                digested(digests.finished(mostOthers)),
                unreadable(),
                counts.due(),
                counts.coming(),
                counts.plans(),
                counts.finished());
    }

    private static List<Digest> digested(List<DigestMapper.Row> rows) {
        return rows.stream().map(DigestMapper.Row::digest).toList();
    }

    /**
     * Everything that trials have to be done between two times, in order of time: looks, steps, turns, and starts
     * of what has not started.
     */
    public List<Due> agenda(Instant from, Instant to) {
        refresh();
        DigestMapper.State state = digests.state();
        Known kept = known;
        if (kept == null || !kept.isOf(from, to, state)) {
            kept = new Known(
                    from,
                    to,
                    state,
                    digests.chores(from, to, MOST_CHORES).stream().map(Due::of).toList());
            known = kept;
        }
        return kept.agenda();
    }

    /** Steps that are late: past their time, not done for all units, and still to be done; the oldest first. */
    public List<Due> late(Instant now) {
        refresh();
        return digests.late(now.minus(LONGEST_LATE), now, MOST_LATE).stream()
                .map(Due::of)
                .toList();
    }

    /** The agenda that was asked for last: a page that is looked at all day asks for the same week again and again. */
    private record Known(Instant from, Instant to, DigestMapper.State state, List<Due> agenda) {
        boolean isOf(Instant otherFrom, Instant otherTo, DigestMapper.State now) {
            return from.equals(otherFrom) && to.equals(otherTo) && state.equals(now);
        }
    }

    /** Plans that have not started, the latest made first. */
    public List<Digest> drafts(int most) {
        refresh();
        return digested(digests.drafts(most));
    }

    public List<CantBeRead> unreadable() {
        return digests.unreadable().stream()
                .map(head -> new CantBeRead(head.id(), head.question(), head.problem()))
                .toList();
    }

    public List<PutAway> putAway(int most) {
        refresh();
        return digests.putAway(most).stream()
                .map(head -> new PutAway(head.id(), head.question(), head.problem()))
                .toList();
    }

    /**
     * Trials that are asked for: what there is to do first, then what runs, what is planned and what is done, the latest start
     * first.
     *
     * @param from how many to leave out
     */
    public Found search(Wanted wanted, int from, int most) {
        refresh();
        Instant now = clock.instant();
        return new Found(
                digested(digests.search(wanted.sought(), now, from, most)), digests.found(wanted.sought(), now));
    }

    /** Trials whose question or treatments name a material or lot, the latest start first. */
    public List<Digest> holding(String material, int most) {
        refresh();
        return digested(digests.holding(material.strip().toLowerCase(Locale.ROOT), most));
    }

    /** The kinds and years of trials that there are. */
    List<DigestMapper.Kept> kept() {
        return digests.kept();
    }

    /** The latest trials with readings that grew a crop. */
    public List<TrialId> measuredOf(String crop, int most) {
        refresh();
        return digests.measuredOf(crop, most).stream().map(DigestMapper.Row::id).toList();
    }

    /** Works out anew what lists show of trials that changed; many at a time are written at once. */
    private void refresh() {
        List<TrialId> stale = digests.stale();
        for (int from = 0; from < stale.size(); from += AT_ONCE) {
            List<Runnable> changes = new ArrayList<>();
            stale.subList(from, Math.min(stale.size(), from + AT_ONCE)).forEach(id -> changes.add(refreshed(id)));
            keep(changes);
        }
    }

    /** How to write what lists show of a trial. */
    private Runnable refreshed(TrialId id) {
        long revision =
                mapper.revisions(id).map(TrialMapper.Revisions::revision).orElse(-1L);
        try {
            TrialRecord record = trials.snapshot(id);
            Plan plan = plans.plan(id);
            Digest digest = Digest.of(record, plan);
            return () -> replace(id, () -> insert(digest, revision, record, plan));
        } catch (NotFound deletedMeanwhile) {
            return () -> LOG.debug("trial {} is gone", id);
        } catch (Unreadable unreadable) {
            String why = unreadable.reason();
            LOG.warn("trial {} can't be read: {}", id, why);
            return () ->
                    replace(id, () -> digests.insertUnreadable(id, revision, Digest.clipped(why, LONGEST_PROBLEM)));
        }
    }

    private void insert(Digest digest, long revision, TrialRecord record, Plan plan) {
        Standing.Next next = digest.standing().next();
        digests.insert(
                digest,
                revision,
                next,
                next == null ? 0 : next.done(),
                next == null ? 0 : next.expected(),
                next != null && next.weighs(),
                digest.lookHours(),
                digest.year());
        List<DigestMapper.ChoreRow> events = DigestEvents.of(record, plan);
        for (int from = 0; from < events.size(); from += AT_ONCE) {
            digests.insertChores(events.subList(from, Math.min(events.size(), from + AT_ONCE)));
        }
    }

    private void replace(TrialId id, Runnable insert) {
        if (digests.hold(id).isPresent()) {
            digests.drop(id);
            digests.dropChores(id);
            insert.run();
        }
    }

    /** Two pages may do so at once, or the disk may be full: lists show what was kept before, then. */
    private void keep(List<Runnable> changes) {
        if (!disk.sufficient()) {
            return;
        }
        try {
            transaction.executeWithoutResult(status -> changes.forEach(Runnable::run));
        } catch (DataAccessException notKept) {
            LOG.warn("what lists show was not kept: {}", notKept.getMessage());
        }
    }
}
