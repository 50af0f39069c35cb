package elsom.web.meter;

import elsom.core.meter.MeterCheck;
import elsom.core.meter.MeterKind;
import elsom.core.meter.MeterLog;
import elsom.core.quantity.Decimals;
import elsom.core.read.Typed;
import elsom.core.sim.BenchMeter;
import elsom.web.kit.Times;
import elsom.web.platform.Station;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.ModelAndView;

/** The meters of a station, checked in their solutions. */
@Controller
class MeterController {
    private static final int SHOWN = 5;

    private final MeterChecks checks;
    private final Clock clock;

    MeterController(MeterChecks checks, Clock clock) {
        this.checks = checks;
        this.clock = clock;
    }

    /** A solution's field. */
    public record Field(String name, String label, String typed, String problem, String solution) {}

    /** An earlier check. */
    public record Past(String when, String grade, String tone, String words) {}

    /** A meter with its last checks; {@code stands} is whether today's readings can lean on one. */
    public record MeterView(
            String code,
            String label,
            String unit,
            boolean stands,
            String advice,
            List<Field> fields,
            List<Past> past,
            List<BenchMeter.Fault> faults) {}

    @GetMapping("/meters")
    String show(Station station, Model model) {
        model.addAttribute("station", station.signature());
        model.addAttribute("meters", views(station, Map.of(), Map.of()));
        return "meter/meters";
    }

    @PostMapping("/meters")
    ModelAndView check(@RequestParam MeterKind kind, @RequestParam Map<String, String> typed, Station station) {
        Map<String, String> problems = new LinkedHashMap<>();
        List<Double> shown = new ArrayList<>();
        for (int i = 0; i < kind.solutions().size(); i++) {
            String field = kind.name() + i;
            String text = typed.getOrDefault(field, "").strip();
            boolean last = i == kind.solutions().size() - 1;
            if (text.isEmpty() && last) {
                continue;
            }
            if (Typed.parse(text, kind.unit()) instanceof Typed.Understood understood) {
                shown.add(understood.stored().value());
            } else {
                problems.put(
                        field,
                        "What does it show in " + solution(kind, i) + "? Accepted: "
                                + Decimals.upTo(kind.solutions().get(i) + 0.05, 2));
            }
        }
        if (problems.isEmpty()) {
            try {
                checks.keep(MeterCheck.of(kind, shown), station.signature(), clock.instant());
                return new ModelAndView("redirect:/meters");
            } catch (IllegalArgumentException odd) {
                problems.put(kind.name() + "0", "That can't be: " + odd.getMessage() + ".");
            }
        }
        return new ModelAndView(
                "meter/meters",
                Map.of("station", station.signature(), "meters", views(station, typed, problems)),
                HttpStatus.UNPROCESSABLE_CONTENT);
    }

    /** What the simulated meter shows in a solution. */
    @PostMapping("/device/meter/read")
    @ResponseBody
    Map<String, String> read(
            @RequestParam MeterKind kind,
            @RequestParam int solution,
            @RequestParam(defaultValue = "NONE") BenchMeter.Fault fault,
            Station station) {
        Instant now = clock.instant();
        int which = Math.max(0, Math.min(kind.solutions().size() - 1, solution));
        double hours = checks.log(station.signature(), kind).checks().stream()
                .mapToDouble(one -> Duration.between(one.at(), now).toMinutes() / 60.0)
                .findFirst()
                .orElse(24);
        return Map.of(
                "display",
                BenchMeter.shows(kind, kind.solutions().get(which), fault, hours, now.toEpochMilli() + which));
    }

    private static String solution(MeterKind kind, int i) {
        return kind == MeterKind.PH
                ? "buffer " + Decimals.fixed(kind.solutions().get(i), 2)
                : Decimals.upTo(kind.solutions().get(i), 3) + " mS/cm";
    }

    private List<MeterView> views(Station station, Map<String, String> typed, Map<String, String> problems) {
        return Arrays.stream(MeterKind.values())
                .map(kind -> view(kind, station, typed, problems))
                .toList();
    }

    private MeterView view(MeterKind kind, Station station, Map<String, String> typed, Map<String, String> problems) {
        MeterLog log = checks.log(station.signature(), kind);
        List<MeterLog.Checked> past = log.checks().stream().limit(SHOWN).toList();
        List<Field> fields = new ArrayList<>();
        for (int i = 0; i < kind.solutions().size(); i++) {
            String name = kind.name() + i;
            fields.add(new Field(
                    name,
                    "It shows in " + solution(kind, i) + (i == kind.solutions().size() - 1 ? ", if there is some" : ""),
                    typed.getOrDefault(name, ""),
                    problems.getOrDefault(name, ""),
                    String.valueOf(i)));
        }
        return new MeterView(
                kind.name(),
                kind.label(),
                kind == MeterKind.PH ? "" : "mS/cm",
                log.good(clock.instant()).isPresent(),
                past.isEmpty() ? "" : past.get(0).check().advice(),
                fields,
                past.stream()
                        .map(one -> new Past(
                                Times.dayAndTime(one.at(), ZoneId.systemDefault()),
                                one.check().grade().label(),
                                one.check().grade() == MeterCheck.Grade.BAD
                                        ? "worse"
                                        : one.check().grade() == MeterCheck.Grade.GOOD ? "better" : "partly",
                                one.check().words()))
                        .toList(),
                List.of(BenchMeter.Fault.values()));
    }
}
