package elsom.web;

import elsom.core.design.LayoutKind;
import elsom.core.plan.Arrangement;
import elsom.core.plan.Asked;
import elsom.core.plan.Direction;
import elsom.core.plan.FactorKind;
import elsom.core.plan.Hours;
import elsom.core.plan.LevelsText;
import elsom.core.plan.Plan;
import elsom.core.plan.Pots;
import elsom.core.plan.Question;
import elsom.core.plan.Rules;
import elsom.core.plan.Site;
import elsom.core.plan.Stated;
import elsom.core.plan.Treatments;
import elsom.core.protocol.Protocols;
import elsom.core.trial.Container;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Influence;
import elsom.core.trial.LightMap;
import elsom.core.trial.ProtocolCode;
import elsom.core.trial.Side;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.EnumSet;
import java.util.List;

/** A plan that uses all a plan can say: a dip and two media in three blocks, under measured light, with days away. */
public final class GrowthPlan {
    public static final Instant START = Instant.parse("2026-06-01T08:00:00Z");
    public static final String CONTROL = "none · leaf mould";

    private GrowthPlan() {}

    public static Plan plan() {
        Plan begun = Protocols.find(new ProtocolCode("growth"))
                .orElseThrow()
                .begin("Does a dip help marigold?", ZoneId.of("Europe/London"), START, pots(), 77);
        Question question = new Question(
                List.of(3), 0, new EndpointCode("height"), Direction.HIGHER, 15, true, Stated.BEFORE_START);
        Treatments treatments = Treatments.crossed(
                List.of(
                        LevelsText.parse("Dip", FactorKind.HANDLING, "none, seaweed", "", null, null),
                        LevelsText.parse("Medium", FactorKind.MATERIAL, "leaf mould, wood fibre", "", null, null)),
                "",
                List.of());
        Site sill = new Site(
                "Sunny sill",
                120,
                60,
                Side.TOP,
                Side.LEFT,
                LightMap.parse("400 380 360\n300 290 280"),
                Influence.parse("heat mat rows 1-2, columns 1-2"));
        return begun.with(new Asked(
                        begun.question(),
                        "marigold",
                        List.of(question),
                        begun.asked().measures()))
                .with(treatments, pots())
                .with(new Arrangement(LayoutKind.BLOCKS, 3, List.of(sill), true, 1, false, 7, 77, List.of()))
                .with(begun.schedule()
                        .with(begun.schedule().looks(), begun.schedule().steps(), hours()))
                .with(new Rules(begun.rules().watering(), 0.5, false));
    }

    private static Pots pots() {
        return new Pots(Container.taperedRound("Round pot 9 cm", 8.5, 9, 6.5), 400, 3, 5, 2.5, 0.15, 0.1, 25);
    }

    private static Hours hours() {
        return new Hours(
                LocalTime.of(7, 0),
                LocalTime.of(18, 30),
                EnumSet.complementOf(EnumSet.of(DayOfWeek.SUNDAY)),
                List.of(new Hours.Away(LocalDate.of(2026, 6, 12), LocalDate.of(2026, 6, 14))));
    }

    public static Plan blind() {
        Plan plan = plan();
        return plan.with(new Rules(plan.rules().watering(), 0.5, true));
    }
}
