package elsom.web.bench;

import elsom.core.trial.CorrectionReason;
import elsom.core.trial.Instrument;
import elsom.core.trial.LookTiming;
import elsom.core.trial.TrialId;
import elsom.web.kit.Times;
import elsom.web.platform.Refusal;
import elsom.web.platform.Station;
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

    private final IntakeKeys keys;
    private final Entries entries;

    IntakeController(IntakeKeys keys, Entries entries) {
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
     * @param token by which a second sending of the same is known; one is made where there is none
     */
    record Sent(
            long trial,
            String unit,
            int look,
            String endpoint,
            @Nullable Integer sub,
            String value,
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
                new Station(Optional.of(key.get().station())));
        return ResponseEntity.status(
                        switch (answer.status()) {
                            case SAVED, ODD -> HttpStatus.OK;
                            case STALE -> HttpStatus.CONFLICT;
                            case REFUSED -> HttpStatus.UNPROCESSABLE_CONTENT;
                        })
                .body(Map.of(
                        "status",
                        answer.status().name(),
                        "message",
                        answer.message(),
                        "reading",
                        answer.current() == null ? 0 : answer.current().id()));
    }
}
