package elsom.web.series;

import elsom.core.quantity.Decimals;
import elsom.core.series.Headings;
import elsom.core.series.LabTable;
import elsom.core.series.Landing;
import elsom.core.trial.CorrectionReason;
import elsom.core.trial.Instrument;
import elsom.core.trial.Reading;
import elsom.core.trial.TrialRecord;
import elsom.web.trial.Logbook;
import elsom.web.trial.NewReading;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Brings what a laboratory answers to the look its samples were taken for. */
@Component
class LabAnswers {
    private final Logbook logbook;
    private final Clock clock;

    LabAnswers(Logbook logbook, Clock clock) {
        this.logbook = logbook;
        this.clock = clock;
    }

    /**
     * What became of an answer.
     *
     * @param taken whether anything was read at all; otherwise all that could not be is listed
     * @param listed what landed nowhere, or what can't be read
     */
    public record Outcome(boolean taken, String words, List<String> listed) {}

    /** Enters the answer to a slip, or nothing of it. */
    Outcome enter(TrialRecord record, LabSlips.Slip slip, Headings head, List<List<String>> rows) {
        LabTable table = LabTable.of(
                head,
                rows,
                record.units().stream().map(unit -> unit.code().value()).collect(Collectors.toUnmodifiableSet()),
                slip.asked());
        if (!table.unread().isEmpty()) {
            return new Outcome(false, "Nothing was taken: this can’t be read.", table.unread());
        }
        Landing landing = Landing.of(record, slip.look(), slip.units(), slip.endpoints(), table.found());
        List<NewReading> entries = landing.readings().stream()
                .map(landed -> reading(record, slip, landed))
                .toList();
        List<Reading> meanwhile = logbook.enterAll(record.trial().id(), entries);
        if (!meanwhile.isEmpty()) {
            return new Outcome(
                    false,
                    "Nothing was taken: somebody typed readings there in the meantime. Try again.",
                    meanwhile.stream()
                            .map(one -> one.ref().unit() + ": " + one.typedText())
                            .toList());
        }
        List<String> listed = new ArrayList<>(table.missing());
        listed.addAll(landing.nowhere());
        int made = landing.readings().size();
        String look = record.look(slip.look()).orElseThrow().name();
        return new Outcome(
                true,
                made + (made == 1 ? " reading" : " readings") + " entered at “" + look + "”, by the laboratory"
                        + (landing.there() > 0 ? "; " + landing.there() + " stood there already" : "") + ".",
                listed);
    }

    private NewReading reading(TrialRecord record, LabSlips.Slip slip, Landing.Landed landed) {
        Reading standing = landed.standing().orElse(null);
        return new NewReading(
                landed.ref(),
                landed.value(),
                landed.written().startsWith("<")
                        ? landed.written()
                        : Decimals.upTo(
                                landed.value(),
                                record.endpoint(landed.ref().endpoint()).decimals() + 2),
                record.endpoint(landed.ref().endpoint()).unit(),
                slip.sampledAt(),
                clock.instant(),
                "slip " + slip.number(),
                Instrument.LABORATORY,
                standing == null ? null : standing.id(),
                standing == null ? null : CorrectionReason.FILE,
                UUID.randomUUID());
    }
}
