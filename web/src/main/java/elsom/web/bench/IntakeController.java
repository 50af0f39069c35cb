package elsom.web.bench;

import elsom.web.kit.Times;
import elsom.web.platform.Refusal;
import elsom.web.platform.Station;
import elsom.web.platform.Tries;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Duration;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import tools.jackson.core.JacksonException;

/** Readings from scripts of one's own, by a key that is made on the page. Described in {@code docs/files.md}. */
@Controller
class IntakeController {
    private static final String BEARER = "Bearer ";
    private static final int LONGEST_DAYS = 730;
    private static final Duration A_MINUTE = Duration.ofMinutes(1);
    private static final int A_MINUTE_EACH = 240;
    private static final int WRONG_A_QUARTER = 20;

    private final IntakeKeys keys;
    private final ScriptReadings readings;
    private final NotTaken notTaken;
    private final Tries requests = new Tries(A_MINUTE_EACH, A_MINUTE);
    private final Tries wrongKeys = new Tries(WRONG_A_QUARTER, A_MINUTE.multipliedBy(15));

    IntakeController(IntakeKeys keys, ScriptReadings readings, NotTaken notTaken) {
        this.keys = keys;
        this.readings = readings;
        this.notTaken = notTaken;
    }

    /** One that was not taken, on the page. */
    public record NotTakenLine(String sent, String station, String place, String typed, String measured, String why) {}

    /** A key on the page. */
    public record KeyLine(long id, String station, String of, String made, String used, String ends) {}

    @GetMapping("/intake")
    String show(Model model) {
        return page(model, "");
    }

    /** Makes a key; this answer is the only one that shows it. */
    @PostMapping("/intake/keys")
    String make(
            @RequestParam(defaultValue = "") String station,
            @RequestParam(defaultValue = "") String trial,
            @RequestParam(defaultValue = "90") int days,
            Model model) {
        Optional<String> problem = Station.problem(station);
        if (problem.isPresent()) {
            throw new Refusal(problem.get());
        }
        if (!trial.isBlank() && !trial.strip().matches("[0-9]{1,12}")) {
            throw new Refusal("“" + trial.strip() + "” is no trial's number. Accepted: 3, or nothing for all trials.");
        }
        if (days < 1 || days > LONGEST_DAYS) {
            throw new Refusal("A key lasts 1 to " + LONGEST_DAYS + " days. Accepted: 90.");
        }
        Long only = trial.isBlank() ? null : Long.valueOf(trial.strip());
        return page(model, keys.make(station.strip(), only, Duration.ofDays(days)));
    }

    private String page(Model model, String fresh) {
        model.addAttribute("fresh", fresh);
        model.addAttribute(
                "notTaken",
                notTaken.all().stream()
                        .map(row -> new NotTakenLine(
                                Times.dayAndTime(row.sentAt(), ZoneId.systemDefault()),
                                row.station(),
                                row.place(),
                                row.typed(),
                                row.takenAt(),
                                row.why()))
                        .toList());
        model.addAttribute(
                "made",
                keys.standing().stream()
                        .map(key -> new KeyLine(
                                key.id(),
                                key.station(),
                                key.trialId() == null ? "all trials" : "trial " + key.trialId(),
                                Times.dayAndTime(key.madeAt(), ZoneId.systemDefault()),
                                key.usedAt() == null ? "never" : Times.dayAndTime(key.usedAt(), ZoneId.systemDefault()),
                                key.endsAt() == null
                                        ? "never"
                                        : Times.dayAndTime(key.endsAt(), ZoneId.systemDefault())))
                        .toList());
        return "bench/intake";
    }

    @PostMapping("/intake/keys/{key}/withdraw")
    String withdraw(@PathVariable long key) {
        keys.withdraw(key);
        return "redirect:/intake";
    }

    @PostMapping("/intake/not-taken/clear")
    String clear() {
        notTaken.clear();
        return "redirect:/intake";
    }

    /**
     * Takes one reading: 200 when it is in the store, 401 without a key, 403 for a trial that the key is not for, 409 when another
     * stands, 422 when it can't be, 429 when too many came.
     */
    @PostMapping("/intake/readings")
    @ResponseBody
    ResponseEntity<?> take(
            @RequestHeader(name = "Authorization", defaultValue = "") String authorization,
            @RequestBody ScriptReadings.Sent sent,
            HttpServletRequest request) {
        return byKey(authorization, Arrays.asList(sent), request, station -> {
            ScriptReadings.Answer answer = readings.take(sent, station);
            notTaken.told(sent, answer, station);
            return ResponseEntity.status(
                            switch (answer.status()) {
                                case SAVED, ODD -> HttpStatus.OK;
                                case STALE -> HttpStatus.CONFLICT;
                                case REFUSED -> HttpStatus.UNPROCESSABLE_CONTENT;
                            })
                    .body(answer);
        });
    }

