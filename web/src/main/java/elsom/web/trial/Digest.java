package elsom.web.trial;

import elsom.core.plan.Plan;
import elsom.core.protocol.Protocols;
import elsom.core.trial.Look;
import elsom.core.trial.ProtocolCode;
import elsom.core.trial.Standing;
import elsom.core.trial.Treatment;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.TrialStage;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A trial as lists show it, without its readings.
 *
 * @param step what is to be done at the next look, such as "Weigh"; empty when there is none
 * @param names of treatments, as far as they may be seen
 * @param looks hours of its looks after the start
 * @param materials what treatments are made of, with their lots
 * @param codes of units, each between spaces
 * @param measured whether anything was read
 */
public record Digest(
        TrialId id,
        String question,
        ProtocolCode protocol,
        ZoneId zone,
        Instant start,
        TrialStage stage,
        Standing standing,
        String step,
        int units,
        String names,
        String codes,
        String crop,
        boolean measured,
        List<Double> looks,
        String materials) {
    private static final int LONGEST_STEP = 200;
    private static final int LONGEST_NAMES = 2000;
    private static final int LONGEST_MATERIALS = 4000;

    /** Between names, none of which has it. */
    private static final String NEXT = "\n";

    /** What lists show of a trial. */
    public static Digest of(TrialRecord record, Plan plan) {
        Standing standing = Standing.of(record);
        String step = record.nextLook()
                .flatMap(look -> Protocols.find(record.trial().protocol())
                        .map(protocol -> protocol.stepBefore(record, look).name()))
                .orElse("");
        return new Digest(
                record.trial().id(),
                record.trial().question(),
                record.trial().protocol(),
                record.trial().zone(),
                record.trial().start(),
                record.trial().stage(),
                standing,
                clipped(step, LONGEST_STEP),
                record.units().size(),
                clipped(seen(record).map(Treatment::name).collect(Collectors.joining(NEXT)), LONGEST_NAMES),
                record.units().stream().map(unit -> unit.code().value()).collect(Collectors.joining(" ", " ", " ")),
                plan.asked().crop(),
                !record.readings().isEmpty(),
                record.looks().stream().map(Look::hoursAfterStart).toList(),
                clipped(
                        seen(record).map(Treatment::material).distinct().collect(Collectors.joining(NEXT)),
                        LONGEST_MATERIALS));
    }

    /** Treatments that may be seen; of a blind trial none. */
    private static Stream<Treatment> seen(TrialRecord record) {
        return record.treatments().stream().filter(treatment -> !treatment.hidden());
    }

    /** The treatments by name. */
    List<String> treatments() {
        return names.lines().toList();
    }

    /** The year it began in, where it stands. */
    int year() {
        return start.atZone(zone).getYear();
    }

    /** The hours of its looks as they are stored. */
    String lookHours() {
        return looks.stream().map(String::valueOf).collect(Collectors.joining(" "));
    }

    static List<Double> lookHours(String stored) {
        return stored.isEmpty()
                ? List.of()
                : Arrays.stream(stored.split(" ")).map(Double::valueOf).toList();
    }

    /** As much of a text as a column holds. */
    static String clipped(String text, int longest) {
        return text.length() <= longest ? text : text.substring(0, longest - 1) + "…";
    }
}
