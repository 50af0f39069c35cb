package elsom.web.findings;

import elsom.core.analysis.Together;
import elsom.core.figure.FigureKind;
import elsom.core.figure.UnitResult;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Sentence;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.results.Findings;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.Json;
import elsom.web.kit.Swatch;
import elsom.web.kit.TrialHeader;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** Two figures of the same units against each other. */
@Controller
class TwoController {
    private final OpenFindings open;

    TwoController(OpenFindings open) {
        this.open = open;
    }

    /**
     * What the page shows.
     *
     * @param says how the two go together, as a sentence
     */
    public record TwoPage(
            TrialHeader header, List<FigureKind> kinds, String x, String y, String says, String data, List<Row> rows) {}

    /** A unit with both figures. */
    public record Row(Swatch swatch, String code, String x, String y) {}

    /**
     * The units as dots.
     *
     * @param mostX what the figure across can't be above; empty where it can
     * @param mostY the same of the one upright
     */
    private record Scatter(String x, String y, List<Dot> dots, OptionalDouble mostX, OptionalDouble mostY) {}

    private record Dot(Swatch swatch, String code, double x, double y) {}

    @GetMapping("/trials/{trial}/findings/two")
    String show(
            @PathVariable long trial,
            @RequestParam(defaultValue = "") String x,
            @RequestParam(defaultValue = "") String y,
            Model model) {
        OpenFindings.Found found = open.of(trial);
        List<FigureKind> kinds = found.findings().kinds();
        Optional<FigureKind> first = chosen(kinds, x, 0);
        Optional<FigureKind> second = chosen(kinds, y, 1);
        model.addAttribute(
                "page",
                first.isEmpty() || second.isEmpty()
                        ? new TwoPage(found.header(), kinds, "", "", "", "", List.of())
                        : page(found, first.get(), second.get()));
        return "findings/two";
    }

    private static Optional<FigureKind> chosen(List<FigureKind> kinds, String code, int otherwise) {
        return kinds.stream()
                .filter(kind -> kind.code().equals(code))
                .findFirst()
                .or(() -> kinds.stream().skip(otherwise).findFirst());
    }

    private static TwoPage page(OpenFindings.Found found, FigureKind x, FigureKind y) {
        Findings findings = found.findings();
        TrialRecord record = found.record();
        List<Together.Pair> pairs = new ArrayList<>();
        List<Dot> dots = new ArrayList<>();
        List<Row> rows = new ArrayList<>();
        for (UnitResult unit : findings.units()) {
            if (unit.figure(x).isPresent() && unit.figure(y).isPresent()) {
                double atX = unit.figure(x).get().value();
                double atY = unit.figure(y).get().value();
                Swatch swatch = Swatch.of(record.treatment(unit.unit()));
                String code = unit.unit().code().value();
                pairs.add(new Together.Pair(unit.unit().treatment(), atX, atY));
                dots.add(new Dot(swatch, code, atX * scale(x), atY * scale(y)));
                rows.add(new Row(swatch, code, x.show(atX), y.show(atY)));
            }
        }
        return new TwoPage(
                found.header(),
                findings.kinds(),
                x.code(),
                y.code(),
                says(x, y, Together.of(pairs)),
                Json.of(new Scatter(axis(x), axis(y), dots, most(x), most(y))),
                rows);
    }

    private static double scale(FigureKind kind) {
        return kind.unit() == UnitOfMeasure.FRACTION ? 100 : 1;
    }

    private static OptionalDouble most(FigureKind kind) {
        return kind.unit() == UnitOfMeasure.FRACTION ? OptionalDouble.of(100) : OptionalDouble.empty();
    }

    private static String axis(FigureKind kind) {
        return kind.label() + (kind.unitSymbol().isEmpty() ? "" : ", " + kind.unitSymbol());
    }

    private static String says(FigureKind x, FigureKind y, Optional<Together> found) {
        if (found.isEmpty()) {
            return "Units of one treatment do not differ in one of the two, so nothing can be said of how they go together.";
        }
        Together together = found.get();
        return "Among units of one treatment " + Sentence.inside(x.label()) + " and " + Sentence.inside(y.label()) + " "
                + together.way().words() + ": r " + Decimals.fixed(together.r(), 2)
                + together.interval95()
                        .map(interval -> " (95 %: " + Decimals.fixed(interval.low(), 2) + " to "
                                + Decimals.fixed(interval.high(), 2) + ")")
                        .orElse("")
                + ", " + together.n() + " units. One need not cause the other.";
    }
}
