package elsom.web.plan;

import elsom.core.protocol.Protocol;
import elsom.core.protocol.Protocols;
import elsom.core.protocol.TrialPlan;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Spans;
import elsom.core.trial.Container;
import elsom.core.trial.TrialId;
import elsom.core.trial.WateringSchool;
import elsom.web.platform.Refusal;
import elsom.web.shelf.Containers;
import elsom.web.trial.Trials;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.ModelAndView;

/** Begins a trial. */
@Controller
class NewTrialController {
    /** A day's end is too late to start soaking, so the start offered is the full hour five hours on. */
    private static final int HOURS_TO_PREPARE = 5;

    private final Containers containers;
    private final Trials trials;
    private final Clock clock;
    private final SecureRandom seeds = new SecureRandom();

    NewTrialController(Containers containers, Trials trials, Clock clock) {
        this.containers = containers;
        this.trials = trials;
        this.clock = clock;
    }

    /** What the form offers. */
    record NewTrialPage(
            NewTrialForm form,
            Protocol protocol,
            List<Offered> containers,
            List<WateringSchool> schools,
            Map<String, String> problems) {}

    /** A container to choose, with what it holds. */
    record Offered(String name, String label) {
        static Offered of(Container container) {
            return new Offered(
                    container.name(), container.name() + " · " + Decimals.upTo(container.volumeMl(), 0) + " mL");
        }
    }

    @GetMapping("/trials/new")
    String ask(Model model) {
        Protocol protocol = Protocols.all().get(0);
        List<Container> shelf = containers.all();
        NewTrialForm form = new NewTrialForm().padded();
        ZoneId zone = ZoneId.systemDefault();
        form.setZone(zone.getId());
        form.setStart(LocalDateTime.ofInstant(clock.instant(), zone)
                .plusHours(HOURS_TO_PREPARE)
                .truncatedTo(ChronoUnit.HOURS)
                .toString());
        form.setTimes(protocol.usualTimes().stream()
                .map(time -> time.toHours() < 48 ? time.toHours() + " h" : Spans.days(time.toSeconds() / 3600.0) + " d")
                .collect(Collectors.joining(", ")));
        form.setContainer(shelf.stream()
                .map(Container::name)
                .filter(name -> name.equals("Round pot 9 cm"))
                .findFirst()
                .orElse(shelf.get(0).name()));
        model.addAttribute("page", page(form, protocol, shelf, Map.of()));
        return "plan/new";
    }

    @PostMapping("/trials/new")
    ModelAndView begin(@ModelAttribute NewTrialForm form) {
        Protocol protocol = Protocols.all().stream()
                .filter(known -> known.code().value().equals(form.getProtocol()))
                .findFirst()
                .orElseThrow(() -> new Refusal("There is no kind of trial called “" + form.getProtocol() + "”."));
        List<Container> shelf = containers.all();
        NewTrialReader reader = new NewTrialReader(form, protocol, shelf);
        Optional<TrialPlan> plan = reader.read();
        if (plan.isEmpty()) {
            return new ModelAndView(
                    "plan/new",
                    Map.of("page", page(form.padded(), protocol, shelf, reader.problems())),
                    HttpStatus.UNPROCESSABLE_CONTENT);
        }
        TrialId id = trials.create(plan.get().draw(seeds.nextLong()), form.getToken());
        return new ModelAndView("redirect:/trials/" + id + "/plan");
    }

    private static NewTrialPage page(
            NewTrialForm form, Protocol protocol, List<Container> shelf, Map<String, String> problems) {
        return new NewTrialPage(
                form, protocol, shelf.stream().map(Offered::of).toList(), List.of(WateringSchool.values()), problems);
    }
}
