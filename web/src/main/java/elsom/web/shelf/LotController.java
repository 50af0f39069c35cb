package elsom.web.shelf;

import elsom.core.material.Lot;
import elsom.core.material.LotFigure;
import elsom.core.material.MaterialKind;
import elsom.core.material.OnShelf;
import elsom.core.material.Origin;
import elsom.core.material.Preparation;
import elsom.core.material.Use;
import elsom.core.mix.Property;
import elsom.core.mix.Quarantine;
import elsom.core.quantity.Decimals;
import elsom.core.read.Moments;
import elsom.web.kit.Tones;
import elsom.web.lots.Lots;
import elsom.web.lots.Uses;
import elsom.web.platform.NotFound;
import elsom.web.trial.Quarantines;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.util.UriUtils;

/** One lot of the shelf: what it is, what is known of it and from where, and what it is fit for. */
@Controller
class LotController {
    private final Lots lots;
    private final Uses uses;
    private final Quarantines quarantines;
    private final Clock clock;

    LotController(Lots lots, Uses uses, Quarantines quarantines, Clock clock) {
        this.lots = lots;
        this.uses = uses;
        this.quarantines = quarantines;
        this.clock = clock;
    }

    /** A figure with all it was told with; {@code goneBy} is whether another is trusted more. */
    record FigureLine(
            long id,
            String property,
            String value,
            String depth,
            String origin,
            String said,
            String on,
            String trialHref,
            boolean goneBy) {}

    /** A mix's prediction beside what was measured. */
    record PredictedLine(String property, String predicted, String measured, String error) {}

    /** How fit it is for a use. */
    record Fit(String name, String href, String word, String tone, List<String> against) {}

    /** A lot's page; {@code was} is the name it stands under, empty for a new one. */
    record LotPage(
            String was,
            LotForm form,
            Map<String, String> problems,
            FigureForm figure,
            Map<String, String> figureProblems,
            List<FigureLine> figures,
            List<PredictedLine> predicted,
            List<Fit> fits,
            Optional<Quarantine> apart,
            String trialsHref) {
        public String title() {
            return was.isEmpty() ? "A new lot" : was;
        }

        public String part() {
            return was.isEmpty() ? "new" : "lots";
        }

        public List<MaterialKind> kinds() {
            return List.of(MaterialKind.values());
        }

        public List<Preparation> preparations() {
            return List.of(Preparation.values());
        }

        public List<Property> properties() {
            return List.of(Property.values());
        }

        public List<Origin> origins() {
            return List.of(Origin.values());
        }
    }

    @GetMapping("/shelf/new")
    String blank(@RequestParam(defaultValue = "") String recipe, Model model) {
        LotForm form = recipe.isBlank()
                ? LotForm.EMPTY
                : new LotForm("", "", MaterialKind.MIX.name(), today().toString(), "mixed here", Set.of(), "", recipe);
        model.addAttribute("page", page("", form, Map.of(), FigureForm.EMPTY, Map.of()));
        return "shelf/lot";
    }

    @GetMapping("/shelf/lot")
    String show(@RequestParam String name, Model model) {
        model.addAttribute("page", page(name, LotForm.of(existing(name)), Map.of(), FigureForm.EMPTY, Map.of()));
        return "shelf/lot";
    }

    @PostMapping("/shelf/lot")
    ModelAndView keep(
            @RequestParam(defaultValue = "") String was,
            @RequestParam Map<String, String> typed,
            @RequestParam(name = "prepared", required = false) @Nullable List<String> prepared) {
        LotForm form = LotForm.sent(typed, prepared);
        Map<String, String> problems = LotForm.noProblems();
        Optional<Lot> lot = form.read(today(), problems);
        boolean taken = lot.isPresent()
                && !lot.get().isCalled(was)
                && lots.find(lot.get().name()).isPresent();
        if (taken) {
            problems.put("name", "There is a “" + form.name().strip() + "” on the shelf already.");
        }
        if (!problems.isEmpty()) {
            return refused(page(was, form, problems, FigureForm.EMPTY, Map.of()));
        }
        if (was.isBlank()) {
            lots.add(lot.orElseThrow());
        } else {
            lots.change(was, lot.orElseThrow());
        }
        return new ModelAndView(
                "redirect:" + ShelfController.href(lot.orElseThrow().name()));
    }

    @PostMapping("/shelf/figure")
    ModelAndView learn(@RequestParam String name, @RequestParam Map<String, String> typed) {
        Lot lot = existing(name);
        FigureForm form = FigureForm.sent(typed);
        Map<String, String> problems = LotForm.noProblems();
        Optional<LotFigure> figure = form.read(today(), problems);
        if (figure.isEmpty()) {
            return refused(page(name, LotForm.of(lot), Map.of(), form, problems));
        }
        lots.learn(List.of(lot.with(List.of(figure.get()))));
        return new ModelAndView("redirect:" + ShelfController.href(lot.name()));
    }

