package elsom.core.protocol.water;

import elsom.core.mix.Mix;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedTreatment;
import elsom.core.plan.Pots;
import elsom.core.plan.Treatments;
import elsom.core.trial.Container;
import elsom.core.trial.ControlKind;
import elsom.core.trial.Treatment;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.List;

/** The water-holding trial that measures what was predicted of a mix. */
public final class MixTrial {
    private static final Container POT = Container.straightRound("Pot 10 cm deep", 10, 11);

    private MixTrial() {}

    /**
     * The mix beside its largest part alone.
     *
     * @param mix as {@link Mix} reads it
     * @throws IllegalArgumentException if it can't be read, or is one material alone
     */
    public static Plan of(String mix, ZoneId zone, Instant start, long seed) {
        Mix read = Mix.parse(mix);
        if (read.parts().size() < 2) {
            throw new IllegalArgumentException(
                    "it is one material alone; put that beside others in a trial of your own");
        }
        String largest = read.parts().stream()
                .max(Comparator.comparing(Mix.Part::parts))
                .orElseThrow()
                .material();
        String name = largest.substring(0, Math.min(largest.length(), Treatment.LONGEST_NAME));
        Plan begun = new WaterHolding()
                .begin("Does the mix hold the water that is predicted?", zone, start, Pots.of(POT), seed);
        return begun.with(
                Treatments.listed(List.of(
                        PlannedTreatment.of(name, largest, ControlKind.CONTROL),
                        PlannedTreatment.of("the mix", mix.strip(), ControlKind.NONE))),
                begun.pots());
    }
}
