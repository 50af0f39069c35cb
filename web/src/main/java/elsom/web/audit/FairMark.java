package elsom.web.audit;

import elsom.core.audit.Audit;
import elsom.core.audit.Fault;
import elsom.core.audit.Grade;
import elsom.core.quantity.Sentence;
import elsom.core.results.Findings;
import elsom.core.results.Verdict;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.TrialRecord;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * How far findings can be relied on, beside them.
 *
 * @param words in a sentence
 * @param href of the page that tells it
 * @param caps what caps an answer, by the endpoint it stands on
 * @param whole what caps answers that stand on no single endpoint
 */
public record FairMark(Grade grade, String words, String href, Map<EndpointCode, Cap> caps, Optional<Cap> whole) {
    /**
     * What an answer is capped by.
     *
     * @param shared whether it makes all answers alike shaky, so that it is told once for all of them
     */
    public record Cap(Grade grade, String seen, String href, boolean shared) {}

    /** The mark of findings. */
    public static FairMark of(TrialRecord record, Findings findings, Audit audit) {
        String href = "/trials/" + record.trial().id() + "/fair";
        Map<EndpointCode, Cap> caps = new HashMap<>();
        findings.answers().stream()
                .flatMap(answered -> answered.about().stream())
                .distinct()
                .forEach(code -> cap(audit, audit.cap(code), href).ifPresent(cap -> caps.put(code, cap)));
        Optional<Cap> whole = cap(
                audit,
                audit.faults().stream()
                        .filter(fault -> fault.about().isEmpty() && fault.grade() != Grade.SOUND)
                        .findFirst(),
                href);
        return new FairMark(audit.grade(), words(audit), href, caps, whole);
    }

    private static Optional<Cap> cap(Audit audit, Optional<Fault> fault, String href) {
        return fault.map(one -> new Cap(
                one.grade(),
                one.seen(),
                href + "#fault-" + (audit.faults().indexOf(one) + 1),
                one.grade() == Grade.SHAKY && one.about().isEmpty()));
    }

    /** How an answer stands, in one word from statistics and fairness together. */
    public String word(Findings.Answered answered) {
        Cap cap = cap(answered);
        Verdict.Firmness firmness = answered.verdict().firmness();
        return cap == null || open(firmness) ? firmness.label() : cap.grade().label();
    }

    private static boolean open(Verdict.Firmness firmness) {
        return firmness == Verdict.Firmness.SO_FAR || firmness == Verdict.Firmness.CANT_TELL;
    }

    /** What caps an answer; null when nothing does. What can't be told can't be shaken, only have been unfair. */
    public @Nullable Cap cap(Findings.Answered answered) {
        Cap cap = answered.about().isPresent() ? caps.get(answered.about().get()) : whole.orElse(null);
        boolean told = answered.verdict().firmness() != Verdict.Firmness.CANT_TELL;
        return cap != null && (told || cap.grade() == Grade.UNFAIR) ? cap : null;
    }

    /** Whether its sentence tells already what caps an answer. */
    public boolean tells(Cap cap) {
        return words.toLowerCase(Locale.ROOT).contains(cap.seen().toLowerCase(Locale.ROOT));
    }

    private static String words(Audit audit) {
        long weak = audit.faults().stream()
                .filter(fault -> fault.grade() != Grade.SOUND)
                .count();
        return switch (audit.grade()) {
            case SOUND -> "It was a fair test, by all " + Audit.rules() + " things that are looked at.";
            case SHAKY ->
                weak + (weak == 1 ? " thing makes" : " things make") + " it shaky"
                        + audit.faults().stream()
                                .filter(fault -> fault.grade() == Grade.SHAKY)
                                .findFirst()
                                .map(fault -> ": " + Sentence.inside(fault.seen()))
                                .orElse(".");
            case UNFAIR ->
                "It could not answer what it asked: " + weak + (weak == 1 ? " thing" : " things")
                        + " stood in the way.";
        };
    }
}