    @PostMapping("/shelf/figure/remove")
    String forget(@RequestParam String name, @RequestParam long figure) {
        lots.removeFigure(name, figure);
        return "redirect:" + ShelfController.href(name);
    }

    @PostMapping("/shelf/lot/remove")
    String remove(@RequestParam String name) {
        lots.remove(name);
        return "redirect:/shelf";
    }

    private static ModelAndView refused(LotPage page) {
        return new ModelAndView("shelf/lot", Map.of("page", page), HttpStatus.UNPROCESSABLE_CONTENT);
    }

    private Lot existing(String name) {
        return lots.find(name)
                .orElseThrow(() -> new NotFound(
                        "No lot called “" + name.strip() + "” is on the shelf.", "/shelf", "To the shelf"));
    }

    private LocalDate today() {
        return LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault());
    }

    private LotPage page(
            String was,
            LotForm form,
            Map<String, String> problems,
            FigureForm figure,
            Map<String, String> figureProblems) {
        Optional<Lot> lot = was.isBlank() ? Optional.empty() : lots.find(was);
        Function<String, Optional<Lot>> shelf = lots.byName();
        return new LotPage(
                lot.map(Lot::name).orElse(""),
                form,
                problems,
                figure,
                figureProblems,
                lot.map(this::lines).orElse(List.of()),
                lot.map(one -> predicted(OnShelf.of(one, depth(one), shelf))).orElse(List.of()),
                lot.map(one -> uses.all().stream()
                                .map(use -> fit(use, OnShelf.of(one, use.depthCm(), shelf)))
                                .toList())
                        .filter(all -> form.kind().isEmpty()
                                || lot.orElseThrow().kind().fills())
                        .orElse(List.of()),
                was.isBlank()
                        ? Optional.empty()
                        : quarantines
                                .of(was)
                                .or(() -> quarantines.in(List.of(was)).stream().findFirst()),
                "/trials?q=" + UriUtils.encode(was, StandardCharsets.UTF_8));
    }

    private List<FigureLine> lines(Lot lot) {
        return lots.figures(lot.name()).stream()
                .sorted(Comparator.comparing((Lots.Kept kept) -> kept.figure().property()))
                .map(kept -> {
                    LotFigure told = kept.figure();
                    return new FigureLine(
                            kept.id(),
                            told.property().label(),
                            told.shown(),
                            told.property().byDepth() ? "in " + Decimals.upTo(told.depthCm(), 1) + " cm" : "",
                            told.origin().label(),
                            told.said(),
                            Moments.written(told.on()),
                            told.trial() > 0 ? "/trials/" + told.trial() + "/findings" : "",
                            !lot.best(told.property()).equals(Optional.of(told)));
                })
                .toList();
    }

    private static double depth(Lot lot) {
        return lot.best(Property.WATER).map(LotFigure::depthCm).orElse(LotFigure.USUAL_DEPTH_CM);
    }

    private static List<PredictedLine> predicted(OnShelf lot) {
        return lot.prediction().stream()
                .flatMap(prediction -> Arrays.stream(Property.values()).map(property -> {
                    OptionalDouble value = prediction.value(property);
                    OptionalDouble error = lot.error(property);
                    String range = property == Property.PH
                            ? prediction
                                    .ph()
                                    .map(band ->
                                            Decimals.fixed(band.low(), 1) + " to " + Decimals.fixed(band.high(), 1))
                                    .orElse("")
                            : "";
                    return new PredictedLine(
                            property.label(),
                            value.isEmpty()
                                    ? "not known of " + String.join(", ", unknown(prediction.unknown(), property))
                                    : range.isEmpty() ? LotFigure.shown(property, value.getAsDouble()) : range,
                            lot.known(property)
                                    .filter(known -> !known.predicted())
                                    .map(known -> LotFigure.shown(property, known.value()))
                                    .orElse("–"),
                            error.isEmpty()
                                    ? "–"
                                    : (error.getAsDouble() > 0 ? "+" : "")
                                            + LotFigure.shown(property, error.getAsDouble()));
                }))
                .toList();
    }

    private static List<String> unknown(Map<Property, List<String>> all, Property property) {
        List<String> parts = all.get(property);
        return parts == null ? List.of() : parts;
    }

    private static Fit fit(Use use, OnShelf lot) {
        Use.Judged judged = use.judge(lot::value);
        return new Fit(
                use.name() + ", " + Decimals.upTo(use.depthCm(), 1) + " cm",
                "/shelf?use=" + use.code(),
                judged.fitness().label(),
                Tones.of(judged.fitness()),
                judged.against());
    }
}
