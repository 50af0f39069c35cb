package elsom.web.mixing;

import elsom.core.mix.CheapestMix;
import elsom.core.mix.Mix;
import elsom.core.mix.MixPart;
import elsom.core.mix.Property;
import elsom.core.mix.Quarantine;
import elsom.core.quantity.Decimals;
import elsom.core.stats.Outcome;
import elsom.web.trial.Quarantines;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The cheapest mix of what is on the shelf that keeps its windows. */
@Controller
class MixController {
    private static final double DRAWN_PX = 240;

    private final Quarantines quarantines;

    MixController(Quarantines quarantines) {
        this.quarantines = quarantines;
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
            List<String> apart) {
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
                        Arrays.stream(Property.values())
                                .map(property -> new Head(property.code(), property.label(), property.unit()))
                                .toList(),
                        mix.map(CheapestMix::text).orElse(""),
                        mix.map(one -> Decimals.fixed(one.price(), 3) + " a litre, "
                                        + Decimals.fixed(one.price() * form.batchMl() / 1000 / (1 - form.settling()), 2)
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
                                .toList()));
        return "mixing/mix";
    }

    private static List<Layer> layers(CheapestMix mix, MixForm form) {
        Mix read = new Mix(mix.shares().entrySet().stream()
                .map(part -> new Mix.Part(part.getKey(), part.getValue()))
                .toList());
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
