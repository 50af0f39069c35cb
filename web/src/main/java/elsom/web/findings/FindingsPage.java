package elsom.web.findings;

import elsom.core.flag.Flag;
import elsom.core.results.Findings;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.TrialHeader;
import java.time.Instant;
import java.util.List;

/** What a trial found, with the sections of one of its benches. */
public record FindingsPage(
        TrialHeader header,
        List<Findings.Answered> answers,
        boolean anything,
        List<Choice> benches,
        List<Choice> looks,
        String benchName,
        List<DrawnSection> sections,
        String unitsHref,
        List<Flag> flags) {

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

    /** Sections that are the same on every bench. */
    public List<DrawnSection> shared() {
        return sections.stream().filter(section -> !section.ofBench()).toList();
    }

    /** Sections of this bench alone. */
    public List<DrawnSection> own() {
        return sections.stream().filter(DrawnSection::ofBench).toList();
    }
}
