package elsom.web.plan;

import elsom.core.trial.TrialRecord;
import elsom.web.kit.Swatch;
import elsom.web.kit.TrialHeader;
import elsom.web.trial.Plans;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;

/**
 * What every page of a plan shows around its own part.
 *
 * @param draft whether the plan can still change freely
 * @param action where its form is sent
 * @param revision of the plan that is shown
 */
public record PlanFrame(
        TrialHeader header,
        List<Link> parts,
        boolean draft,
        boolean kept,
        String title,
        String action,
        String nextLabel,
        long revision) {

    /** What the part's form offers to choose from. */
    public Choices choices() {
        return Choices.ALL;
    }

    /** A part as a link. */
    public record Link(String label, String href, boolean here) {}

    static PlanFrame of(TrialRecord record, Plans.Kept kept, PlanPart here, Instant now) {
        long trial = record.trial().id().value();
        boolean draft = !record.trial().started();
        List<Link> parts = Arrays.stream(PlanPart.values())
                .filter(part -> part != PlanPart.QUESTION)
                .map(part -> new Link(part.label(), part.href(trial), part == here))
                .toList();
        return new PlanFrame(
                TrialHeader.of(
                        record, now, here == PlanPart.QUESTION ? TrialHeader.Step.QUESTION : TrialHeader.Step.PLAN),
                here == PlanPart.QUESTION ? List.of() : parts,
                draft,
                !kept.plan().kept().isEmpty(),
                here.label(),
                "/trials/" + trial + "/plan/" + here.path(),
                here.next().label(),
                kept.revision());
    }

    /** The same frame with textures for treatments that are not drawn yet. */
    PlanFrame drawing(List<Swatch> swatches) {
        return new PlanFrame(header.drawing(swatches), parts, draft, kept, title, action, nextLabel, revision);
    }
}
