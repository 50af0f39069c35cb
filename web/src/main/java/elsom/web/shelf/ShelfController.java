package elsom.web.shelf;

import elsom.core.material.Fitness;
import elsom.core.material.Lot;
import elsom.core.material.LotFigure;
import elsom.core.material.MaterialKind;
import elsom.core.material.OnShelf;
import elsom.core.material.TypicalLots;
import elsom.core.material.Use;
import elsom.core.mix.Property;
import elsom.core.mix.Quarantine;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Typed;
import elsom.web.kit.Tones;
import elsom.web.lots.Lots;
import elsom.web.lots.Uses;
import elsom.web.trial.Quarantines;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Predicate;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriUtils;

/** What stands on the shelf, compared. */
@Controller
class ShelfController {
    static final double DEEPEST_CM = 100;
    private static final String EVERYTHING = "ALL";
    private static final int ROWS = 40;

    private final Lots lots;
    private final Uses uses;
    private final Quarantines quarantines;
    private final Clock clock;

    ShelfController(Lots lots, Uses uses, Quarantines quarantines, Clock clock) {
        this.clock = clock;
        this.lots = lots;
        this.uses = uses;
        this.quarantines = quarantines;
    }

    /** A lot in the table. */
    record Row(
            String name,
            String href,
            String what,
            boolean apart,
            String fit,
            String tone,
            List<String> against,
            List<LotViews.Cell> cells) {}

    /** What is compared; {@code use} and {@code kind} are empty for none chosen. */
    record ShelfPage(
            String use,
            String useHref,
            String why,
            String kind,
            String depth,
            String depthProblem,
            String sort,
            List<Use> uses,
            List<MaterialKind> kinds,
            List<LotViews.Head> heads,
            String carried,
            String query,
            int number,
            int pages,
            boolean bare,
            List<Row> rows) {
        public String sortHref(String by) {
            return "/shelf?use=" + use + "&kind=" + encoded(kind) + "&depth=" + encoded(depth) + "&q=" + encoded(query)
                    + "&sort=" + by;
        }

        public String pageHref(int to) {
            return sortHref(encoded(sort)) + "&page=" + to;
        }

        private static String encoded(String text) {
            return UriUtils.encode(text, StandardCharsets.UTF_8);
        }
    }

    /** How deep the medium stands, as typed. */
    private record Depth(String typed, double cm, String problem) {
        static Depth of(String typed, Optional<Use> use) {
            double usual = use.map(Use::depthCm).orElse(LotFigure.USUAL_DEPTH_CM);
            if (typed.isBlank()) {
                return new Depth(Decimals.upTo(usual, 1) + " cm", usual, "");
            }
            return Typed.parse(typed, UnitOfMeasure.CENTIMETRE) instanceof Typed.Understood understood
                            && understood.stored().value() >= 1
                            && understood.stored().value() <= DEEPEST_CM
                    ? new Depth(typed.strip(), understood.stored().value(), "")
                    : new Depth(typed, usual, "A depth from 1 to 100 cm. Accepted: 10 cm, 4 in.");
        }
    }

