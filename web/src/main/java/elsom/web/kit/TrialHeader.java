package elsom.web.kit;

import elsom.core.notebook.Notebook;
import elsom.core.protocol.Protocols;
import elsom.core.protocol.general.AeratedBrew;
import elsom.core.protocol.general.TastingPanel;
import elsom.core.trial.TrialRecord;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** The head of every page of a trial: its question, its time bar, and the steps of the work. */
public record TrialHeader(
        long id,
        String question,
        String about,
        boolean started,
        TimeBar timeBar,
        List<StepLink> steps,
        List<Swatch> swatches) {
    /** The steps in the order of the work. */
    public enum Step {
        QUESTION("Question", ""),
        PLAN("Plan", "/plan"),
        BENCH("Measure", "/bench"),
        FINDINGS("Findings", "/findings"),
        REPORT("Report", "/report");

        private final String label;
        private final String path;

        Step(String label, String path) {
            this.label = label;
            this.path = path;
        }
    }

    /**
     * A step as a link.
     *
     * @param missing what is still missing before there is something to see; empty when there is
     */
    public record StepLink(String label, String href, boolean here, String missing) {}

    public static TrialHeader of(TrialRecord record, Instant now, @Nullable Step here) {
        return of(record, now, here, 0);
    }

    /**
     * The head of a page.
     *
     * @param here null on a page of brews, which are no step of other trials
     * @param look the look being shown; 0 for none
     */
    public static TrialHeader of(TrialRecord record, Instant now, @Nullable Step here, int look) {
        String base = "/trials/" + record.trial().id();
        List<StepLink> steps = new ArrayList<>();
        for (Step step : Step.values()) {
            steps.add(link(record, base, step, here));
            if (step == Step.PLAN && record.trial().protocol().equals(AeratedBrew.CODE)) {
                steps.add(new StepLink("Brews", base + "/brews", here == null, ""));
            }
        }
        return new TrialHeader(
                record.trial().id().value(),
                record.trial().question(),
                about(record, now),
                record.trial().started(),
                TimeBar.of(record, now, look),
                steps,
                Swatch.of(record));
    }

    /** What is tasted is answered plate by plate, not measured unit by unit: both steps are its tastings. */
    private static StepLink link(TrialRecord record, String base, Step step, @Nullable Step here) {
        boolean tasted = record.trial().protocol().equals(TastingPanel.CODE);
        if (tasted && (step == Step.BENCH || step == Step.FINDINGS)) {
            return new StepLink(
                    step == Step.BENCH ? "Taste" : step.label,
                    base + "/tasting",
                    step == here,
                    missing(record, Step.PLAN));
        }
        return new StepLink(step.label, base + step.path, step == here, missing(record, step));
    }

    private static String missing(TrialRecord record, Step step) {
        return switch (step) {
            case QUESTION, PLAN -> "";
            case BENCH -> record.trial().started() ? "" : "opens when it starts";
            case FINDINGS, REPORT ->
                record.readings().isEmpty()
                        ? "after the first reading"
                        : record.trial().started() && record.trial().blind() ? "after unblinding" : "";
        };
    }

    private static String about(TrialRecord record, Instant now) {
        String protocol = Protocols.find(record.trial().protocol())
                .map(found -> found.name())
                .orElse(record.trial().protocol().value());
        boolean takenUp = Notebook.takenUp(record);
        if (takenUp || Notebook.copied(record)) {
            int treatments = record.treatments().size();
            return protocol + " · " + treatments + (treatments == 1 ? " treatment" : " treatments") + ", "
                    + record.units().size() + " units · "
                    + (takenUp ? "copied in, where they stand" : "copied from a notebook");
        }
        int replicates =
                record.units().stream().mapToInt(unit -> unit.replicate()).max().orElse(0);
        String places =
                record.benches().size() < 2 ? "" : " · on " + record.benches().size() + " benches";
        String size = record.trial().blind() && record.trial().started()
                ? record.units().size() + " units, codes only"
                : record.treatments().size() + " treatments" + (replicates == 0 ? "" : " × " + replicates) + places;
        return protocol + " · " + size
                + (record.trial().started()
                        ? (record.trial().start().isAfter(now) ? " · looks count from " : " · started ")
                                + Times.day(
                                        record.trial().start(), record.trial().zone())
                        : "");
    }

    /** The same head with textures for other treatments than the trial has yet. */
    public TrialHeader drawing(List<Swatch> others) {
        return new TrialHeader(id, question, about, started, timeBar, steps, others);
    }
}
