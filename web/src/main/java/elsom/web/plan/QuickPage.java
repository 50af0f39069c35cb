package elsom.web.plan;

import elsom.core.flag.Flag;
import elsom.core.plan.DetectableTable;
import elsom.core.plan.Measure;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedLook;
import elsom.core.plan.PlannedTreatment;
import elsom.core.plan.check.PlanCheck;
import elsom.core.protocol.Protocol;
import elsom.core.protocol.Protocols;
import elsom.core.quick.QuickPlan;
import elsom.web.kit.Swatch;
import elsom.web.kit.Times;
import elsom.web.trial.ApartAdvice;
import java.time.ZoneId;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.stream.Collectors;

/**
 * The page that begins a trial.
 *
 * @param shelf materials that are there, offered as treatments
 */
record QuickPage(Form form, Problems problems, List<Protocol> kinds, List<String> shelf, Preview preview, UUID token) {
    private static final int MOST_OFFERED = 10;
    private static final int MOST_FLAGS = 3;

    /**
     * What is typed comes to.
     *
     * @param standard what the others are held against; empty while there is none
     * @param sees what so many can see
     * @param rest what nobody was asked: when it begins, how long, where
     * @param apart lots in quarantine that it would use
     */
    record Preview(
            Protocol kind,
            Measure decides,
            int replicates,
            String matters,
            boolean suits,
            List<Swatch> treatments,
            String standard,
            String sees,
            List<Flag> flags,
            String rest,
            List<ApartAdvice.Apart> apart,
            Problems problems) {
        static Preview of(QuickReader.Understood understood, List<ApartAdvice.Apart> apart, ZoneId zone) {
            Protocol kind = understood.kind();
            Measure decides = understood.decides();
            return understood
                    .plan()
                    .map(plan -> new Preview(
                            kind,
                            decides,
                            understood.replicates(),
                            QuickPlan.usualMatters(decides),
                            QuickPlan.suits(kind),
                            Pages.swatchesOf(plan),
                            plan.treatments().all().stream()
                                    .filter(PlannedTreatment::isControl)
                                    .map(PlannedTreatment::name)
                                    .findFirst()
                                    .orElse(""),
                            DetectableTable.of(plan, decides, decides.typicalCv(), OptionalDouble.empty())
                                    .sentence(understood.replicates()),
                            PlanCheck.ofTreatments(plan).stream()
                                    .filter(flag -> flag.severity() != Flag.Severity.NOTE)
                                    .limit(MOST_FLAGS)
                                    .toList(),
                            rest(plan, zone),
                            apart,
                            understood.problems()))
                    .orElseGet(() -> new Preview(
                            kind,
                            decides,
                            understood.replicates(),
                            QuickPlan.usualMatters(decides),
                            QuickPlan.suits(kind),
                            List.of(),
                            "",
                            "",
                            List.of(),
                            "",
                            apart,
                            understood.problems()));
        }

        private static String rest(Plan plan, ZoneId zone) {
            String looks =
                    plan.schedule().looks().stream().map(PlannedLook::name).collect(Collectors.joining(", "));
            return "Begins " + Times.dayAndTime(plan.schedule().start(), zone) + "; looks: " + looks
                    + ". " + plan.pots().container().name() + ", places drawn at random, "
                    + plan.arrangement().kind().label().toLowerCase(Locale.ROOT)
                    + ". All of it can be changed in the full plan before it begins.";
        }
    }

    static QuickPage of(Form form, Preview preview, List<String> shelf, UUID token) {
        return new QuickPage(
                form,
                preview.problems(),
                Protocols.all(),
                shelf.stream().limit(MOST_OFFERED).toList(),
                preview,
                token);
    }

    /** Textures for as many treatments as may be typed. */
    public List<Swatch> textures() {
        return Pages.swatches();
    }
}
