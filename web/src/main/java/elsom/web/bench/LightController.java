package elsom.web.bench;

import elsom.core.design.LightAgain;
import elsom.core.design.Rotation;
import elsom.core.trial.Bench;
import elsom.core.trial.LightMap;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.ClosedPage;
import elsom.web.kit.Times;
import elsom.web.kit.TrialHeader;
import elsom.web.platform.NotFound;
import elsom.web.platform.Station;
import elsom.web.trial.Trials;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** The light grid measured again while a trial runs. */
@Controller
@RequestMapping("/trials/{trial}/light")
class LightController {
    private static final int LONGEST = 20_000;

    private final Trials trials;
    private final LightMapper grids;
    private final Clock clock;

    LightController(Trials trials, LightMapper grids, Clock clock) {
        this.trials = trials;
        this.grids = grids;
        this.clock = clock;
    }

    /** The page: benches to choose from, what was typed, and what was measured before. */
    public record LightPage(
            TrialHeader header,
            List<Bench> benches,
            int bench,
            String first,
            String typed,
            String problem,
            List<Measured> measured) {}

    /** A grid with what it says about the places. */
    public record Measured(long id, String bench, String when, String station, List<String> says) {}

    @GetMapping
    ModelAndView show(@PathVariable long trial) {
        return page(trials.snapshot(new TrialId(trial)), 1, "", "", HttpStatus.OK);
    }

    private ModelAndView page(TrialRecord record, int bench, String typed, String problem, HttpStatus status) {
        Instant now = clock.instant();
        TrialHeader header = TrialHeader.of(record, now, TrialHeader.Step.BENCH);
        if (!record.trial().started()) {
            return new ModelAndView("kit/closed", "page", ClosedPage.beforeStart(header));
        }
        List<Measured> measured = grids.of(record.trial().id()).stream()
                .map(row -> new Measured(
                        row.id(),
                        record.bench(row.bench()).name(),
                        Times.dayAndTime(row.measuredAt(), record.trial().zone()),
                        row.station(),
                        LightAgain.of(
                                        Rotation.at(record, row.measuredAt()),
                                        record.bench(row.bench()),
                                        LightMap.parse(row.grid()))
                                .words()))
                .toList();
        return new ModelAndView(
                "bench/light",
                Map.of(
                        "page",
                        new LightPage(
                                header,
                                record.benches(),
                                bench,
                                record.bench(bench).lightMap().text().replace("; ", "\n"),
                                typed,
                                problem,
                                measured)),
                status);
    }

    @PostMapping
    ModelAndView measure(
            @PathVariable long trial,
            @RequestParam(defaultValue = "1") int bench,
            @RequestParam(defaultValue = "") String grid,
            Station station) {
        TrialRecord record = trials.snapshot(new TrialId(trial));
        if (bench < 1 || bench > record.benches().size()) {
            throw new NotFound("This trial has no such bench.", "/trials/" + trial + "/light", "Back to its light");
        }
        try {
            LightMap map = LightMap.parse(grid);
            if (!map.known() || map.text().length() > LONGEST) {
                throw new IllegalArgumentException("there is no light in it");
            }
            grids.insert(
                    record.trial().id(),
                    new LightMapper.Row(0, bench, clock.instant(), station.signature(), map.text()));
            return new ModelAndView("redirect:/trials/" + trial + "/light");
        } catch (IllegalArgumentException odd) {
            return page(
                    record,
                    bench,
                    grid,
                    "That can't be read: " + odd.getMessage() + ". Accepted: a line for each row, 412 408 396.",
                    HttpStatus.UNPROCESSABLE_CONTENT);
        }
    }

    @PostMapping("/{grid}/back")
    String takeBack(@PathVariable long trial, @PathVariable long grid) {
        grids.delete(new TrialId(trial), grid);
        return "redirect:/trials/" + trial + "/light";
    }
}
