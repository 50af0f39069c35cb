package elsom.web.bench;

import com.fasterxml.jackson.annotation.JsonProperty;
import elsom.core.trial.CorrectionReason;
import elsom.core.trial.Instrument;
import elsom.core.trial.LookTiming;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.Times;
import elsom.web.platform.Refusal;
import elsom.web.platform.Station;
import elsom.web.trial.Trials;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** Readings from scripts of one's own, by a key that is made on the page. Described in {@code docs/files.md}. */
@Controller
class IntakeController {
    private static final String BEARER = "Bearer ";

    private static final Duration CLOCKS_DIFFER = Duration.ofMinutes(2);
    private static final Duration A_DAY = Duration.ofHours(24);

    private final IntakeKeys keys;
    private final Entries entries;
    private final Trials trials;
    private final Clock clock;

    IntakeController(IntakeKeys keys, Entries entries, Trials trials, Clock clock) {
        this.trials = trials;
        this.clock = clock;
        this.keys = keys;
        this.entries = entries;
    }

    /** A key on the page. */
    public record KeyLine(long id, String station, String made, String used) {}

    /**
     * A reading as a script sends it.
     *
     * @param value as it would be typed: "220.7 g"
     * @param replaces the number of the reading that stands and is corrected; none for a first one
     * @param takenAt when it was measured, with its offset; now where it says nothing
     * @param token by which a second sending of the same is known; one is made where there is none
     */
    record Sent(
            long trial,
            String unit,
            int look,
            String endpoint,
            @Nullable Integer sub,
            String value,
            @JsonProperty("taken_at") @Nullable String takenAt,
            @Nullable Long replaces,
            @Nullable UUID token) {}

    @GetMapping("/intake")
    String show(Model model) {
        return page(model, "");
    }

    /** Makes a key; this answer is the only one that shows it. */
    @PostMapping("/intake/keys")
    String make(@RequestParam(defaultValue = "") String station, Model model) {
        Optional<String> problem = Station.problem(station);
        if (problem.isPresent()) {
            throw new Refusal(problem.get());
        }
        return page(model, keys.make(station.strip()));
    }

    private String page(Model model, String fresh) {
        model.addAttribute("fresh", fresh);
        model.addAttribute(
                "made",
                keys.standing().stream()
                        .map(key -> new KeyLine(
                                key.id(),
                                key.station(),
                                Times.dayAndTime(key.madeAt(), ZoneId.systemDefault()),
                                key.usedAt() == null
                                        ? "never"
                                        : Times.dayAndTime(key.usedAt(), ZoneId.systemDefault())))
                        .toList());
        return "bench/intake";
    }

    @PostMapping("/intake/keys/{key}/withdraw")
    String withdraw(@PathVariable long key) {
        keys.withdraw(key);
        return "redirect:/intake";
    }

    /** Takes one reading: 200 when it is in the store, 401 without a key, 409 when another stands, 422 when it can't be. */
    @PostMapping("/intake/readings")
    @ResponseBody
    ResponseEntity<Map<String, Object>> take(
            @RequestHeader(name = "Authorization", defaultValue = "") String authorization, @RequestBody Sent sent) {
        Optional<IntakeKeys.Key> key = authorization.startsWith(BEARER)
                ? keys.of(authorization.substring(BEARER.length()).strip())
                : Optional.empty();
        if (key.isEmpty()) {
            return ResponseEntity.status(HttpStatus.UNAUTHORIZED)
                    .body(Map.of("message", "Send “Authorization: Bearer KEY” with a key from the page /intake."));
        }
        Optional<Instant> takenAt;
        try {
            takenAt = takenAt(sent.takenAt(), clock.instant());
        } catch (IllegalArgumentException wrong) {
            return ResponseEntity.status(HttpStatus.UNPROCESSABLE_CONTENT)
                    .body(Map.of("status", "REFUSED", "message", String.valueOf(wrong.getMessage()), "reading", 0));
        }
        EntryForm form = new EntryForm(
                sent.unit(),
                sent.look(),
                sent.endpoint(),
                sent.sub() == null ? 1 : sent.sub(),
                sent.value(),
                sent.replaces(),
                sent.replaces() == null ? null : CorrectionReason.WEIGHED_AGAIN,
                LookTiming.NOW,
                Instrument.SCRIPT,
                0,
                sent.token() == null ? UUID.randomUUID() : sent.token());
        EntryAnswer answer = entries.enter(
                new TrialId(sent.trial()),
                form,
                new Station(Optional.of(key.get().station())),
                takenAt);
        String away = answer.status() == EntryAnswer.Status.SAVED || answer.status() == EntryAnswer.Status.ODD
                ? away(sent, takenAt.orElseGet(clock::instant))
                : "";
        return ResponseEntity.status(
                        switch (answer.status()) {
                            case SAVED, ODD -> HttpStatus.OK;
                            case STALE -> HttpStatus.CONFLICT;
                            case REFUSED -> HttpStatus.UNPROCESSABLE_CONTENT;
                        })
                .body(Map.of(
                        "status",
                        away.isEmpty() ? answer.status().name() : EntryAnswer.Status.ODD.name(),
                        "message",
                        (answer.message() + " " + away).strip(),
                        "reading",
                        answer.current() == null ? 0 : answer.current().id()));
    }

    /** When a script says it measured; empty for now. */
    private static Optional<Instant> takenAt(@Nullable String text, Instant now) {
        if (text == null || text.isBlank()) {
            return Optional.empty();
        }
        Instant at;
        try {
            at = OffsetDateTime.parse(text.strip()).toInstant();
        } catch (DateTimeException unreadable) {
            throw new IllegalArgumentException(
                    "“" + text + "” is no time with its offset. Accepted: 2026-11-25T14:00:00+01:00", unreadable);
        }
        if (at.isAfter(now.plus(CLOCKS_DIFFER))) {
            throw new IllegalArgumentException("“" + text + "” is still to come: no reading lies in the future.");
        }
        return Optional.of(at.isAfter(now) ? now : at);
    }

    /** What is said of a reading that was measured days from its look; empty where it was about then. */
    private String away(Sent sent, Instant at) {
        TrialRecord record = trials.snapshot(new TrialId(sent.trial()));
        return record.look(sent.look())
                .filter(look -> Duration.between(look.plannedAt(record.trial().start()), at)
                                .abs()
                                .compareTo(A_DAY)
                        > 0)
                .map(look -> "It was measured "
                        + Duration.between(look.plannedAt(record.trial().start()), at)
                                .abs()
                                .toDays()
                        + (at.isBefore(look.plannedAt(record.trial().start())) ? " days before" : " days after")
                        + " the look “" + look.name() + "”: is it of another one?")
                .orElse("");
    }
}
