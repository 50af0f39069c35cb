package elsom.web.plan;

import elsom.core.formula.Known;
import elsom.core.formula.OverTime;
import elsom.core.plan.Claim;
import elsom.core.plan.Direction;
import elsom.core.plan.FactorKind;
import elsom.core.plan.Hypothesis;
import elsom.core.plan.Recurring;
import elsom.core.plan.WateringSchool;
import elsom.core.series.Measurand;
import elsom.core.series.SeriesSummary;
import java.time.DayOfWeek;
import java.util.List;

/** What the forms of a plan offer to choose from. */
public record Choices(
        List<Direction> directions,
        List<Claim> claims,
        List<Hypothesis.Place> places,
        List<FactorKind> factorKinds,
        List<Recurring.Kind> stepKinds,
        List<WateringSchool> schools,
        List<DayOfWeek> days,
        List<Measurand> measurands,
        List<SeriesSummary> summaries,
        List<QuestionPart.Own> ownKinds,
        List<Known> known,
        List<OverTime> overTime) {
    static final Choices ALL = new Choices(
            List.of(Direction.values()),
            List.of(Claim.values()),
            List.of(Hypothesis.Place.values()),
            List.of(FactorKind.values()),
            List.of(Recurring.Kind.values()),
            List.of(WateringSchool.values()),
            List.of(DayOfWeek.values()),
            List.of(Measurand.values()),
            List.of(SeriesSummary.values()),
            List.of(QuestionPart.Own.values()),
            List.of(Known.values()),
            List.of(OverTime.values()));
}
