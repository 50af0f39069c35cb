package elsom.web.plan;

import elsom.core.plan.Plan;
import elsom.core.trial.TrialId;
import elsom.web.lots.Lots;
import elsom.web.measure.Measures;
import elsom.web.trial.ApartAdvice;
import elsom.web.trial.Plans;
import elsom.web.trial.Quarantines;
import elsom.web.trial.Trials;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.ZoneId;
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

/** A trial begun on one page: question, treatments, what decides, how many, begin. */
@Controller
class QuickController {
    private final Beginning beginning;
    private final Plans plans;
    private final Trials trials;
    private final Lots lots;
    private final Quarantines quarantines;
    private final Measures measures;
    private final Clock clock;

    QuickController(
            Beginning beginning,
            Plans plans,
            Trials trials,
            Lots lots,
            Quarantines quarantines,
            Measures measures,
            Clock clock) {
        this.quarantines = quarantines;
        this.trials = trials;
        this.beginning = beginning;
        this.plans = plans;
        this.lots = lots;
        this.measures = measures;
        this.clock = clock;
    }

    private QuickReader reader() {
        return new QuickReader(
                beginning.pots(), beginning.seed(), measures.known(), clock.instant(), ZoneId.systemDefault());
    }

    private QuickPage page(Form form, QuickReader.Understood understood, UUID token) {
        ZoneId zone = ZoneId.systemDefault();
        List<ApartAdvice.Apart> apart = understood.plan().stream()
                .flatMap(plan -> quarantines.of(plan).stream())
                .map(kept -> ApartAdvice.Apart.of(kept, zone))
                .toList();
        return QuickPage.of(form, QuickPage.Preview.of(understood, apart, zone), lots.fillings(), token);
    }

    @GetMapping("/trials/quick")
    String ask(Model model) {
        Form empty = Form.sent(Map.of());
        model.addAttribute("page", page(empty, reader().sketch(empty), UUID.randomUUID()));
        return "plan/quick";
    }

    /** What is typed comes to, while it is typed; nothing is kept. */
    @PostMapping("/trials/quick/preview")
    String preview(HttpServletRequest request, Model model) {
        Form form = Form.sent(request.getParameterMap());
        model.addAttribute(
                "preview", page(form, reader().sketch(form), UUID.randomUUID()).preview());
        return "plan/quick :: preview";
    }

    /** Begins it, or opens it as a plan at its question. */
    @PostMapping("/trials/quick")
    ModelAndView begin(
            HttpServletRequest request, @RequestParam UUID token, @RequestParam(defaultValue = "false") boolean open) {
        Form form = Form.sent(request.getParameterMap());
        QuickReader.Understood understood = open ? reader().opened(form) : reader().whole(form);
        Optional<Plan> plan = understood.plan();
        if (plan.isEmpty() || !understood.problems().none()) {
            return new ModelAndView(
                    "plan/quick", Map.of("page", page(form, understood, token)), HttpStatus.UNPROCESSABLE_CONTENT);
        }
        TrialId id = plans.begin(plan.get(), token);
        if (open) {
            return new ModelAndView("redirect:" + PlanPart.QUESTION.href(id.value()));
        }
        if (!trials.snapshot(id).trial().started()) {
            plans.start(id);
        }
        return new ModelAndView("redirect:" + PlanPart.READY.href(id.value()));
    }
}
