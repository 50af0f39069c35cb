package elsom.web.mixing;

import elsom.core.material.Lot;
import elsom.core.material.MaterialKind;
import elsom.core.material.OnShelf;
import elsom.core.material.Use;
import elsom.core.mix.CheapestMix;
import elsom.core.mix.MixPart;
import elsom.core.mix.MixWindow;
import elsom.core.mix.Property;
import elsom.core.mix.Quarantine;
import elsom.core.stats.Outcome;
import elsom.web.lots.Lots;
import elsom.web.lots.Uses;
import elsom.web.shelf.Containers;
import elsom.web.trial.Quarantines;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A mix put together from the shelf by hand, or the cheapest one that is fit for a use. */
@Controller
class DesignController {
    private final Lots lots;
    private final Uses uses;
    private final Quarantines quarantines;
    private final Containers containers;

    DesignController(Lots lots, Uses uses, Quarantines quarantines, Containers containers) {
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
        List<Quarantine> apart = quarantines.all();
        Optional<Use> asked = uses.find(use);
        DesignForm form = DesignForm.read(sent, asked);
        String refused = "";
        if (cheapest) {
            Outcome<CheapestMix> found = asked.isEmpty()
                    ? Outcome.notEstimable("Choose what it is for first")
                    : cheapest(lots.at(form.depthCm()), apart, asked.get());
            refused = found.whyNot().map(why -> why + ".").orElse("");
            if (found.asOptional().isPresent()) {
                Map<String, String> mixed = new HashMap<>(sent);
                mixed.put("recipe", found.asOptional().get().mix().text());
                form = DesignForm.read(mixed, asked);
            }
        }
        model.addAttribute("containers", containers.all());
        model.addAttribute("page", DesignPage.of(form, asked, uses.all(), shelf, lots.byName(), apart, refused));
        return sheet ? "mixing/design :: result" : "mixing/design";
    }

    /**
     * Of what fills a pot, is not kept apart, and has a price and all that the use asks for. pH does not add up by volume: a
     * part that is unfit by its own pH is left out.
     */
    private static Outcome<CheapestMix> cheapest(List<OnShelf> shelf, List<Quarantine> apart, Use use) {
        List<MixPart> parts = shelf.stream()
                .filter(lot -> lot.lot().kind().fills()
                        && lot.lot().kind() != MaterialKind.MIX
                        && lot.value(Property.PRICE).isPresent()
                        && Quarantine.among(apart, List.of(lot.lot().name())).isEmpty()
                        && !soured(lot, use))
                .map(DesignController::part)
                .toList();
        List<MixWindow> windows = use.bounds().stream()
                .filter(bound -> Property.mixing().contains(bound.property()))
                .map(bound -> new MixWindow(bound.property(), bound.leastOk(), bound.mostOk()))
                .toList();
        return CheapestMix.of(parts, windows);
    }

    private static boolean soured(OnShelf lot, Use use) {
        OptionalDouble ph = lot.value(Property.PH);
        return ph.isPresent()
                && use.bounds().stream()
                        .filter(bound -> bound.property() == Property.PH)
                        .anyMatch(bound -> ph.getAsDouble() < bound.least() || ph.getAsDouble() > bound.most());
    }

    private static MixPart part(OnShelf lot) {
        Map<Property, Double> known = new EnumMap<>(Property.class);
        Property.mixing().forEach(property -> lot.value(property).ifPresent(value -> known.put(property, value)));
        return new MixPart(lot.lot().name(), known, lot.value(Property.PRICE).orElseThrow(), 0, 1);
    }
}
