package elsom.web.shelf;

import elsom.core.mix.Quarantine;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Typed;
import elsom.core.trial.Container;
import elsom.core.trial.ContainerShape;
import elsom.core.trial.Outline;
import elsom.web.kit.Times;
import elsom.web.trial.Quarantines;
import java.time.Instant;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.ModelAndView;

/** The containers on the shelf, and the lots that are kept apart. */
@Controller
class ContainerController {
    private final Containers containers;
    private final Quarantines quarantines;

    ContainerController(Containers containers, Quarantines quarantines) {
        this.quarantines = quarantines;
        this.containers = containers;
    }

    /** A container as typed. */
    record ContainerForm(
            String name,
            ContainerShape shape,
            Outline outline,
            String depth,
            String topLength,
            String topWidth,
            String baseLength,
            String baseWidth) {
        /** What a request left out is as if nothing was typed. */
        public ContainerForm {
            name = Objects.requireNonNullElse(name, "");
            shape = Objects.requireNonNullElse(shape, ContainerShape.TAPERED);
            outline = Objects.requireNonNullElse(outline, Outline.ROUND);
            depth = Objects.requireNonNullElse(depth, "");
            topLength = Objects.requireNonNullElse(topLength, "");
            topWidth = Objects.requireNonNullElse(topWidth, "");
            baseLength = Objects.requireNonNullElse(baseLength, "");
            baseWidth = Objects.requireNonNullElse(baseWidth, "");
        }

        static final ContainerForm EMPTY =
                new ContainerForm("", ContainerShape.TAPERED, Outline.ROUND, "", "", "", "", "");
    }

    /** The page. */
    record ContainersPage(
            List<Apart> apart,
            List<Line> containers,
            ContainerForm form,
            Map<String, String> problems,
            List<ContainerShape> shapes,
            List<Outline> outlines) {}

    /** A lot in quarantine, or one that was let go. */
    record Apart(String lot, boolean stands, String since, String reason, String goneTo, String lifted, long trial) {
        static Apart of(Quarantine kept) {
            Instant liftedAt = kept.liftedAt();
            return new Apart(
                    kept.lot(),
                    kept.stands(),
                    Times.day(kept.since(), ZoneId.systemDefault()),
                    kept.reason(),
                    kept.goneTo(),
                    liftedAt == null ? "" : Times.day(liftedAt, ZoneId.systemDefault()) + ": " + kept.liftedWhy(),
                    kept.trial());
        }
    }

    /** A container with what it holds. */
    record Line(String name, String shape, String depth, String top, String base, String volume) {
        static Line of(Container c) {
            return new Line(
                    c.name(),
                    c.shape().label() + ", " + c.outline().label(),
                    Decimals.upTo(c.depthCm(), 1),
                    size(c.outline(), c.topLengthCm(), c.topWidthCm()),
                    c.shape() == ContainerShape.BOWL ? "" : size(c.outline(), c.baseLengthCm(), c.baseWidthCm()),
                    Decimals.upTo(c.volumeMl(), 0));
        }

        private static String size(Outline outline, double length, double width) {
            return outline == Outline.ROUND
                    ? "⌀ " + Decimals.upTo(length, 1)
                    : Decimals.upTo(length, 1) + " × " + Decimals.upTo(width, 1);
        }
    }

    @GetMapping("/shelf/containers")
    String show(Model model) {
        model.addAttribute("page", page(ContainerForm.EMPTY, Map.of()));
        return "shelf/containers";
    }

    @PostMapping("/shelf/containers")
    ModelAndView add(@ModelAttribute ContainerForm form) {
        Map<String, String> problems = new LinkedHashMap<>();
        if (containers.find(form.name()).isPresent()) {
            problems.put("name", "There is a “" + form.name().strip() + "” on the shelf already.");
        }
        boolean round = form.outline() == Outline.ROUND;
        boolean straight = form.shape() == ContainerShape.STRAIGHT;
        boolean bowl = form.shape() == ContainerShape.BOWL;
        double depth = size("depth", form.depth(), problems);
        double topLength = size("topLength", form.topLength(), problems);
        double topWidth = round ? topLength : size("topWidth", form.topWidth(), problems);
        double baseLength = bowl ? 0 : straight ? topLength : size("baseLength", form.baseLength(), problems);
        double baseWidth =
                bowl ? 0 : straight ? topWidth : round ? baseLength : size("baseWidth", form.baseWidth(), problems);
        if (problems.isEmpty()) {
            try {
                containers.add(new Container(
                        form.name().strip(),
                        form.shape(),
                        form.outline(),
                        depth,
                        topLength,
                        topWidth,
                        baseLength,
                        baseWidth));
                return new ModelAndView("redirect:/shelf/containers");
            } catch (IllegalArgumentException impossible) {
                problems.put("name", String.valueOf(impossible.getMessage()));
            }
        }
        return new ModelAndView(
                "shelf/containers", Map.of("page", page(form, problems)), HttpStatus.UNPROCESSABLE_CONTENT);
    }

    private ContainersPage page(ContainerForm form, Map<String, String> problems) {
        return new ContainersPage(
                quarantines.all().stream().map(Apart::of).toList(),
                containers.all().stream().map(Line::of).toList(),
                form,
                problems,
                List.of(ContainerShape.values()),
                List.of(Outline.values()));
    }

    private static double size(String field, String text, Map<String, String> problems) {
        if (Typed.parse(text, UnitOfMeasure.CENTIMETRE) instanceof Typed.Understood typed
                && typed.stored().value() > 0
                && typed.stored().value() <= Container.LARGEST_CM) {
            return typed.stored().value();
        }
        problems.put(field, "An inner size above 0 and up to 300 cm. Accepted: 18, 18 cm, 7 in.");
        return 1;
    }
}