    /** Puts typical materials on a shelf to begin with. */
    @PostMapping("/shelf/typical")
    String begin() {
        lots.learn(TypicalLots.all(LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault())));
        return "redirect:/shelf";
    }

    @GetMapping("/shelf")
    String show(
            @RequestParam(defaultValue = "") String use,
            @RequestParam(defaultValue = "") String kind,
            @RequestParam(defaultValue = "") String depth,
            @RequestParam(defaultValue = "") String sort,
            @RequestParam(defaultValue = "") String q,
            @RequestParam(defaultValue = "1") int page,
            Model model) {
        Optional<Use> asked = uses.find(use);
        Depth deep = Depth.of(depth, asked);
        List<OnShelf> shown = lots.at(deep.cm()).stream()
                .filter(lot -> kind.isEmpty()
                        ? lot.lot().kind().fills()
                        : kind.equals(EVERYTHING) || lot.lot().kind().name().equals(kind))
                .toList();
        List<LotViews.Scale> scales = Arrays.stream(Property.values())
                .map(property -> new LotViews.Scale(property, shown, asked))
                .toList();
        String by = sort.isEmpty() ? asked.isPresent() ? "fit" : "name" : sort;
        List<OnShelf> named = shown.stream()
                .filter(lot -> q.isBlank()
                        || (lot.lot().name() + " " + lot.lot().material() + " "
                                        + lot.lot().recipe())
                                .toLowerCase(Locale.ROOT)
                                .contains(q.strip().toLowerCase(Locale.ROOT)))
                .toList();
        int pages = Math.max(1, (named.size() + ROWS - 1) / ROWS);
        int number = Math.max(1, Math.min(pages, page));
        Predicate<Lot> apart = apart();
        model.addAttribute(
                "page",
                new ShelfPage(
                        asked.map(Use::code).orElse(""),
                        "/shelf/uses?edit=" + asked.map(Use::code).orElse(""),
                        asked.map(one -> one.name() + ", " + Decimals.upTo(one.depthCm(), 1) + " cm deep: " + one.why())
                                .orElse(""),
                        kind,
                        deep.typed(),
                        deep.problem(),
                        by,
                        uses.all(),
                        List.of(MaterialKind.values()),
                        LotViews.heads(),
                        "Water and air as in " + Decimals.upTo(deep.cm(), 1)
                                + " cm: told at another depth, they are carried over by a typical medium's curve.",
                        q,
                        number,
                        pages,
                        lots.all().isEmpty(),
                        named.stream()
                                .map(lot -> new Placed(
                                        lot,
                                        asked.map(one -> one.fitness(lot::value))
                                                .orElse(Fitness.UNKNOWN)))
                                .sorted(order(by))
                                .map(Placed::lot)
                                .skip((long) ROWS * (number - 1))
                                .limit(ROWS)
                                .map(lot -> row(lot, scales, asked, apart))
                                .toList()));
        return "shelf/shelf";
    }

    /** A lot with what it is worth for the use, worked out once. */
    private record Placed(OnShelf lot, Fitness fitness) {
        String name() {
            return lot.lot().name().toLowerCase(Locale.ROOT);
        }
    }

    private static Comparator<Placed> order(String by) {
        Comparator<Placed> byName = Comparator.comparing(Placed::name);
        Optional<Property> property = Property.called(by);
        if (property.isPresent()) {
            return Comparator.<Placed>comparingDouble(
                            placed -> -placed.lot().value(property.get()).orElse(-1))
                    .thenComparing(byName);
        }
        return by.equals("fit") ? Comparator.comparing(Placed::fitness).thenComparing(byName) : byName;
    }

    /** Whether a lot is in quarantine, or a mix of one that is. */
    private Predicate<Lot> apart() {
        boolean none = quarantines.all().stream().noneMatch(Quarantine::stands);
        return lot -> !none
                && (quarantines.of(lot.name()).isPresent()
                        || (lot.kind() == MaterialKind.MIX
                                && !quarantines.in(List.of(lot.recipe())).isEmpty()));
    }

    private static Row row(OnShelf lot, List<LotViews.Scale> scales, Optional<Use> use, Predicate<Lot> apart) {
        Optional<Use.Judged> judged = use.map(asked -> asked.judge(lot::value));
        String name = lot.lot().name();
        return new Row(
                name,
                href(name),
                lot.lot().kind() == MaterialKind.MIX
                        ? "mix: " + lot.lot().recipe()
                        : lot.lot().kind().label()
                                + (lot.lot().material().equals(name)
                                        ? ""
                                        : " · " + lot.lot().material()),
                apart.test(lot.lot()),
                judged.map(one -> one.fitness().label()).orElse(""),
                judged.map(one -> Tones.of(one.fitness())).orElse(""),
                judged.map(Use.Judged::against).orElse(List.of()),
                scales.stream().map(scale -> LotViews.cell(lot, scale)).toList());
    }

    /** A lot's own page. */
    static String href(String name) {
        return "/shelf/lot?name=" + UriUtils.encode(name, StandardCharsets.UTF_8);
    }
}
