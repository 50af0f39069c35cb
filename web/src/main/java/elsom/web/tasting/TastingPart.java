package elsom.web.tasting;

import elsom.core.panel.Round;
import elsom.core.panel.Tasting;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.exchange.CsvTable;
import elsom.web.exchange.PackagePart;
import elsom.web.exchange.PackageTable;
import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Tastings in a trial's zip: what was tasted, and every answer by taster and place on the tray. */
@Component
class TastingPart implements PackagePart {
    private static final PackageTable TASTINGS = PackageTable.of(
            "tastings",
            "number:integer kind:string samples:string tasters:integer seed:string begun_at:datetime station:string"
                    + " revealed_at:datetime");
    private static final PackageTable ANSWERS =
            PackageTable.of("tasting_answers", "tasting:integer taster:integer place:integer answer:number");
    private static final TrialId UNNUMBERED = new TrialId(0);

    private final TastingMapper mapper;
    private final Clock clock;

    TastingPart(TastingMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    /** An answer with the tasting it belongs to. */
    private record Told(int tasting, TastingMapper.AnswerRow answer) {}

    @Override
    public List<PackageTable> tables() {
        return List.of(TASTINGS, ANSWERS);
    }

    @Override
    public Stream<List<?>> rows(TrialRecord record, PackageTable table) {
        Stream<TastingMapper.Row> all = mapper.of(record.trial().id()).stream();
        return table.equals(TASTINGS) ? all.map(TastingPart::cells) : all.flatMap(this::answers);
    }

    private static List<?> cells(TastingMapper.Row row) {
        return PackageTable.cells(
                row.number(),
                row.kind(),
                row.samples(),
                row.tasters(),
                row.seed(),
                row.begunAt(),
                row.station(),
                row.revealedAt());
    }

    private Stream<List<?>> answers(TastingMapper.Row row) {
        return mapper.answers(row.trialId(), row.number()).stream()
                .map(one -> List.of(row.number(), one.taster(), one.place(), one.answer()));
    }

    @Override
    public boolean secret(TrialRecord record, PackageTable table) {
        return mapper.of(record.trial().id()).stream().anyMatch(row -> row.revealedAt() == null);
    }

    @Override
    public Consumer<TrialId> read(TrialRecord record, Rows rows) {
        List<TastingMapper.Row> tastings = rows.of(TASTINGS, TastingPart::tasting);
        List<Told> answers = rows.of(ANSWERS, TastingPart::answer);
        Map<Integer, List<Told>> byTasting = answers.stream().collect(Collectors.groupingBy(Told::tasting));
        for (TastingMapper.Row row : tastings) {
            List<Told> told = byTasting.getOrDefault(row.number(), List.of());
            checked(row, told);
        }
        if (!tastings.stream().map(TastingMapper.Row::number).toList().containsAll(byTasting.keySet())) {
            throw new IllegalArgumentException("there are answers of a tasting that is not in tastings.csv");
        }
        return id -> keep(id, tastings, answers);
    }

    private static TastingMapper.Row tasting(CsvTable.Row row) {
        return new TastingMapper.Row(
                UNNUMBERED,
                row.whole("number"),
                row.choice("kind", Tasting.Kind.class),
                row.text("samples"),
                row.whole("tasters"),
                row.large("seed"),
                UUID.randomUUID(),
                row.instant("begun_at"),
                row.text("station"),
                row.optional("revealed_at").isPresent() ? row.instant("revealed_at") : null);
    }

    private static Told answer(CsvTable.Row row) {
        return new Told(
                row.whole("tasting"),
                new TastingMapper.AnswerRow(row.whole("taster"), row.whole("place"), row.number("answer")));
    }

    private static void checked(TastingMapper.Row row, List<Told> told) {
        Map<Integer, Map<Integer, Double>> answers = new HashMap<>();
        for (Told one : told) {
            answers.computeIfAbsent(one.answer().taster(), taster -> new HashMap<>())
                    .put(one.answer().place(), one.answer().answer());
        }
        Round round = new Round(row.tasting(), answers);
        if (round.answers().values().stream().mapToInt(Map::size).sum() != told.size()) {
            throw new IllegalArgumentException("tasting " + row.number() + " has two answers about one plate");
        }
    }

    /** Once: a zip that is sent twice makes one trial. */
    private void keep(TrialId id, List<TastingMapper.Row> tastings, List<Told> answers) {
        if (!mapper.of(id).isEmpty()) {
            return;
        }
        Instant now = clock.instant();
        for (TastingMapper.Row row : tastings) {
            mapper.insert(row.of(id));
            if (row.revealedAt() != null) {
                mapper.reveal(id, row.number(), row.revealedAt());
            }
        }
        answers.forEach(told -> mapper.answer(
                id,
                told.tasting(),
                told.answer().taster(),
                told.answer().place(),
                told.answer().answer(),
                now));
    }
}
