package elsom.web.column;

import elsom.core.column.DrainedPot;
import elsom.core.column.SideBySide;
import elsom.core.column.TypicalMedium;
import elsom.core.material.Lot;
import elsom.core.material.LotCurve;
import elsom.core.quantity.Decimals;
import elsom.core.water.RetentionCurve;
import elsom.web.kit.Json;
import elsom.web.lots.Lots;
import elsom.web.platform.ShownMeasures;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** Where water stands in a pot, beside pots that differ in one thing. */
@Controller
class ColumnController {
    static final double SHALLOWEST = 4;
    static final double DEEPEST = 30;
    private static final double MOST_GRAVEL = 8;
    private static final int MOST_COARSE = 100;

    /** What is set; out of range is brought to its end. */
    record Set(double depth, int texture, double gravel) {
        static Set of(double depth, int texture, double gravel) {
            return new Set(
                    Math.max(SHALLOWEST, Math.min(DEEPEST, Double.isFinite(depth) ? depth : 12)),
                    Math.max(0, Math.min(MOST_COARSE, texture)),
                    Math.max(0, Math.min(MOST_GRAVEL, Double.isFinite(gravel) ? gravel : 0)));
        }

        RetentionCurve medium() {
            return TypicalMedium.of(texture / (double) MOST_COARSE);
        }
    }

    /** A pot as it is drawn; heights in cm, shares 0 to 1. */
    record Pot(
            String name,
            double depth,
            List<double[]> outline,
            double gravel,
            double wetFoot,
            List<double[]> levels,
            String water,
            String held,
            String airy,
            String foot) {
        Pot shown(ShownMeasures measures) {
            return new Pot(
                    name,
                    depth,
                    outline,
                    gravel,
                    wetFoot,
                    levels,
                    water,
                    measures.told(held),
                    airy,
                    measures.told(foot));
        }

        static Pot of(SideBySide.Pot pot) {
            DrainedPot drained = pot.drained();
            return new Pot(
                    pot.name(),
                    drained.container().depthCm(),
                    drained.sections().stream()
                            .map(section -> new double[] {drawn(section.heightCm()), drawn(section.radiusCm())})
                            .toList(),
                    drained.gravelCm(),
                    drained.wetFootCm(),
                    drained.levels().stream()
                            .map(level -> new double[] {drawn(level.heightCm()), drawn(level.water())})
                            .toList(),
                    Decimals.percent(drained.water(), 0) + " %",
                    Decimals.upTo(drained.waterMl(), 0) + " mL",
                    Decimals.percent(drained.airyShare(), 0) + " %",
                    Decimals.fixed(drained.wetFootCm(), 1) + " cm");
        }
    }

    /** No finer than a drawing can show, so that the answer is short while a slider moves. */
    private static double drawn(double value) {
        return Math.rint(value * 1000) / 1000;
    }

    /** All pots with what is set. */
    record ColumnData(
            double depth,
            int texture,
            double gravel,
            String depthTold,
            String gravelTold,
            String lot,
            String from,
            List<Pot> pots) {
        /** The same with amounts as a device shows them. */
        ColumnData shown(ShownMeasures measures) {
            return new ColumnData(
                    depth,
                    texture,
                    gravel,
                    measures.told(depthTold),
                    measures.told(gravelTold),
                    lot,
                    from,
                    pots.stream().map(pot -> pot.shown(measures)).toList());
        }

        static ColumnData of(Set set, Medium medium) {
            return new ColumnData(
                    set.depth(),
                    set.texture(),
                    set.gravel(),
                    Decimals.upTo(set.depth(), 0) + " cm",
                    Decimals.upTo(set.gravel(), 1) + " cm",
                    medium.lot(),
                    medium.from(),
                    SideBySide.of(set.depth(), medium.curve(), set.gravel()).stream()
                            .map(Pot::of)
                            .toList());
        }
    }

    private final Lots lots;

    ColumnController(Lots lots) {
        this.lots = lots;
    }

    /** The medium of the pots: a lot of the shelf that has a curve, or a typical one. */
    record Medium(String lot, String from, RetentionCurve curve) {}

    private Medium medium(String lot, Set set) {
        return lots.find(lot)
                .flatMap(found -> LotCurve.of(found)
                        .map(curve -> new Medium(found.name(), curve.from().label(), curve.curve())))
                .orElseGet(() -> new Medium("", "typical, judged by us", set.medium()));
    }

    /** Lots that have a curve. */
    private List<String> known() {
        return lots.all().stream().filter(LotCurve::known).map(Lot::name).toList();
    }

    @GetMapping("/column")
    String show(
            @RequestParam(defaultValue = "") String lot,
            @RequestParam(defaultValue = "12") double depth,
            @RequestParam(defaultValue = "60") int texture,
            @RequestParam(defaultValue = "3") double gravel,
            Model model) {
        Set set = Set.of(depth, texture, gravel);
        ColumnData data = ColumnData.of(set, medium(lot, set));
        model.addAttribute("known", known());
        model.addAttribute("page", data);
        model.addAttribute("data", Json.of(data));
        return "column/column";
    }

    @GetMapping("/column/pots")
    @ResponseBody
    ColumnData pots(
            @RequestParam(defaultValue = "") String lot,
            @RequestParam double depth,
            @RequestParam(defaultValue = "60") int texture,
            @RequestParam double gravel,
            ShownMeasures measures) {
        Set set = Set.of(depth, texture, gravel);
        return ColumnData.of(set, medium(lot, set)).shown(measures);
    }
}