    /** Takes many, all of them or none: 422 with every one that can't be taken, by its place from 0. */
    @PostMapping("/intake/readings/batch")
    @ResponseBody
    ResponseEntity<?> takeAll(
            @RequestHeader(name = "Authorization", defaultValue = "") String authorization,
            @RequestBody ScriptReadings.Batch batch,
            HttpServletRequest request) {
        List<ScriptReadings.@Nullable Sent> all = batch.readings() == null ? List.of() : batch.readings();
        return byKey(authorization, all, request, station -> {
            ScriptReadings.BatchAnswer answer = readings.takeAll(batch, station);
            told(batch, answer, station);
            return ResponseEntity.status(answer.taken() ? HttpStatus.OK : HttpStatus.UNPROCESSABLE_CONTENT)
                    .body(answer);
        });
    }

    private void told(ScriptReadings.Batch batch, ScriptReadings.BatchAnswer answer, Station station) {
        if (batch.readings() == null) {
            return;
        }
        answer.readings().forEach(line -> {
            ScriptReadings.@Nullable Sent sent = batch.readings().get(line.index());
            if (sent != null) {
                notTaken.told(
                        sent,
                        new ScriptReadings.Answer(line.status(), line.message(), line.reading(), line.field()),
                        station);
            }
        });
    }

    private ResponseEntity<?> byKey(
            String authorization,
            List<ScriptReadings.@Nullable Sent> sent,
            HttpServletRequest request,
            Function<Station, ResponseEntity<?>> taking) {
        Optional<Duration> wait = wrongKeys.wait(request.getRemoteAddr());
        if (wait.isPresent()) {
            return later(wait.get());
        }
        Optional<IntakeKeys.Key> key = authorization.startsWith(BEARER)
                ? keys.of(authorization.substring(BEARER.length()).strip())
                : Optional.empty();
        if (key.isEmpty()) {
            wrongKeys.count(request.getRemoteAddr());
            return said(
                    HttpStatus.UNAUTHORIZED,
                    "Authorization",
                    "Send “Authorization: Bearer KEY” with a key from the page /intake that is neither withdrawn nor over.");
        }
        Optional<Duration> pace = requests.count(String.valueOf(key.get().id()));
        if (pace.isPresent()) {
            return later(pace.get());
        }
        if (sent.stream()
                .anyMatch(
                        one -> one != null && one.trial() != null && !key.get().fits(one.trial()))) {
            return said(
                    HttpStatus.FORBIDDEN,
                    "trial",
                    "This key is for trial " + key.get().trialId() + " only.");
        }
        return taking.apply(new Station(Optional.of(key.get().station())));
    }

    private static ResponseEntity<?> later(Duration wait) {
        long seconds = wait.toSeconds() + 1;
        return ResponseEntity.status(HttpStatus.TOO_MANY_REQUESTS)
                .header(HttpHeaders.RETRY_AFTER, String.valueOf(seconds))
                .body(Map.of(
                        "message",
                        "Too many at once: go on in " + seconds + " s. Up to 1,000 readings fit into one batch.",
                        "field",
                        ""));
    }

    private static ResponseEntity<?> said(HttpStatus status, String field, String message) {
        return ResponseEntity.status(status).body(Map.of("message", message, "field", field));
    }

    /** What is no reading at all: where in it the reader stopped. */
    @ExceptionHandler
    ResponseEntity<?> unreadable(HttpMessageNotReadableException unreadable) {
        String field = unreadable.getCause() instanceof JacksonException json
                        && !json.getPath().isEmpty()
                ? json.getPath().stream()
                        .map(JacksonException.Reference::getPropertyName)
                        .filter(Objects::nonNull)
                        .reduce((outer, inner) -> inner)
                        .orElse("")
                : "";
        return said(
                HttpStatus.BAD_REQUEST,
                field,
                "This is no reading as JSON" + (field.isEmpty() ? "" : ", because of “" + field + "”")
                        + ". Accepted: {\"trial\": 2, \"unit\": \"W76\", \"look\": 6, \"endpoint\": \"wet-mass\", \"value\":"
                        + " \"220.7 g\"}");
    }

    /** What is sent and answered, for machines. */
    @GetMapping("/intake/openapi.json")
    ResponseEntity<Resource> described() {
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_JSON)
                .body(new ClassPathResource("intake/openapi.json"));
    }
}
