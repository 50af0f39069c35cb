package elsom.core.practice;

import elsom.core.design.Layout;
import elsom.core.design.LayoutKind;
import elsom.core.plan.Arrangement;
import elsom.core.plan.Asked;
import elsom.core.plan.Hours;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedLook;
import elsom.core.plan.PlannedTreatment;
import elsom.core.plan.Pots;
import elsom.core.plan.Question;
import elsom.core.plan.Stated;
import elsom.core.plan.Treatments;
import elsom.core.protocol.Protocols;
import elsom.core.protocol.water.WaterHolding;
import elsom.core.trial.BenchPosition;
import elsom.core.trial.Container;
import elsom.core.trial.ControlKind;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.TreatmentProperty;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;

/** A level's plan as the planner knows plans. */
public final class Draft {
    private static final Container POT = Container.taperedRound("Round pot 9 cm", 8.5, 9, 6.5);
    private static final Container BOWL = Container.bowl("Flat bowl 6 cm", PotsLevel.BOWL_CM, 20);
    private static final Container TUB = Container.taperedRound("Tall tub 18 cm", PotsLevel.TUB_CM, 14, 12);

    /** What a practice bench is read for, where the kind of trial would measure more. */
    private static final Set<EndpointCode> READ = Set.of(
            new EndpointCode("emerged"),
            new EndpointCode("height"),
            new EndpointCode("fresh-mass"),
            new EndpointCode("injury"),
            new EndpointCode("ec"),
            WaterHolding.TARE,
            WaterHolding.DRY,
            WaterHolding.WET);

    private Draft() {}

    /**
     * The plan to change.
     *
     * @param start so long ago that all looks may lie before now
     */
    public static Plan of(Level level, Trialled trialled, ZoneId zone, Instant start, long seed) {
        Brief brief = level.brief();
        Plan begun =
                Protocols.find(brief.protocol()).orElseThrow().begin(brief.question(), zone, start, Pots.of(POT), seed);
        List<PlannedTreatment> treatments = new ArrayList<>();
        for (String name : trialled.treatments()) {
            treatments.add(treatment(level, name, treatments.isEmpty()));
        }
        Plan plan = begun.with(Treatments.listed(treatments), begun.pots())
                .with(arrangement(trialled, begun.arrangement(), seed))
                .with(begun.schedule()
                        .with(looks(begun.schedule().looks(), brief, trialled.lastDay()), List.of(), Hours.ANY));
        return placed(
                plan.with(new Asked(
                        brief.question(),
                        brief.crop(),
                        questions(brief),
                        begun.asked().measures())),
                trialled);
    }

    private static List<Question> questions(Brief brief) {
        Brief.Measured measured = brief.measured();
        return brief.protocol().equals(WaterHolding.CODE)
                ? List.of()
                : List.of(new Question(
                        List.of(),
                        1,
                        measured.endpoint(),
                        measured.better(),
                        measured.matters(),
                        measured.inPercent(),
                        Stated.BEFORE_START));
    }

    private static PlannedTreatment treatment(Level level, String name, boolean first) {
        Map<TreatmentProperty, Double> properties = new HashMap<>();
        if (level instanceof DoseLevel) {
            properties.put(TreatmentProperty.DOSE, Double.parseDouble(name.substring(0, name.indexOf(' '))));
        }
        if (level instanceof PotsLevel) {
            properties.put(TreatmentProperty.ORGANIC_MATTER, 0.6);
        }
        Container own = !(level instanceof PotsLevel) ? null : name.endsWith("tub") ? TUB : BOWL;
        String material = name.contains(", ") ? name.substring(0, name.indexOf(", ")) : name;
        return new PlannedTreatment(
                shown(name),
                level instanceof DoseLevel ? "leaf mould" : shown(material),
                "",
                first ? ControlKind.CONTROL : ControlKind.NONE,
                properties,
                own,
                0,
                List.of());
    }

    /** As people write it: “Mix A”, “Lot C charcoal, peas”. */
    public static String shown(String name) {
        String lettered = Pattern.compile("\\b[a-e]\\b")
                .matcher(name)
                .replaceAll(letter -> letter.group().toUpperCase(Locale.ROOT));
        return lettered.substring(0, 1).toUpperCase(Locale.ROOT) + lettered.substring(1);
    }

    private static Arrangement arrangement(Trialled trialled, Arrangement usual, long seed) {
        return new Arrangement(
                trialled.placing() == Trialled.Placing.BLOCKS ? LayoutKind.BLOCKS : LayoutKind.COMPLETELY_RANDOM,
                trialled.units(),
                usual.sites(),
                true,
                0,
                false,
                0,
                seed,
                List.of());
    }

    /** Looks of the usual ones up to a day, with what a practice bench is read for; the last day is always among them. */
    private static List<PlannedLook> looks(List<PlannedLook> usual, Brief brief, double lastDay) {
        Duration last =
                Duration.ofMinutes(Math.round(lastDay * Duration.ofDays(1).toMinutes()));
        List<PlannedLook> looks = new ArrayList<>();
        for (PlannedLook look : usual) {
            List<EndpointCode> read =
                    look.endpoints().stream().filter(READ::contains).toList();
            if (!read.isEmpty() && look.after().compareTo(last) <= 0) {
                looks.add(new PlannedLook(look.name(), look.after(), read));
            }
        }
        if (looks.stream().noneMatch(look -> look.after().equals(last))
                && !brief.protocol().equals(WaterHolding.CODE)) {
            looks.add(new PlannedLook(
                    "day " + Math.round(lastDay), last, List.of(brief.measured().endpoint())));
        }
        return looks;
    }

    /** A side each, where the plan says so: units are moved by hand until they stand like that. */
    private static Plan placed(Plan plan, Trialled trialled) {
        if (trialled.placing() != Trialled.Placing.SIDE_BY_SIDE) {
            return plan;
        }
        TrialRecord drawn = plan.draw(new TrialId(0));
        List<ExperimentalUnit> units = drawn.units();
        List<Arrangement.Move> moves = new ArrayList<>();
        List<BenchPosition> places = Layout.places(drawn.benches());
        for (int i = 0; i < units.size(); i++) {
            int wanted = i / trialled.units() + 1;
            BenchPosition place = places.get(i);
            if (standing(units, place).treatment() != wanted) {
                ExperimentalUnit mover = null;
                for (int later = i + 1; later < units.size() && mover == null; later++) {
                    ExperimentalUnit there = standing(units, places.get(later));
                    mover = there.treatment() == wanted ? there : null;
                }
                if (mover != null) {
                    moves.add(new Arrangement.Move(mover.code(), place));
                    units = Layout.moved(units, mover.code(), place);
                }
            }
        }
        return plan.with(new Arrangement(
                plan.arrangement().kind(),
                trialled.units(),
                plan.arrangement().sites(),
                true,
                0,
                false,
                0,
                plan.arrangement().seed(),
                moves));
    }

    private static ExperimentalUnit standing(List<ExperimentalUnit> units, BenchPosition at) {
        return units.stream()
                .filter(unit -> unit.position().equals(at))
                .findFirst()
                .orElseThrow();
    }
}
