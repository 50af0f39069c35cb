package elsom.web.designer;

import elsom.core.material.CheapestFit;
import elsom.core.material.Lot;
import elsom.core.material.Use;
import elsom.core.mix.CheapestMix;
import elsom.core.mix.Mix;
import elsom.core.plan.Plan;
import elsom.core.protocol.water.MixTrial;
import elsom.core.stats.Outcome;
import elsom.core.trial.TrialId;
import elsom.web.lots.Lots;
import elsom.web.lots.Uses;
import elsom.web.platform.Refusal;
import elsom.web.shelf.Containers;
import elsom.web.trial.Plans;
import elsom.web.trial.Quarantines;
import elsom.web.trial.TrialLists;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A mix put together from the shelf by hand, or the cheapest one that is fit for a use. */
@Controller
class DesignerController {
    private static final int MOST_PLANS = 30;
    private static final int SEEDS = 1_000_000;

    private final Lots lots;
    private final Uses uses;
    private final Quarantines quarantines;
    private final Containers containers;
    private final Plans plans;
    private final TrialLists lists;
    private final Clock clock;
    private final SecureRandom seeds = new SecureRandom();

    DesignerController(
            Lots lots,
            Uses uses,
            Quarantines quarantines,
            Containers containers,
            Plans plans,
            TrialLists lists,
            Clock clock) {
        this.plans = plans;
        this.lists = lists;
        this.clock = clock;
        this.lots = lots;
        this.uses = uses;
        this.quarantines = quarantines;
        this.containers = containers;
    }

    @GetMapping("/mix/design")
    String show(
            @RequestParam Map<String, String> sent,
            @RequestParam(defaultValue = "") String use,
            @RequestParam(defaultValue = "false") boolean cheapest,
            @RequestParam(defaultValue = "false") boolean sheet,
            Model model) {
        List<Lot> shelf = lots.all();
        Optional<Use> asked = uses.find(use);
        DesignerForm form = DesignerForm.read(sent, asked);
        String refused = "";
        if (cheapest && form.problems().isEmpty()) {
            Outcome<CheapestMix> found = asked.isEmpty()
                    ? Outcome.notEstimable("Choose what it is for first")
                    : CheapestFit.of(lots.at(form.depthCm()), quarantines.all(), asked.get(), form.limits());
            refused = found.whyNot().map(why -> why + ".").orElse("");
            if (found.asOptional().isPresent()) {
                Map<String, String> mixed = new HashMap<>(sent);
                mixed.put("recipe", found.asOptional().get().mix().text());
                form = DesignerForm.read(mixed, asked);
            }
        }
        model.addAttribute("drafts", lists.drafts(MOST_PLANS));
        model.addAttribute("containers", containers.all());
        model.addAttribute(
                "page", DesignerPage.of(form, asked, uses.all(), shelf, lots.byName(), apartIn(form), refused));
        return sheet ? "designer/design :: result" : "designer/design";
    }

    /** Lots that are kept apart, of each part of the mix that holds one. */
    private Map<String, String> apartIn(DesignerForm form) {
        Map<String, String> apart = new LinkedHashMap<>();
        form.mix().stream()
                .flatMap(mix -> mix.parts().stream())
                .forEach(part -> quarantines.in(List.of(part.material())).stream()
                        .findFirst()
                        .ifPresent(kept -> apart.put(part.material(), kept.lot())));
        return apart;
    }

    /** Where the bench for windows of one's own was; now they are uses of one's own. */
    @GetMapping("/mix")
    String bench() {
        return "redirect:/mix/design";
    }

    /** The mix as one more treatment of a plan that has not started. */
    @PostMapping("/mix/into")
    String join(@RequestParam String mix, @RequestParam String name, @RequestParam long trial) {
        try {
            plans.revise(
                    new TrialId(trial),
                    null,
                    plan -> Optional.of(
                            plan.with(plan.treatments().and(name, Mix.parse(mix).text()), plan.pots())));
            return "redirect:/trials/" + trial + "/plan/treatments";
        } catch (IllegalArgumentException refused) {
            throw new Refusal("That plan can't take it: " + refused.getMessage() + ".");
        }
    }

    /** A water-holding trial of the mix beside its largest part alone. */
    @PostMapping("/mix/trial")
    String measure(@RequestParam String mix, @RequestParam UUID token) {
        try {
            Plan plan = MixTrial.of(
                    mix,
                    ZoneId.systemDefault(),
                    clock.instant().truncatedTo(ChronoUnit.HOURS).plus(1, ChronoUnit.DAYS),
                    seeds.nextInt(SEEDS));
            return "redirect:/trials/" + plans.begin(plan, token) + "/plan/treatments";
        } catch (IllegalArgumentException unreadable) {
            throw new Refusal("That mix can't be planned: " + unreadable.getMessage() + ".");
        }
    }
}
