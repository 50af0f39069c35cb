package elsom.core.results;

import elsom.core.figure.GroupFigure;
import elsom.core.figure.GroupResult;
import elsom.core.material.LotFigure;
import elsom.core.material.Origin;
import elsom.core.mix.Mix;
import elsom.core.mix.Property;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.TrialRecord;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a trial measured of the media in it, as figures of lots and mixes: means of its treatments, each with the depth of the
 * containers, the trial and the day. Only water held, air and bulk density are taken: they are the medium's own, whatever else a
 * treatment got would have changed its pH or EC.
 *
 * @param mix the material's name, or the mix's text, as the plan has it; one that can't be read is left out
 */
public record Learned(String mix, List<LotFigure> figures) {
    private static final Map<String, Property> KINDS =
            Map.of("capacity", Property.WATER, "air", Property.AIR, "bulk-density", Property.DENSITY);
    private static final double PERCENT = 100;
    private static final double GRAMS_A_LITRE = 1000;

    public Learned {
        figures = List.copyOf(figures);
    }

    /** By medium; of one that stood in several containers or places, the figures of each. */
    public static List<Learned> of(TrialRecord record, Findings findings, LocalDate on) {
        Map<String, List<LotFigure>> byMix = new LinkedHashMap<>();
        for (GroupResult group : findings.groups()) {
            String mix = record.treatment(group.key().treatment()).material();
            if (Mix.read(mix).isPresent()) {
                byMix.computeIfAbsent(mix, none -> new ArrayList<>()).addAll(figures(record, group, on));
            }
        }
        return byMix.entrySet().stream()
                .filter(known -> !known.getValue().isEmpty())
                .map(known -> new Learned(known.getKey(), known.getValue()))
                .toList();
    }

    private static List<LotFigure> figures(TrialRecord record, GroupResult group, LocalDate on) {
        Optional<ExperimentalUnit> unit = record.units().stream()
                .filter(one -> one.treatment() == group.key().treatment()
                        && one.position().bench() == group.key().bench())
                .findFirst();
        double depth = unit.map(one -> record.container(one).depthCm()).orElse(0.0);
        long trial = record.trial().id().value();
        String where = record.benches().size() > 1
                ? ", " + record.bench(group.key().bench()).name()
                : "";
        List<LotFigure> figures = new ArrayList<>();
        for (GroupFigure figure : group.figures()) {
            Property property = KINDS.get(figure.kind().code());
            if (property != null) {
                double factor = property == Property.DENSITY ? GRAMS_A_LITRE : PERCENT;
                figures.add(new LotFigure(
                        property,
                        factor * figure.summary().mean(),
                        Origin.MEASURED,
                        "mean of " + figure.summary().n() + where,
                        on,
                        property.byDepth() ? depth : 0,
                        trial));
            }
        }
        return figures;
    }
}
