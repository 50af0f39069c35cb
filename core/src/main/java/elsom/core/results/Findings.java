package elsom.core.results;

import elsom.core.figure.FigureKind;
import elsom.core.figure.GroupKey;
import elsom.core.figure.GroupResult;
import elsom.core.figure.UnitResult;
import elsom.core.flag.BelowLimits;
import elsom.core.flag.Flag;
import elsom.core.flag.UncheckedMeter;
import elsom.core.flag.UnevenCare;
import elsom.core.plan.WateringSchool;
import elsom.core.section.Section;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.Look;
import elsom.core.trial.UnitCode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * What a trial found, whatever its kind.
 *
 * @param comparedAt the look at which it is judged; 0 before any reading
 * @param looks at which it can be judged
 * @param answers the answers as sentences, most important first
 * @param sections what is shown under them, in order
 * @param kinds the kinds of figure in the order they are shown
 * @param units figures of each unit
 * @param groups figures of each treatment on each bench
 */
public record Findings(
        int comparedAt,
        List<Look> looks,
        List<Answered> answers,
        List<Section> sections,
        List<Flag> flags,
        List<FigureKind> kinds,
        List<UnitResult> units,
        List<GroupResult> groups) {
    /**
     * An answer.
     *
     * @param question its number, 1-based; 0 for what nobody asked
     * @param marked how a question is marked that was asked late; empty otherwise
     * @param details further sentences, such as when the answer changed
     * @param about the endpoint that it stands on; empty when it stands on several, or on what is none
     */
    public record Answered(
            int question,
            String asked,
            String marked,
            Verdict verdict,
            List<String> details,
            Optional<EndpointCode> about) {
        public Answered {
            details = List.copyOf(details);
        }

        public Answered with(List<String> more) {
            return new Answered(question, asked, marked, verdict, more, about);
        }

        public Answered about(EndpointCode endpoint) {
            return new Answered(question, asked, marked, verdict, details, Optional.of(endpoint));
        }

        public Answered about(FigureKind kind) {
            return about(new EndpointCode(kind.code()));
        }

        /** What can be said though nobody asked. */
        public static Answered unasked(Verdict verdict) {
            return new Answered(0, "", "", verdict, List.of(), Optional.empty());
        }
    }

    public Findings {
        looks = List.copyOf(looks);
        answers = List.copyOf(answers);
        sections = List.copyOf(sections);
        flags = List.copyOf(flags);
        kinds = List.copyOf(kinds);
        units = List.copyOf(units);
        groups = List.copyOf(groups);
    }

    /** Runs the analyses in order and puts together what they found. */
    public static Findings of(Evidence evidence, List<Analysis> analyses) {
        Findings found = once(evidence, analyses);
        return EitherWay.needed(evidence.record())
                ? found.answered(EitherWay.agreed(
                        found.answers(),
                        once(evidence.belowLimits(false), analyses).answers(),
                        once(evidence.belowLimits(true), analyses).answers()))
                : found;
    }

    private Findings answered(List<Answered> others) {
        return new Findings(comparedAt, looks, others, sections, flags, kinds, units, groups);
    }

    private static Findings once(Evidence evidence, List<Analysis> analyses) {
        Draft draft = new Draft();
        analyses.forEach(analysis -> analysis.add(evidence, draft));
        new DeathsAnswers().add(evidence, draft);
        new DepthAnswers().add(evidence, draft);
        new AgreementAnswers().add(evidence, draft);
        new WrittenAnswers().add(evidence, draft);
        if (draft.answers.isEmpty()) {
            draft.answers.add(Answered.unasked(new Verdict(
                    Verdict.Firmness.CANT_TELL,
                    "Nothing to tell yet: nothing that is asked about has been read.",
                    "Read it at its look.")));
        }
        draft.flags(UnevenCare.of(
                evidence.record(), evidence.plan().rules().watering() == WateringSchool.EACH_TO_REFILL_WEIGHT));
        draft.flags(UncheckedMeter.of(evidence.record()));
        draft.flags(BelowLimits.of(evidence.record()));
        return new Findings(
                evidence.look(),
                draft.looks.isEmpty() ? evidence.begun() : draft.looks,
                draft.answers,
                draft.sections,
                draft.flags.stream().distinct().toList(),
                draft.kinds,
                draft.units,
                draft.groups);
    }

    /** Findings while analyses add to them. */
    public static final class Draft {
        private final List<Answered> answers = new ArrayList<>();
        private final List<Section> sections = new ArrayList<>();
        private final List<Flag> flags = new ArrayList<>();
        private final List<FigureKind> kinds = new ArrayList<>();
        private final List<UnitResult> units = new ArrayList<>();
        private final List<GroupResult> groups = new ArrayList<>();

        private List<Look> looks = List.of();

        private Draft() {}

        /** The looks at which it can be judged, where those are not all that have a reading. */
        public void looks(List<Look> judged) {
            looks = List.copyOf(judged);
        }

        public void answer(Answered answered) {
            answers.add(answered);
        }

        /** An answer that is read before all others. */
        void first(Answered answered) {
            answers.add(0, answered);
        }

        public void section(Section section) {
            sections.add(section);
        }

        public void flags(List<Flag> found) {
            flags.addAll(found);
        }

        /** Figures of units and treatments, with their kinds in the order they are shown. */
        public void figures(List<FigureKind> ofKinds, List<UnitResult> ofUnits, List<GroupResult> ofGroups) {
            kinds.addAll(ofKinds);
            units.addAll(ofUnits);
            groups.addAll(ofGroups);
        }
    }

    public Optional<FigureKind> kind(String code) {
        return kinds.stream().filter(kind -> kind.code().equals(code)).findFirst();
    }

    public Optional<UnitResult> unit(UnitCode code) {
        return units.stream()
                .filter(result -> result.unit().code().equals(code))
                .findFirst();
    }

    public Optional<GroupResult> group(GroupKey key) {
        return groups.stream().filter(result -> result.key().equals(key)).findFirst();
    }

    /**
     * The section whose picture shows an answer: that of its question, else of its endpoint, else the first that has one.
     *
     * @param drawn whether a section has a picture
     */
    public Optional<Section> picturing(Answered answer, Predicate<Section> drawn) {
        List<Section> pictured = sections.stream().filter(drawn).toList();
        return pictured.stream()
                .filter(section -> answer.question() > 0 && section.subject().question() == answer.question())
                .findFirst()
                .or(() -> pictured.stream()
                        .filter(section -> answer.about().isPresent()
                                && section.subject().endpoint().equals(answer.about()))
                        .findFirst())
                .or(() -> pictured.stream().findFirst());
    }

    /** Sections of one kind, in order. */
    public <S extends Section> List<S> sections(Class<S> kind) {
        return sections.stream().filter(kind::isInstance).map(kind::cast).toList();
    }
}
