package elsom.web.trial;

import elsom.core.protocol.seedling.InjuryBioassay;
import elsom.core.trial.ProtocolCode;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.platform.NotFound;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionOperations;

/**
 * First answers for lists. Each is worked out once for what it stands on and kept; a page waits for those that are missing
 * only as long as somebody does not notice, and shows the others when it is next opened.
 */
@Component
class Answers {
    private static final Logger LOG = LoggerFactory.getLogger(Answers.class);
    private static final Duration PATIENCE = Duration.ofMillis(400);
    private static final int LONGEST = 600;
    private static final AnswerLines.Line NONE = new AnswerLines.Line("", "");

    private final AnswerLines lines;
    private final AnswerMapper mapper;
    private final DigestMapper digests;
    private final Trials trials;
    private final TransactionOperations transaction;
    private final Map<TrialId, CompletableFuture<Void>> begun = new ConcurrentHashMap<>();
    private final ExecutorService worker = Executors.newSingleThreadExecutor(task -> {
        Thread thread = new Thread(task, "answers");
        thread.setDaemon(true);
        return thread;
    });

    Answers(
            AnswerLines lines,
            AnswerMapper mapper,
            DigestMapper digests,
            Trials trials,
            TransactionOperations transaction) {
        this.lines = lines;
        this.mapper = mapper;
        this.digests = digests;
        this.trials = trials;
        this.transaction = transaction;
    }

    @PreDestroy
    void stop() {
        worker.shutdownNow();
    }

    /**
     * The answers of measured trials, as far as they are known by now.
     *
     * @return one for each that is worked out, without words where there is none to tell; others are missing
     */
    Map<TrialId, AnswerLines.Line> of(List<Digest> listed) {
        List<Digest> measured = listed.stream().filter(Digest::measured).toList();
        if (measured.isEmpty()) {
            return Map.of();
        }
        List<TrialId> ids = measured.stream().map(Digest::id).toList();
        Map<TrialId, String> wanted = bases(measured);
        Map<TrialId, AnswerMapper.Row> kept = kept(ids);
        List<CompletableFuture<Void>> missing = measured.stream()
                .map(Digest::id)
                .filter(id -> !fresh(kept.get(id), wanted.get(id)))
                .map(id -> begun.computeIfAbsent(id, this::begin))
                .toList();
        if (!missing.isEmpty()) {
            await(missing);
            kept.putAll(kept(ids));
        }
        Map<TrialId, AnswerLines.Line> told = new HashMap<>();
        kept.forEach((id, row) -> {
            if (fresh(row, wanted.get(id))) {
                told.put(id, new AnswerLines.Line(row.firmness(), row.words()));
            }
        });
        return told;
    }

    private static boolean fresh(AnswerMapper.@Nullable Row row, @Nullable String basis) {
        return row != null && row.basis().equals(basis);
    }

    private Map<TrialId, AnswerMapper.Row> kept(List<TrialId> ids) {
        return mapper.of(ids).stream()
                .collect(Collectors.toMap(AnswerMapper.Row::trialId, row -> row, (a, b) -> b, HashMap::new));
    }

    private Map<TrialId, String> bases(List<Digest> measured) {
        Map<TrialId, Long> revisions = mapper
                .revisions(measured.stream().map(Digest::id).toList())
                .stream()
                .collect(Collectors.toMap(AnswerMapper.Revised::id, AnswerMapper.Revised::revision));
        return measured.stream()
                .collect(Collectors.toMap(
                        Digest::id, digest -> basis(digest.protocol(), revisions.getOrDefault(digest.id(), -1L))));
    }

    /** What an answer stands on; what is said of a lot stands on later trials of it too, and on the table of causes. */
    private String basis(ProtocolCode protocol, long revision) {
        return protocol.equals(InjuryBioassay.CODE)
                ? revision + " " + digests.state().revisions() + " " + lines.basis()
                : String.valueOf(revision);
    }

    /** Forgets it on the worker's thread alone: the map is being changed by this one while it begins. */
    private CompletableFuture<Void> begin(TrialId id) {
        return CompletableFuture.runAsync(
                () -> {
                    try {
                        work(id);
                    } catch (RuntimeException failed) {
                        LOG.warn("the answer of trial {} could not be worked out", id, failed);
                    } finally {
                        begun.remove(id);
                    }
                },
                worker);
    }

    private void work(TrialId id) {
        try {
            long revision = mapper.revisions(List.of(id)).stream()
                    .findFirst()
                    .map(AnswerMapper.Revised::revision)
                    .orElse(-1L);
            TrialRecord record = trials.snapshot(id);
            // Taken before the answer: what changes meanwhile makes it stale.
            String basis = basis(record.trial().protocol(), revision);
            AnswerLines.Line line = lines.of(record).orElse(NONE);
            keep(new AnswerMapper.Row(id, basis, line.firmness(), Digest.clipped(line.words(), LONGEST)));
        } catch (NotFound | Unreadable gone) {
            LOG.debug("no answer of trial {}: {}", id, gone.getMessage());
        }
    }

    private void keep(AnswerMapper.Row row) {
        try {
            transaction.executeWithoutResult(status -> {
                if (digests.hold(row.trialId()).isPresent()) {
                    mapper.drop(row.trialId());
                    mapper.insert(row);
                }
            });
        } catch (DataAccessException notKept) {
            LOG.warn("the answer of trial {} was not kept: {}", row.trialId(), notKept.getMessage());
        }
    }

    private static void await(List<CompletableFuture<Void>> missing) {
        try {
            CompletableFuture.allOf(missing.toArray(CompletableFuture[]::new))
                    .get(PATIENCE.toMillis(), TimeUnit.MILLISECONDS);
        } catch (TimeoutException | ExecutionException later) {
            LOG.debug("some answers are shown later: {}", later.toString());
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }
}
