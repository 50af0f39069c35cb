package elsom.web.findings;

import elsom.core.diagnosis.Diagnosis;
import elsom.core.diagnosis.Seen;
import elsom.core.results.BioassayResult;
import elsom.core.results.BioassayWording;
import java.util.List;

/** Turns a diagnosis into the board of causes. */
final class DiagnosisViews {
    private static final int MOST_SIGNS = 8;
    private static final int FEWEST_CAUSES = 3;

    private DiagnosisViews() {}

    static SectionView of(BioassayResult result, Diagnosis found) {
        List<Seen> telling = found.telling(MOST_SIGNS);
        int open = Math.max(FEWEST_CAUSES, (int) found.standings().stream()
                .filter(standing -> !standing.ruledOut())
                .count());
        List<SectionView.Diagnosed.Cause> causes = found.standings().stream()
                .map(standing -> cause(standing, telling))
                .toList();
        return new SectionView.Diagnosed(
                result.lot(),
                result.look().name(),
                telling.stream().map(Seen::words).toList(),
                causes.subList(0, open),
                causes.subList(open, causes.size()),
                "Every cause is taken as equally likely beforehand, and each sign as speaking for itself (naive Bayes):"
                        + " trust the order, not the distance.");
    }

    private static SectionView.Diagnosed.Cause cause(Diagnosis.Standing standing, List<Seen> telling) {
        return new SectionView.Diagnosed.Cause(
                standing.cause().label(),
                standing.word(),
                standing.named() ? "worse" : standing.ruledOut() ? "silent" : "cant_tell",
                telling.stream().map(seen -> cell(standing.of(seen))).toList(),
                BioassayWording.sentence(standing));
    }

    private static SectionView.Diagnosed.Says cell(Diagnosis.Weight weight) {
        return new SectionView.Diagnosed.Says(
                weight.mark(),
                weight.words(),
                switch (weight) {
                    case STRONGLY_FOR, FOR -> "for";
                    case SILENT -> "silent";
                    case AGAINST, STRONGLY_AGAINST -> "against";
                });
    }
}
