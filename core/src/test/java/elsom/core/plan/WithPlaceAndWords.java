package elsom.core.plan;

import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;

/** A plan that at one look also puts units in order, and says in words what is seen. */
public final class WithPlaceAndWords {
    public static final EndpointCode PLACE = new EndpointCode("strength-order");
    public static final EndpointCode WORDS = new EndpointCode("root-words");

    private WithPlaceAndWords() {}

    /** The plan, with a look "ranked" a day after its start that takes both and the height. */
    public static Plan of(Plan plan) {
        List<Measure> measures = new ArrayList<>(plan.asked().measures());
        measures.add(Measure.byHand(
                Endpoint.place(PLACE, "Vigour"), "from across the bench", "", 0, Direction.LOWER, 0.4, 20));
        measures.add(Measure.byHand(Endpoint.words(WORDS, "Roots in words"), "", "", 0, Direction.EITHER, 0.4, 20));
        List<PlannedLook> looks = List.of(
                new PlannedLook("ranked", Duration.ofDays(1), List.of(PLACE, WORDS, new EndpointCode("height"))),
                new PlannedLook("later", Duration.ofDays(9), List.of(new EndpointCode("height"))));
        return plan.with(new Asked(
                        plan.question(), plan.asked().crop(), plan.asked().questions(), measures))
                .with(plan.schedule()
                        .with(looks, plan.schedule().steps(), plan.schedule().hours()));
    }
}
