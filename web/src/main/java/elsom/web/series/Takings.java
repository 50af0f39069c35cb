package elsom.web.series;

import elsom.core.series.Headings;
import elsom.core.series.Mapping;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.platform.Refusal;
import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionOperations;

/** Takes files one at a time, while pages go on being answered. */
@Component
class Takings {
    private static final Logger LOG = LoggerFactory.getLogger(Takings.class);
    private static final int REMEMBERED = 50;

    private final SeriesStore store;
    private final Uploads uploads;
    private final SensedReadings sensed;
    private final TransactionOperations transaction;
    private final Clock clock;
    private final Map<UUID, Taking> takings = new ConcurrentHashMap<>();
    private final ExecutorService worker = Executors.newSingleThreadExecutor(work -> {
        Thread thread = new Thread(work, "files of sensors");
        thread.setDaemon(true);
        return thread;
    });

    Takings(SeriesStore store, Uploads uploads, SensedReadings sensed, TransactionOperations transaction, Clock clock) {
        this.store = store;
        this.uploads = uploads;
        this.sensed = sensed;
        this.transaction = transaction;
        this.clock = clock;
    }

    @PreDestroy
    void stop() {
        takings.values().forEach(Taking::cancel);
        worker.shutdown();
    }

    /** Begins to take a file; a second call for it changes nothing. */
    void begin(TrialRecord record, Uploads.Upload upload, Headings head, Mapping mapping, String station) {
        Instant now = clock.instant();
        Set<String> units =
                record.units().stream().map(unit -> unit.code().value()).collect(Collectors.toUnmodifiableSet());
        Taking taking = new Taking(mapping, head.rows(), units, now);
        Taking running = takings.putIfAbsent(upload.id(), taking);
        if (running != null && running.progress().state() == Taking.State.RUNNING) {
            return;
        }
        if (takings.size() > REMEMBERED) {
            takings.values().removeIf(old -> old.progress().state() != Taking.State.RUNNING);
        }
        takings.put(upload.id(), taking);
        worker.execute(() -> {
            if (take(record.trial().id(), upload, station, taking, now)) {
                store.remember(upload.source(), head.names(), mapping);
            }
        });
    }

    Optional<Taking> find(UUID upload) {
        return Optional.ofNullable(takings.get(upload));
    }

    /** True when it was taken. */
    private boolean take(TrialId trial, Uploads.Upload upload, String station, Taking taking, Instant now) {
        try {
            Optional<SeriesWriter.Written> written = transaction.execute(status -> {
                SeriesWriter writer = store.write(
                        trial,
                        new SeriesStore.Taken(0, upload.name(), upload.source(), upload.digest(), 0, now, station));
                taking.run(upload, writer);
                if (!taking.good()) {
                    status.setRollbackOnly();
                    return Optional.empty();
                }
                return Optional.of(writer.finish(taking.progress().rows()));
            });
            if (written == null || written.isEmpty()) {
                taking.end(taking.wasCancelled() ? Taking.State.CANCELLED : Taking.State.REFUSED, "");
                return false;
            }
            SensedReadings.Entered entered = sensed.enter(trial, station);
            taking.end(
                    Taking.State.DONE,
                    words(written.get()) + taking.belowLimit() + taking.leftOut() + " " + entered.words());
            uploads.forget(upload.id());
            return true;
        } catch (RuntimeException failed) {
            LOG.error("A file of a sensor could not be taken", failed);
            taking.failed(
                    failed instanceof Refusal refusal
                            ? refusal.message()
                            : "It could not be written; nothing of it was kept. Is the disk full? Try again.");
            return false;
        }
    }

    private static String words(SeriesWriter.Written written) {
        return written.added() + (written.added() == 1 ? " value" : " values") + " in " + written.series()
                + " series added"
                + (written.known() > 0 ? ", " + written.known() + " known already" : "")
                + (written.differing() > 0
                        ? ", " + written.differing() + " of them with another value: what was there stays"
                        : "")
                + ".";
    }
}
