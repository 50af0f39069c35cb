package elsom.web.demo;

import elsom.core.material.Lot;
import elsom.core.material.LotFigure;
import elsom.core.material.MaterialKind;
import elsom.core.material.Origin;
import elsom.core.material.Preparation;
import elsom.core.mix.Property;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.findings.ShelfLearning;
import elsom.web.findings.WorkedOut;
import elsom.web.lots.Lots;
import elsom.web.trial.Trials;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import org.springframework.stereotype.Component;

/** The yard's shelf: materials as delivered, a lab sheet, two mixes, and what the trials measured of them. */
@Component
class DemoShelf {
    static final String MEASURED_MIX = "3 wood fibre + 2 leaf mould";
    private static final String SHEET = "sheet 118";

    private final Lots lots;
    private final ShelfLearning learning;
    private final WorkedOut workedOut;
    private final Trials trials;

    DemoShelf(Lots lots, ShelfLearning learning, WorkedOut workedOut, Trials trials) {
        this.lots = lots;
        this.learning = learning;
        this.workedOut = workedOut;
        this.trials = trials;
    }

    /**
     * Fills it.
     *
     * @param measured trials whose media are learnt from
     */
    void fill(LocalDate today, List<TrialId> measured) {
        LocalDate spring = today.minusDays(70);
        List<Lot> shelf = new ArrayList<>(List.of(
                medium("wood fibre", "wood fibre", MaterialKind.ORGANIC, spring, "bale", 46, 46, 110, 5.0, 20, 0.060),
                medium(
                        "rice hulls",
                        "rice hulls",
                        MaterialKind.ORGANIC,
                        spring,
                        "sack, parboiled",
                        20,
                        65,
                        105,
                        6.2,
                        10,
                        0.055),
                medium(
                        "composted bracken",
                        "composted bracken",
                        MaterialKind.ORGANIC,
                        spring,
                        "own heap, two years",
                        58,
                        28,
                        210,
                        4.5,
                        180,
                        0.085),
                medium(
                        "leaf mould",
                        "leaf mould",
                        MaterialKind.ORGANIC,
                        spring,
                        "own heap, three years, sieved 8 mm",
                        60,
                        24,
                        260,
                        6.1,
                        90,
                        0.090),
                medium(
                        "GW-31",
                        "green-waste compost",
                        MaterialKind.COMPOST,
                        today.minusDays(62),
                        "first delivery",
                        56,
                        18,
                        460,
                        7.2,
                        410,
                        0.045),
                medium(
                        "GW-32",
                        "green-waste compost",
                        MaterialKind.COMPOST,
                        today.minusDays(45),
                        "second delivery",
                        55,
                        18,
                        500,
                        7.6,
                        430,
                        0.045),
                medium(
                        "sheep-wool compost",
                        "sheep-wool compost",
                        MaterialKind.COMPOST,
                        spring,
                        "from a neighbour",
                        61,
                        18,
                        330,
                        7.0,
                        650,
                        0.140),
                medium(
                        "digestate fibre",
                        "digestate fibre",
                        MaterialKind.COMPOST,
                        today.minusDays(30),
                        "separated solids",
                        66,
                        20,
                        260,
                        8.1,
                        520,
                        0.040),
                medium(
                        "crushed brick 2–8 mm",
                        "crushed brick",
                        MaterialKind.MINERAL,
                        spring,
                        "loose, washed",
                        24,
                        34,
                        1020,
                        7.9,
                        0,
                        0.070),
                medium(
                        "foamed-glass grit",
                        "foamed-glass grit",
                        MaterialKind.MINERAL,
                        spring,
                        "sack",
                        12,
                        62,
                        240,
                        8.4,
                        0,
                        0.160)));
        shelf.add(other(
                "ground limestone",
                MaterialKind.AMENDMENT,
                spring,
                "sack, fine",
                "Burns eyes: goggles; strew with the wind at your back."));
        shelf.add(other("seaweed meal", MaterialKind.AMENDMENT, spring, "sack", ""));
        shelf.add(other(
                        "digestate liquor",
                        MaterialKind.EXTRACT,
                        today.minusDays(30),
                        "jerrycan, kept cool",
                        "Gives off ammonia; never near food.")
                .with(List.of(LotFigure.of(Property.PRICE, 0.4, Origin.TYPICAL, "", today.minusDays(30)))));
        shelf.add(other(
                "wood vinegar",
                MaterialKind.CHEMICAL,
                spring,
                "6 % acidity",
                "Acid: gloves and goggles; the label rules."));
        shelf.add(other("blended feed 6-2-4", MaterialKind.FEED, spring, "sack", ""));
        shelf.add(other("blended feed 12-5-15", MaterialKind.FEED, spring, "sack, soluble", ""));
        shelf.add(Lot.mixed("Plug mix 1", MEASURED_MIX, today.minusDays(20)));
        shelf.add(Lot.mixed("Roof mix 2", "5 crushed brick 2–8 mm + 3 GW-31 + 2 wood fibre", today.minusDays(6)));
        lots.learn(shelf);
        for (TrialId id : measured) {
            TrialRecord record = trials.snapshot(id);
            learning.keep(record, workedOut.of(record, OptionalInt.empty()));
        }
    }

    private static Lot other(String name, MaterialKind kind, LocalDate came, String source, String cautions) {
        return new Lot(name, name, kind, came, source, Set.of(), cautions, "", List.of());
    }

    private static Lot medium(
            String name,
            String material,
            MaterialKind kind,
            LocalDate came,
            String source,
            double water,
            double air,
            double density,
            double ph,
            double nitrogen,
            double price) {
        boolean compost = kind == MaterialKind.COMPOST;
        List<LotFigure> figures = new ArrayList<>(List.of(
                LotFigure.of(Property.WATER, water, Origin.TYPICAL, "", came),
                LotFigure.of(Property.AIR, air, Origin.TYPICAL, "", came),
                LotFigure.of(Property.DENSITY, density, Origin.TYPICAL, "", came),
                LotFigure.of(Property.PH, ph, compost ? Origin.LAB : Origin.TYPICAL, compost ? SHEET : "", came),
                LotFigure.of(
                        Property.EC,
                        compost ? 0.3 + nitrogen / 500 : 0.1 + nitrogen / 600,
                        compost ? Origin.LAB : Origin.TYPICAL,
                        compost ? SHEET + ", 1:5" : "",
                        came),
                LotFigure.of(
                        Property.NITROGEN, nitrogen, compost ? Origin.LAB : Origin.TYPICAL, compost ? SHEET : "", came),
                LotFigure.of(Property.PRICE, price, Origin.LABEL, "delivery note", came)));
        Set<Preparation> done = name.equals("leaf mould")
                ? Set.of(Preparation.SIEVED)
                : name.equals("rice hulls") ? Set.of(Preparation.FLOATS) : Set.of();
        return new Lot(name, material, kind, came, source, done, "", "", figures);
    }
}
