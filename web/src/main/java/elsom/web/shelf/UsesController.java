package elsom.web.shelf;

import elsom.core.material.TypicalUses;
import elsom.core.material.Use;
import elsom.core.material.UseBound;
import elsom.core.mix.Property;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Typed;
import elsom.web.lots.Uses;
import elsom.web.platform.NotFound;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Uses with their windows, to be read and edited. */
@Controller
class UsesController {
    /** Stands for a use that is only being written. */
    private static final String NEW = "own";

    private static final Use BLANK = new Use(NEW, "A use of my own", 10, "", List.of());

    private final Uses uses;

    UsesController(Uses uses) {
        this.uses = uses;
    }

    /** A property's limits as typed; all empty when the use does not ask for it. */
    record Line(
            String code,
            String label,
            String unit,
            String least,
            String leastOk,
            String mostOk,
            String most,
            String below,
            String above) {}

    /**
     * A use as its form shows it; {@code own} is whether it differs from how it came, {@code added} whether
     * the station added it, {@code open} whether its form is shown.
     */
    record UseView(
            String code,
            String name,
            String depth,
            String why,
            boolean own,
            boolean added,
            boolean open,
            String words,
            List<Line> lines,
            List<String> problems) {}

    @GetMapping("/shelf/uses")
    String all(@RequestParam(defaultValue = "") String edit, Model model) {
        model.addAttribute("page", views(edit, Optional.empty()));
        return "shelf/uses";
    }

    @PostMapping("/shelf/uses")
    ModelAndView keep(@RequestParam String code, @RequestParam Map<String, String> typed) {
        Use before = existing(code);
        List<String> problems = new ArrayList<>();
        Optional<Use> read = read(before, typed, problems);
        if (read.isEmpty()) {
            UseView view = typed(before, typed, problems);
            return new ModelAndView(
                    "shelf/uses", Map.of("page", views(code, Optional.of(view))), HttpStatus.UNPROCESSABLE_CONTENT);
        }
        uses.keep(read.get());
        return new ModelAndView("redirect:/shelf/uses#" + read.get().code());
    }

    @PostMapping("/shelf/uses/forget")
    String forget(@RequestParam String code) {
        uses.forget(existing(code).code());
        return "redirect:/shelf/uses#" + code;
    }

    private Use existing(String code) {
        return code.equals(NEW)
                ? BLANK
                : uses.find(code)
                        .orElseThrow(() -> new NotFound("There is no such use.", "/shelf/uses", "To the uses"));
    }

    private List<UseView> views(String edit, Optional<UseView> typed) {
        return Stream.concat(uses.all().stream(), Stream.of(BLANK).filter(blank -> edit.equals(NEW)))
                .map(use -> typed.filter(one -> one.code().equals(use.code()))
                        .orElseGet(() -> view(use, edit.equals(use.code()))))
                .toList();
    }

    private static UseView view(Use use, boolean open) {
        boolean own = TypicalUses.all().stream().noneMatch(typical -> alike(typical, use));
        List<Line> lines = Arrays.stream(Property.values())
                .filter(property -> property != Property.PRICE)
                .map(property -> use.bounds().stream()
                        .filter(bound -> bound.property() == property)
                        .findFirst()
                        .map(UsesController::line)
                        .orElseGet(() ->
                                new Line(property.code(), property.label(), property.unit(), "", "", "", "", "", "")))
                .toList();
        return new UseView(
                use.code(),
                use.name(),
                Decimals.upTo(use.depthCm(), 1) + " cm",
                use.why(),
                own,
                added(use),
                open,
                use.bounds().stream()
                        .map(bound -> bound.property().label() + " " + bound.words())
                        .reduce((one, other) -> one + "; " + other)
                        .orElse(""),
                lines,
                List.of());
    }

    /** Whatever the order of their bounds. */
    private static boolean alike(Use one, Use other) {
        return one.code().equals(other.code())
                && one.depthCm() == other.depthCm()
                && one.why().equals(other.why())
                && Set.copyOf(one.bounds()).equals(Set.copyOf(other.bounds()));
    }

