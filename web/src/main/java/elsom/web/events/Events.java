package elsom.web.events;

import elsom.core.trial.TrialId;
import elsom.web.platform.Refusal;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** What was done to trials for good. */
@Repository
public class Events {
    private final EventMapper mapper;
    private final Clock clock;

    Events(EventMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    /** In the order they were done. */
    @Transactional(readOnly = true)
    public List<TrialEvent> of(TrialId trial, TrialEvent.Kind kind) {
        return mapper.of(trial).stream().filter(event -> event.kind() == kind).toList();
    }

    /** Whether what came with this token is written down. */
    @Transactional(readOnly = true)
    public boolean written(UUID token) {
        return mapper.written(token);
    }

    /** Writes one down, once for its token. */
    @Transactional
    public void write(
            TrialId trial, TrialEvent.Kind kind, String about, String was, String station, String reason, UUID token) {
        if (mapper.written(token)) {
            return;
        }
        int number =
                mapper.of(trial).stream().mapToInt(TrialEvent::number).max().orElse(0) + 1;
        mapper.insert(trial, new TrialEvent(number, kind, about, was, clock.instant(), station, reason.strip()), token);
    }

    /** What is wrong with the reason for a change of what was done; empty where it is one. */
    public static Optional<String> problem(String typed, String example) {
        String reason = typed.strip();
        return reason.isEmpty() || reason.length() > TrialEvent.LONGEST_REASON
                ? Optional.of(
                        "Say why, in at most " + TrialEvent.LONGEST_REASON + " characters. Accepted: " + example + ".")
                : Optional.empty();
    }

    /**
     * The reason for a change of what was done.
     *
     * @throws Refusal where there is none, or too much of it
     */
    public static String reason(String typed, String example) {
        problem(typed, example).ifPresent(problem -> {
            throw new Refusal(problem);
        });
        return typed.strip();
    }
}
