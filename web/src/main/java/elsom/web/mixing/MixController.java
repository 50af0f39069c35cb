package elsom.web.mixing;

import elsom.core.mix.CheapestMix;
import elsom.core.mix.Mix;
import elsom.core.mix.MixPart;
import elsom.core.mix.Property;
import elsom.core.mix.Quarantine;
import elsom.core.plan.Plan;
import elsom.core.protocol.water.MixTrial;
import elsom.core.quantity.Decimals;
import elsom.core.stats.Outcome;
import elsom.web.platform.Refusal;
import elsom.web.trial.Plans;
import elsom.web.trial.Quarantines;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The cheapest mix of what is on the shelf that keeps its windows. */
@Controller
class MixController {
    private static final double DRAWN_PX = 240;

    private static final int SEEDS = 1_000_000;

    private final Quarantines quarantines;
    private final Plans plans;
    private final Clock clock;
    private final SecureRandom seeds = new SecureRandom();

    MixController(Quarantines quarantines, Plans plans, Clock clock) {
        this.quarantines = quarantines;
        this.plans = plans;
        this.clock = clock;
    }

    /** A column of the table, or a window. */
    public record Head(String code, String label, String unit) {}

    /** A layer of the drawn container; {@code y} and {@code height} in pixels. */
    public record Layer(int number, String name, String share, String volume, double y, double height) {}

    /** A predicted property beside its window. */
    public record Predicted(String label, String value) {}

    /** The page; {@code text} is how a plan reads the mix, empty without one. */
    public record MixPage(
            MixForm form,
            List<Integer> rows,
            List<Head> heads,
            String text,
            String price,
            List<Layer> layers,
            List<Predicted> predicted,
            String refused,
            List<String> apart,
            UUID token) {
        public String value(String field) {
            return form.value(field);
        }

        public String problem(String field) {
            return form.problems().getOrDefault(field, "");
        }
    }

    @GetMapping("/mix")
    String show(@RequestParam Map<String, String> sent, Model model) {
        MixForm form = MixForm.read(sent);
        Outcome<CheapestMix> found = form.problems().isEmpty() && !form.parts().isEmpty()
                ? CheapestMix.of(form.parts(), form.windows())
                : Outcome.notEstimable(form.problems().isEmpty() ? "Name a material or two" : "");
        Optional<CheapestMix> mix = found.asOptional();
        model.addAttribute(
                "page",
                new MixPage(
                        form,
                        IntStream.range(0, MixForm.ROWS).boxed().toList(),
                        Property.mixing().stream()
                                .map(property -> new Head(property.code(), property.label(), property.unit()))
                                .toList(),
                        mix.map(CheapestMix::text).orElse(""),
                        mix.map(one -> Decimals.fixed(one.price(), 3) + " a litre, "
                                        + Decimals.fixed(one.priceOf(form.batchMl(), form.settling()), 2)
                                        + " the batch")
                                .orElse(""),
                        mix.map(one -> layers(one, form)).orElse(List.of()),
                        mix.map(one -> one.predicted().entrySet().stream()
                                        .sorted(Map.Entry.comparingByKey())
                                        .map(entry -> new Predicted(
                                                entry.getKey().label(),
                                                Decimals.upTo(entry.getValue(), 2) + " "
                                                        + entry.getKey().unit()))
                                        .toList())
                                .orElse(List.of()),
                        found.whyNot()
                                .filter(why -> !why.isEmpty())
                                .map(why -> why + ".")
                                .orElse(""),
                        Quarantine.among(
                                        quarantines.all(),
                                        form.parts().stream().map(MixPart::name).toList())
                                .stream()
                                .map(Quarantine::lot)
                                .toList(),
                        UUID.randomUUID()));
        return "mixing/mix";
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

    private static List<Layer> layers(CheapestMix mix, MixForm form) {
        Mix read = mix.mix();
        List<Layer> layers = new ArrayList<>();
        double y = 0;
        int number = 0;
        for (Mix.Part part : read.parts()) {
            double share = part.parts() / read.total();
            double loose = read.looseMl(part, form.batchMl(), form.settling());
            layers.add(new Layer(
                    number++,
                    part.material(),
                    Decimals.percent(share, 1) + " %",
                    Decimals.upTo(loose / 1000, 2) + " L",
                    y,
                    DRAWN_PX * share));
            y += DRAWN_PX * share;
        }
        return layers;
    }
}
