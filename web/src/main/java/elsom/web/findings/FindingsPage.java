package elsom.web.findings;

import elsom.core.flag.Flag;
import elsom.core.results.Findings;
import elsom.core.results.Headline;
import elsom.core.results.Verdict;
import elsom.core.section.Section;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.TrialHeader;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * What a trial found, with the sections of one of its benches.
 *
 * @param pictured the section whose picture shows the first answer
 */
public record FindingsPage(
        TrialHeader header,
        List<Findings.Answered> answers,
        Optional<DrawnSection> pictured,
        boolean anything,
        List<Choice> benches,
        List<Choice> looks,
        String benchName,
        List<DrawnSection> sections,
        String unitsHref,
        List<Flag> flags) {

    /** The answer that goes before all others. */
    public Findings.Answered lead() {
        return answers.get(0);
    }

    public List<Findings.Answered> others() {
        return answers.subList(1, answers.size());
    }

    /** Where the first answer is put to use: of its picture's section, else of the first that has such a place; null without one. */
    public DrawnSection.@Nullable Door door() {
        return Stream.concat(pictured.stream(), sections.stream())
                .map(DrawnSection::door)
                .filter(Objects::nonNull)
                .findFirst()
                .orElse(null);
    }

    /** An answer in few words. */
    public Headline headline(Findings.Answered answer) {
        return Headline.of(answer.verdict());
    }

    /** What trials of a series say together, in few words. */
    public String brief(Verdict verdict) {
        return Headline.of(verdict).words();
    }

    /** Whether an answer says more than its few words. */
    public boolean hasMore(Findings.Answered answer) {
        return !headline(answer).words().equals(answer.verdict().sentence())
                || !answer.details().isEmpty();
    }

    /** One of several views to choose from. */
    public record Choice(String label, String href, boolean here) {}

    /**
     * The page of one bench.
     *
     * @param sections as that bench shows them
     * @param bench 1-based
     */
    public static FindingsPage of(
            TrialRecord record,
            Findings findings,
            List<DrawnSection> sections,
            int bench,
            TrialHeader.Step step,
            Instant now) {
        Links links = new Links(record, findings.comparedAt(), bench);
        return new FindingsPage(
                TrialHeader.of(record, now, step, findings.comparedAt()),
                findings.answers(),
                pictured(findings, sections),
                !findings.units().isEmpty() || !sections.isEmpty(),
                record.benches().stream()
                        .map(b -> new Choice(
                                b.name(), links.view(b.number(), findings.comparedAt()), b.number() == bench))
                        .toList(),
                findings.looks().stream()
                        .map(look -> new Choice(
                                look.name(), links.view(bench, look.number()), look.number() == findings.comparedAt()))
                        .toList(),
                record.benches().size() > 1 ? record.bench(bench).name() : "",
                sections,
                links.units(),
                findings.flags());
    }

    private static Optional<DrawnSection> pictured(Findings findings, List<DrawnSection> sections) {
        List<DrawnSection> drawn = sections.stream()
                .filter(section -> section.picture().isPresent())
                .toList();
        return findings.picturing(
                        findings.answers().get(0), section -> of(section, drawn).isPresent())
                .flatMap(section -> of(section, drawn));
    }

    /** As it is drawn: the very section, since two may be alike. */
    private static Optional<DrawnSection> of(Section section, List<DrawnSection> drawn) {
        return drawn.stream().filter(one -> one.section() == section).findFirst();
    }

    /** Sections that are the same on every bench. */
    public List<DrawnSection> shared() {
        return sections.stream().filter(section -> !section.ofBench()).toList();
    }

    /** Sections of this bench alone. */
    public List<DrawnSection> own() {
        return sections.stream().filter(DrawnSection::ofBench).toList();
    }
}
