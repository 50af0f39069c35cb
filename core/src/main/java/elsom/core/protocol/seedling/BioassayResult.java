package elsom.core.protocol.seedling;

import elsom.core.diagnosis.Cause;
import elsom.core.diagnosis.Diagnosis;
import elsom.core.diagnosis.IndicatorGroup;
import elsom.core.diagnosis.NextTest;
import elsom.core.diagnosis.Seen;
import elsom.core.diagnosis.Sign;
import elsom.core.protocol.dose.DoseResult;
import elsom.core.section.Account;
import elsom.core.section.Section;
import elsom.core.section.Subject;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Look;
import elsom.core.trial.TrialRecord;
import java.util.List;
import java.util.Optional;

/**
 * What a lot did to seedlings, and why.
 *
 * @param lot the material under suspicion
 * @param clean the medium it was held against
 * @param species in which it was tested, the most injured first
 * @param symptoms that are commoner in the lot than in the clean medium, the surest first
 * @param stillToCome the name of the last look planned, while it is not the one judged; empty when it is
 * @param refused why no cause can be asked for; empty when one can
 * @param learnt signs of it that later trials showed, and that this one did not look for
 * @param diagnosis empty when nothing was injured, or it is refused
 * @param next the test that would split the two most likely causes
 */
public record BioassayResult(
        String lot,
        String clean,
        Look look,
        List<Species> species,
        List<SymptomCounts.Excess> symptoms,
        String stillToCome,
        Optional<String> refused,
        List<Seen> learnt,
        Optional<Diagnosis> diagnosis,
        Optional<NextTest> next)
        implements Section {
    private static final double SURE = 0.05;

    @Override
    public Subject subject() {
        return Subject.of(EndpointCode.INJURY.value());
    }

    @Override
    public Account account(TrialRecord record) {
        return BioassayAccount.of(this);
    }

    /**
     * A plant in which it was tested.
     *
     * @param group empty when the plant is not known here
     * @param line by share of the lot, without any remedy
     * @param most of the lot that was set up, in percent
     */
    public record Species(String name, Optional<IndicatorGroup> group, DoseResult.Line line, double most) {
        public boolean injured() {
            return line.voided().isEmpty() && line.effect().tested().loec().isPresent();
        }
    }

    public BioassayResult {
        species = List.copyOf(species);
        symptoms = List.copyOf(symptoms);
        learnt = List.copyOf(learnt);
    }

    /** Whether symptoms alone, whatever the points, part the lot from the clean medium. */
    public boolean marked() {
        return symptoms.stream().anyMatch(excess -> excess.speaks() && excess.p() <= SURE);
    }

    public boolean injurious() {
        return species.stream().anyMatch(Species::injured);
    }

    /** The contaminant that is named; empty when none is. */
    public Optional<Cause> contaminant() {
        return diagnosis.flatMap(found -> found.together()
                .flatMap(Diagnosis.Pair::contaminant)
                .or(() -> found.named().filter(Cause::contaminant)));
    }

    /** Signs that an earlier trial of the same lot can learn from this one: pairs, thinning, and what single plants bore. */
    public List<Seen> telling() {
        return diagnosis.stream()
                .flatMap(found -> found.first().reasons().stream())
                .map(Diagnosis.Reason::seen)
                .filter(seen -> !learnt.contains(seen))
                .filter(seen -> seen.sign().kind() == Sign.Kind.RESPONSE || seen.sign() == Sign.INJURED)
                .toList();
    }
}
