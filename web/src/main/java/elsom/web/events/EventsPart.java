package elsom.web.events;

import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.exchange.CsvTable;
import elsom.web.exchange.PackagePart;
import elsom.web.exchange.PackageTable;
import java.util.List;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Events in a trial's zip. */
@Component
class EventsPart implements PackagePart {
    private static final PackageTable EVENTS = PackageTable.of(
            "events", "number:integer kind:string about:string? was:string? at:datetime station:string reason:string?");

    private final EventMapper mapper;

    EventsPart(EventMapper mapper) {
        this.mapper = mapper;
    }

    @Override
    public List<PackageTable> tables() {
        return List.of(EVENTS);
    }

    @Override
    public Stream<List<?>> rows(TrialRecord record, PackageTable table) {
        return mapper.of(record.trial().id()).stream()
                .map(event -> PackageTable.cells(
                        event.number(),
                        event.kind(),
                        event.about(),
                        event.was(),
                        event.at(),
                        event.station(),
                        event.reason()));
    }

    @Override
    public Consumer<TrialId> read(TrialRecord record, Rows rows) {
        List<TrialEvent> events = rows.of(EVENTS, EventsPart::event);
        if (events.stream().map(TrialEvent::number).distinct().count() < events.size()) {
            throw new IllegalArgumentException("two events have the same number");
        }
        return id -> {
            if (mapper.of(id).isEmpty()) {
                events.forEach(event -> mapper.insert(id, event, UUID.randomUUID()));
            }
        };
    }

    private static TrialEvent event(CsvTable.Row row) {
        return new TrialEvent(
                row.whole("number"),
                row.choice("kind", TrialEvent.Kind.class),
                shorter(row, "about", TrialEvent.LONGEST_ABOUT),
                shorter(row, "was", TrialEvent.LONGEST_WAS),
                row.instant("at"),
                row.text("station"),
                shorter(row, "reason", TrialEvent.LONGEST_REASON));
    }

    private static String shorter(CsvTable.Row row, String column, int most) {
        String text = row.optional(column).orElse("");
        if (text.length() > most) {
            throw row.refuse(column + ": at most " + most + " characters");
        }
        return text;
    }
}
