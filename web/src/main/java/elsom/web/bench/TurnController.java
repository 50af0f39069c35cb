package elsom.web.bench;

import elsom.core.design.Rotation;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.Turn;
import elsom.web.kit.BenchMap;
import elsom.web.kit.ClosedPage;
import elsom.web.kit.Places;
import elsom.web.kit.Times;
import elsom.web.kit.TrialHeader;
import elsom.web.platform.Refusal;
import elsom.web.platform.Station;
import elsom.web.trial.Logbook;
import elsom.web.trial.Trials;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.stream.IntStream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Moving all units on within their blocks, by the arrows on the map. */
@Controller
@RequestMapping("/trials/{trial}/turn")
class TurnController {
    private final Trials trials;
    private final Logbook logbook;
    private final Clock clock;

    TurnController(Trials trials, Logbook logbook, Clock clock) {
        this.trials = trials;
        this.logbook = logbook;
        this.clock = clock;
    }

    /** The map before the next turn, with what was written down. */
    public record TurnPage(TrialHeader header, BenchMap map, int number, List<Move> moves, List<Made> made) {}

    /** Where a unit goes. */
    public record Move(String code, String to) {}

    /** A turn that was written down. */
    public record Made(int number, String when, String station) {}

    @GetMapping
    String show(@PathVariable long trial, Model model) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        Instant now = clock.instant();
        if (!record.trial().started()) {
            model.addAttribute("page", ClosedPage.beforeStart(TrialHeader.of(record, now, TrialHeader.Step.BENCH)));
            return "kit/closed";
        }
        Rotation.Next next = Rotation.next(record, now);
        model.addAttribute(
                "page",
                new TurnPage(
                        TrialHeader.of(record, now, TrialHeader.Step.BENCH),
                        BenchMap.moving(
                                next.from(),
                                next.to(),
                                unit -> new BenchMap.Face(
                                        "", BenchMap.State.DONE, "/trials/" + trial + "/units/" + unit.code())),
                        next.number(),
                        moves(next),
                        record.turns().stream()
                                .map(turn -> new Made(
                                        turn.number(),
                                        Times.dayAndTime(
                                                turn.at(), record.trial().zone()),
                                        turn.station()))
                                .toList()));
        return "bench/turn";
    }

    private static List<Move> moves(Rotation.Next next) {
        List<ExperimentalUnit> from = next.from().units();
        List<ExperimentalUnit> to = next.to().units();
        return IntStream.range(0, from.size())
                .filter(i -> !to.get(i).position().equals(from.get(i).position()))
                .mapToObj(i -> new Move(to.get(i).code().value(), Places.words(next.to(), to.get(i))))
                .toList();
    }

    /** All units stand as the arrows said. */
    @PostMapping
    String made(@PathVariable long trial, @RequestParam int number, Station station) {
        TrialId id = new TrialId(trial);
        Instant now = clock.instant();
        if (Rotation.next(trials.key(id), now).number() != number) {
            throw new Refusal("Somebody wrote that turn down meanwhile. Go back and look where the units stand now.");
        }
        logbook.turn(id, new Turn(number, now, station.signature()));
        return "redirect:/trials/" + trial + "/turn";
    }

    @PostMapping("/{number}/back")
    String takeBack(@PathVariable long trial, @PathVariable int number) {
        logbook.unturn(new TrialId(trial), number);
        return "redirect:/trials/" + trial + "/turn";
    }
}
