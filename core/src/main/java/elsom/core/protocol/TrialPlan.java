package elsom.core.protocol;

import elsom.core.design.BlockedLayout;
import elsom.core.trial.Container;
import elsom.core.trial.ControlKind;
import elsom.core.trial.Texture;
import elsom.core.trial.Tint;
import elsom.core.trial.Treatment;
import elsom.core.trial.TreatmentProperty;
import elsom.core.trial.Trial;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.WateringSchool;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * What somebody decides before a trial is drawn.
 *
 * @param places names of the benches; every treatment stands on each
 * @param replicates units of a treatment on each bench
 * @param times later measuring times after the start, ascending
 * @param checkDryness whether to plan the protocol's optional checks
 */
public record TrialPlan(
        Protocol protocol,
        String question,
        ZoneId zone,
        Instant start,
        WateringSchool watering,
        double refillFraction,
        List<Planned> treatments,
        List<String> places,
        int replicates,
        List<Duration> times,
        boolean checkDryness) {
    public static final int MOST_REPLICATES = 20;
    public static final int MOST_TIMES = 12;
    public static final int MOST_PLACES = 2;

    public TrialPlan {
        treatments = List.copyOf(treatments);
        places = List.copyOf(places);
        times = List.copyOf(times);
    }

    /**
     * One treatment as planned.
     *
     * @param name unique within the plan
     * @param volumeMl filled volume of a unit
     */
    public record Planned(
            String name,
            String material,
            String kind,
            ControlKind control,
            Map<TreatmentProperty, Double> properties,
            Container container,
            double volumeMl) {}

    /** Draws units, codes and a randomised bench. The same plan and seed always give the same trial, which has no number yet. */
    public TrialRecord draw(long seed) {
        List<Treatment> numbered = new ArrayList<>();
        List<BlockedLayout.Filling> fillings = new ArrayList<>();
        for (Planned planned : treatments) {
            int number = numbered.size() + 1;
            numbered.add(new Treatment(
                    number,
                    Treatment.codeFor(number),
                    planned.name(),
                    planned.material(),
                    planned.kind(),
                    planned.control(),
                    Texture.forTreatment(number),
                    Tint.forTreatment(number),
                    planned.properties()));
            fillings.add(new BlockedLayout.Filling(number, planned.container().name(), planned.volumeMl()));
        }
        BlockedLayout.Drawn layout = BlockedLayout.draw(fillings, places, replicates, seed);
        return TrialRecord.of(
                new Trial(new TrialId(0), question, protocol.code(), zone, start, watering, refillFraction, seed),
                numbered,
                treatments.stream().map(Planned::container).distinct().toList(),
                layout.benches(),
                layout.units(),
                protocol.endpoints(),
                protocol.looks(times, checkDryness),
                List.of(),
                List.of());
    }
}
