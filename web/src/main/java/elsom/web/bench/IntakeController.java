package elsom.web.bench;

import elsom.web.kit.Times;
import elsom.web.platform.Refusal;
import elsom.web.platform.Station;
import java.time.ZoneId;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
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
    private final ScriptReadings readings;
    private final NotTaken notTaken;

    IntakeController(IntakeKeys keys, ScriptReadings readings, NotTaken notTaken) {
        this.keys = keys;
        this.readings = readings;
        this.notTaken = notTaken;
    }

    /** One that was not taken, on the page. */
    public record NotTakenLine(String sent, String station, String place, String typed, String measured, String why) {}

    /** A key on the page. */
    public record KeyLine(long id, String station, String made, String used) {}

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

    @PostMapping("/intake/not-taken/clear")
    String clear() {
        notTaken.clear();
        return "redirect:/intake";
    }

    /** Takes one reading: 200 when it is in the store, 401 without a key, 409 when another stands, 422 when it can't be. */
    @PostMapping("/intake/readings")
    @ResponseBody
    ResponseEntity<?> take(
            @RequestHeader(name = "Authorization", defaultValue = "") String authorization,
            @RequestBody ScriptReadings.Sent sent) {
        return byKey(authorization, station -> {
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
            @RequestBody ScriptReadings.Batch batch) {
        return byKey(authorization, station -> {
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
                notTaken.told(sent, new ScriptReadings.Answer(line.status(), line.message(), line.reading()), station);
            }
        });
    }

    private ResponseEntity<?> byKey(String authorization, Function<Station, ResponseEntity<?>> taking) {
        Optional<IntakeKeys.Key> key = authorization.startsWith(BEARER)
                ? keys.of(authorization.substring(BEARER.length()).strip())
                : Optional.empty();
        if (key.isEmpty()) {
            return ResponseEntity.status(HttpStatus.UNAUTHORIZED)
                    .body(Map.of("message", "Send “Authorization: Bearer KEY” with a key from the page /intake."));
        }
        return taking.apply(new Station(Optional.of(key.get().station())));
    }
}
