package elsom.web.bench;

import elsom.core.design.Rotation;
import elsom.core.meter.MeterKind;
import elsom.core.read.Typed;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Look;
import elsom.core.trial.LookTiming;
import elsom.core.trial.Mishap;
import elsom.core.trial.MishapKind;
import elsom.core.trial.ReadingId;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnderLimit;
import elsom.core.trial.UnitCode;
import elsom.web.device.Scale;
import elsom.web.kit.ClosedPage;
import elsom.web.kit.TrialHeader;
import elsom.web.meter.MeterChecks;
import elsom.web.platform.Acting;
import elsom.web.platform.NotFound;
import elsom.web.platform.Refusal;
import elsom.web.platform.ShownMeasures;
import elsom.web.platform.Station;
import elsom.web.trial.Logbook;
import elsom.web.trial.Trials;
import jakarta.validation.Valid;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** Measuring at the bench. */
@Controller
@RequestMapping("/trials/{trial}/bench")
class BenchController {
    private final Trials trials;
    private final Logbook logbook;
    private final Entries entries;
    private final Scale scale;
    private final MeterChecks meters;
    private final Clock clock;

    BenchController(Trials trials, Logbook logbook, Entries entries, Scale scale, MeterChecks meters, Clock clock) {
        this.meters = meters;
        this.trials = trials;
        this.logbook = logbook;
        this.entries = entries;
        this.scale = scale;
        this.clock = clock;
    }

    @GetMapping
    String show(
            @PathVariable long trial,
            @RequestParam Optional<Integer> look,
            @RequestParam Optional<String> unit,
            @RequestParam Optional<LookTiming> timing,
            Station station,
            Model model) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        Instant now = clock.instant();
        if (!record.trial().started()) {
            model.addAttribute("page", ClosedPage.beforeStart(TrialHeader.of(record, now, TrialHeader.Step.BENCH)));
            return "kit/closed";
        }
        TrialRecord standing = Rotation.at(record, now);
        Look shown = look.map(number -> record.look(number).orElseThrow(() -> missing(trial, "look " + number)))
                .or(record::nextLook)
                .orElseGet(() -> record.looks().get(record.looks().size() - 1));
        Optional<UnitCode> chosen = unit.map(code -> unit(record, code));
        model.addAttribute("unchecked", unchecked(record, shown, station, now));
        model.addAttribute(
                "page",
                BenchPage.of(
                        standing,
                        shown,
                        chosen,
                        timing.orElseGet(() -> LookTiming.likely(record, shown, now)),
                        station,
                        scale.fault(),
                        now));
        return "bench/bench";
    }

    /** Meters that a look is read with and that were not checked. */
    private List<String> unchecked(TrialRecord record, Look look, Station station, Instant now) {
        return look.endpoints().stream()
                .flatMap(code -> MeterKind.of(record.endpoint(code).unit().dimension()).stream())
                .distinct()
                .filter(kind -> meters.log(station.signature(), kind).good(now).isEmpty())
                .map(MeterKind::label)
                .toList();
    }

    /** The unit of a typed code. */
    static UnitCode unit(TrialRecord record, String code) {
        return record.called(code)
                .map(ExperimentalUnit::code)
                .orElseThrow(() -> missing(record.trial().id().value(), "unit " + code));
    }

    private static NotFound missing(long trial, String what) {
        return new NotFound("This trial has no " + what + ".", "/trials/" + trial + "/bench", "Back to the bench");
    }

    /**
     * What a typed text is understood as.
     *
     * @param good whether it can be saved
     */
    record Understanding(boolean good, String text) {}

    @GetMapping("/understood")
    @ResponseBody
    Understanding understood(
            @PathVariable long trial,
            @RequestParam String endpoint,
            @RequestParam String text,
            ShownMeasures measures) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        return record.endpoints().stream()
                .filter(known -> known.code().value().equals(endpoint))
                .findFirst()
                .map(known -> known.typed(text) instanceof Typed.Refused refused
                        ? new Understanding(false, refused.message())
                        : new Understanding(
                                true,
                                known.measured()
                                        ? measures.told(UnderLimit.told((Typed.Understood) known.typed(text), known))
                                                + BenchData.symptoms(text, known)
                                        : ""))
                .orElseThrow(() -> missing(trial, "endpoint " + endpoint));
    }

    /** What other stations read since; no content when nothing. */
    @GetMapping("/changes")
    @ResponseBody
    ResponseEntity<Changes> changes(@PathVariable long trial, @RequestParam int look, @RequestParam long since) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        Look shown = record.look(look).orElseThrow(() -> missing(trial, "look " + look));
        Changes changes = Changes.of(record, shown, since);
        return changes.seen() == since ? ResponseEntity.noContent().build() : ResponseEntity.ok(changes);
    }

    @PostMapping("/readings")
    @ResponseBody
    ResponseEntity<?> enter(
            @PathVariable long trial,
            @Valid EntryForm form,
            @RequestParam(defaultValue = "") String person,
            Station station) {
        if (!person.isEmpty() && !person.equals(Acting.person())) {
            String here = Acting.person().isEmpty() ? "nobody" : Acting.person();
            return ResponseEntity.status(HttpStatus.UNAUTHORIZED)
                    .body(Map.of(
                            "message",
                            "Typed by " + person + ", and " + here
                                    + " is at this device now: it waits here and is sent once " + person + " is."));
        }
        return answered(entries.enter(new TrialId(trial), form, station));
    }

    @PostMapping("/readings/{reading}/undo")
    @ResponseBody
    ResponseEntity<EntryAnswer> undo(
            @PathVariable long trial, @PathVariable long reading, @RequestParam UUID token, Station station) {
        return answered(entries.undo(new TrialId(trial), new ReadingId(reading), token, station));
    }

    private static ResponseEntity<EntryAnswer> answered(EntryAnswer answer) {
        HttpStatus status = switch (answer.status()) {
            case SAVED, ODD -> HttpStatus.OK;
            case STALE -> HttpStatus.CONFLICT;
            case REFUSED -> HttpStatus.UNPROCESSABLE_CONTENT;
        };
        return ResponseEntity.status(status).body(answer);
    }

    @PostMapping("/mishaps")
    String note(
            @PathVariable long trial,
            @RequestParam MishapKind kind,
            @RequestParam(defaultValue = "") String note,
            @RequestParam("unit") List<String> units,
            @RequestParam int look,
            @RequestParam UUID token,
            Station station) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        List<UnitCode> codes =
                units.stream().map(unit -> unit(record, unit)).distinct().toList();
        if (codes.isEmpty()) {
            throw missing(trial, "unit without a code");
        }
        Look during = record.look(look).orElseThrow(() -> missing(trial, "look " + look));
        if (note.strip().length() > Mishap.LONGEST_NOTE) {
            throw new Refusal("A note has at most " + Mishap.LONGEST_NOTE + " characters; this one has "
                    + note.strip().length() + ". Go back and shorten it: it is still there.");
        }
        Instant now = clock.instant();
        Instant happenedAt = LookTiming.likely(record, during, now).at(record, during, now);
        logbook.note(record.trial().id(), kind, note.strip(), codes, look, happenedAt, station.signature(), token);
        return "redirect:/trials/" + trial + "/bench?look=" + look + (kind.endsUnit() ? "" : "&unit=" + codes.get(0));
    }

    @PostMapping("/mishaps/{mishap}/withdraw")
    String withdraw(@PathVariable long trial, @PathVariable int mishap, @RequestParam int look) {
        logbook.withdraw(new TrialId(trial), mishap);
        return "redirect:/trials/" + trial + "/bench?look=" + look;
    }
}
