package elsom.web.plan;

import elsom.core.plan.Asked;
import elsom.core.plan.Plan;
import elsom.core.protocol.Protocol;
import elsom.core.protocol.Protocols;
import elsom.core.trial.Treatment;
import elsom.core.trial.Trial;
import elsom.core.trial.TrialId;
import elsom.web.trial.Plans;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Begins a trial with its question and the kind of trial that answers it. */
@Controller
class NewTrialController {
    /** A day's end is too late to start soaking, so the start offered is the full hour five hours on. */
    private static final int HOURS_TO_PREPARE = 5;

    private final Beginning beginning;
    private final Plans plans;
    private final Clock clock;

    NewTrialController(Beginning beginning, Plans plans, Clock clock) {
        this.beginning = beginning;
        this.plans = plans;
        this.clock = clock;
    }

    /** What the form offers. */
    record NewTrialPage(Form form, Problems problems, List<Protocol> protocols, UUID token) {}

    @GetMapping("/trials/new")
    String ask(Model model) {
        Form form = new Form.UnitFill()
                .put("protocol", Protocols.all().get(0).code())
                .form();
        model.addAttribute("page", new NewTrialPage(form, new Problems(), Protocols.all(), UUID.randomUUID()));
        return "plan/new";
    }

    @PostMapping("/trials/new")
    ModelAndView begin(HttpServletRequest request, @RequestParam UUID token) {
        Form form = Form.sent(request.getParameterMap());
        Problems problems = new Problems();
        Optional<Protocol> protocol = Protocols.all().stream()
                .filter(known -> known.code().value().equals(form.text("protocol")))
                .findFirst();
        if (protocol.isEmpty()) {
            problems.add("protocol", "Choose the kind of trial.");
        }
        String question = problems.required(
                "question",
                form.text("question"),
                Trial.LONGEST_QUESTION,
                "Write the question first. Accepted: "
                        + protocol.map(Protocol::exampleQuestion).orElse("Which still has water after a hot week?"));
        String crop = problems.limited("crop", form.text("crop"), Treatment.LONGEST_NAME);
        Optional<Plan> plan = problems.none()
                ? problems.tried("question", () -> draft(protocol.orElseThrow(), question, crop))
                : Optional.empty();
        if (plan.isEmpty()) {
            return new ModelAndView(
                    "plan/new",
                    Map.of("page", new NewTrialPage(form, problems, Protocols.all(), token)),
                    HttpStatus.UNPROCESSABLE_CONTENT);
        }
        TrialId id = plans.begin(plan.orElseThrow(), token);
        return new ModelAndView("redirect:" + PlanPart.QUESTION.href(id.value()));
    }

    private Plan draft(Protocol protocol, String question, String crop) {
        ZoneId zone = ZoneId.systemDefault();
        Instant start = LocalDateTime.ofInstant(clock.instant(), zone)
                .plusHours(HOURS_TO_PREPARE)
                .truncatedTo(ChronoUnit.HOURS)
                .atZone(zone)
                .toInstant();
        Plan plan = protocol.begin(question, zone, start, beginning.pots(), beginning.seed());
        return plan.with(new Asked(question, crop, List.of(), plan.asked().measures()));
    }
}