    private static Line line(UseBound bound) {
        return new Line(
                bound.property().code(),
                bound.property().label(),
                bound.property().unit(),
                number(bound.least()),
                number(bound.leastOk()),
                number(bound.mostOk()),
                number(bound.most()),
                bound.below(),
                bound.above());
    }

    private static String number(double value) {
        return Decimals.upTo(value, 3);
    }

    private static UseView typed(Use before, Map<String, String> typed, List<String> problems) {
        List<Line> lines = view(before, true).lines().stream()
                .map(line -> new Line(
                        line.code(),
                        line.label(),
                        line.unit(),
                        text(typed, "least_" + line.code()),
                        text(typed, "leastOk_" + line.code()),
                        text(typed, "mostOk_" + line.code()),
                        text(typed, "most_" + line.code()),
                        text(typed, "below_" + line.code()),
                        text(typed, "above_" + line.code())))
                .toList();
        return new UseView(
                before.code(),
                text(typed, "name"),
                text(typed, "depth"),
                text(typed, "why"),
                true,
                added(before),
                true,
                "",
                lines,
                problems);
    }

    private static boolean added(Use use) {
        return TypicalUses.all().stream().noneMatch(typical -> typical.code().equals(use.code()));
    }

    private Optional<Use> read(Use before, Map<String, String> typed, List<String> problems) {
        double depth = before.depthCm();
        if (Typed.parse(text(typed, "depth"), UnitOfMeasure.CENTIMETRE) instanceof Typed.Understood understood
                && understood.stored().value() >= 1
                && understood.stored().value() <= ShelfController.DEEPEST_CM) {
            depth = understood.stored().value();
        } else {
            problems.add("The depth: from 1 to 100 cm. Accepted: 10 cm, 4 in.");
        }
        String name = typed.getOrDefault("name", before.name()).strip();
        if (name.isEmpty()) {
            problems.add("A use has a name. Accepted: window boxes.");
        }
        List<UseBound> bounds = new ArrayList<>();
        for (Property property : Property.values()) {
            bound(property, typed, problems).ifPresent(bounds::add);
        }
        if (!problems.isEmpty()) {
            return Optional.empty();
        }
        try {
            String code = before.code().equals(NEW)
                    ? Use.codeFor(name, uses.all().stream().map(Use::code).toList())
                    : before.code();
            return Optional.of(new Use(code, name, depth, text(typed, "why"), bounds));
        } catch (IllegalArgumentException impossible) {
            problems.add(String.valueOf(impossible.getMessage()));
            return Optional.empty();
        }
    }

    /** Empty where nothing is typed; an empty outer limit is as the inner one, an empty inner one open. */
    private static Optional<UseBound> bound(Property property, Map<String, String> typed, List<String> problems) {
        Map<String, Double> limits = new LinkedHashMap<>();
        for (String end : List.of("least", "leastOk", "mostOk", "most")) {
            String text = text(typed, end + "_" + property.code());
            if (text.isEmpty()) {
                continue;
            }
            if (Typed.parse(text, UnitOfMeasure.COUNT) instanceof Typed.Understood understood) {
                limits.put(end, understood.stored().value());
            } else {
                problems.add(property.label() + ": “" + text + "” is no number. Accepted: 35.");
            }
        }
        if (limits.isEmpty()) {
            return Optional.empty();
        }
        double leastOk = limits.getOrDefault("leastOk", limits.getOrDefault("least", 0.0));
        double mostOk = limits.getOrDefault("mostOk", limits.getOrDefault("most", property.most()));
        try {
            return Optional.of(new UseBound(
                    property,
                    limits.getOrDefault("least", leastOk),
                    leastOk,
                    mostOk,
                    limits.getOrDefault("most", mostOk),
                    text(typed, "below_" + property.code()),
                    text(typed, "above_" + property.code())));
        } catch (IllegalArgumentException impossible) {
            problems.add(String.valueOf(impossible.getMessage()) + ". Accepted: 20, 30, 45, 60.");
            return Optional.empty();
        }
    }

    private static String text(Map<String, String> typed, String field) {
        return typed.getOrDefault(field, "").strip();
    }
}
