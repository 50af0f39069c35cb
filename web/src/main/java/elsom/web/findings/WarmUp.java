package elsom.web.findings;

import elsom.core.plan.Arrangement;
import elsom.core.plan.Plan;
import elsom.core.plan.PlannedTreatment;
import elsom.core.plan.Pots;
import elsom.core.plan.Treatments;
import elsom.core.protocol.Protocol;
import elsom.core.protocol.Protocols;
import elsom.core.results.Evidence;
import elsom.core.results.Findings;
import elsom.core.trial.Container;
import elsom.core.trial.ControlKind;
import elsom.core.trial.Endpoint;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Instrument;
import elsom.core.trial.Look;
import elsom.core.trial.ProtocolCode;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingId;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.thymeleaf.ITemplateEngine;

/**
 * Works an invented trial out once after the start, so that the first page of findings doesn't wait for classes, templates
 * and tables of quantiles.
 */
@Component
@ConditionalOnProperty("elsom.warm")
class WarmUp {
    private static final ProtocolCode GROWTH = new ProtocolCode("growth");
    private static final int TREATMENTS = 12;
    private static final int REPLICATES = 5;
    private static final int TIMES = 3;

    private final ITemplateEngine templates;

    WarmUp(ITemplateEngine templates) {
        this.templates = templates;
    }

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        Thread thread = new Thread(this::run, "warm-up");
        thread.setDaemon(true);
        thread.start();
    }

    void run() {
        Protocol protocol = Protocols.find(GROWTH).orElseThrow();
        Plan plan = plan(protocol);
        for (int time = 0; time < TIMES; time++) {
            TrialRecord record = measured(plan, time);
            Findings findings = protocol.findings(Evidence.of(plan, record, OptionalInt.empty()));
            DrawnSection.all(SectionView.of(record, findings, 1), templates);
        }
    }

    private static Plan plan(Protocol protocol) {
        Plan begun = protocol.begin(
                "warm-up", ZoneOffset.UTC, Instant.EPOCH.plusSeconds(1), Pots.of(Container.tray("tray", 6, 20, 15)), 1);
        List<PlannedTreatment> listed = IntStream.range(0, TREATMENTS)
                .mapToObj(i -> PlannedTreatment.of("t" + i, "m" + i, i == 0 ? ControlKind.CONTROL : ControlKind.NONE))
                .toList();
        Arrangement blocks = begun.arrangement().withReplicates(REPLICATES);
        return begun.with(Treatments.listed(listed), begun.pots()).with(blocks);
    }

    private static TrialRecord measured(Plan plan, int time) {
        TrialRecord draft = plan.draw(new TrialId(0));
        TrialRecord drawn = draft.with(draft.trial().begun(false));
        List<Reading> readings = new ArrayList<>();
        for (Look look : drawn.looks()) {
            for (ExperimentalUnit unit : drawn.units()) {
                for (EndpointCode code : look.endpoints()) {
                    readings.add(reading(drawn, unit, look, code, readings.size() + 1L, time));
                }
            }
        }
        return drawn.plus(readings);
    }

    private static Reading reading(
            TrialRecord drawn, ExperimentalUnit unit, Look look, EndpointCode code, long number, int time) {
        Endpoint endpoint = drawn.endpoint(code);
        double middle = Math.rint((endpoint.lowest() + Math.min(endpoint.highest(), 40)) / 2);
        double value = Math.max(
                endpoint.lowest(),
                Math.min(endpoint.highest(), middle + (unit.replicate() + unit.treatment() + time) % 3));
        Instant at = look.plannedAt(drawn.trial().start());
        return new Reading(
                new ReadingId(number),
                new ReadingRef(unit.code(), look.number(), code),
                value,
                Double.toString(value),
                endpoint.unit(),
                at,
                at,
                "warm-up",
                Instrument.HAND,
                null,
                null);
    }
}
