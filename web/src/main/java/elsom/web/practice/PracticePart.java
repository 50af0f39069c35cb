package elsom.web.practice;

import elsom.core.practice.Call;
import elsom.core.practice.Levels;
import elsom.core.practice.Setting;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.exchange.CsvTable;
import elsom.web.exchange.PackagePart;
import elsom.web.exchange.PackageTable;
import java.time.Clock;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** The bench behind a practice trial in its zip: practice stays practice, and no list of real work shows it. */
@Component
class PracticePart implements PackagePart {
    private static final PackageTable BENCH = PackageTable.of(
            "practice",
            "level:string seed:string effect:number scatter:number gradient:number drop_out:number best:integer called:string"
                    + " confidence:number told_in_reruns:number");

    private final PracticeMapper mapper;
    private final Clock clock;

    PracticePart(PracticeMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    /** A bench as a zip has it. */
    private record Bench(
            String level, long seed, Setting setting, int best, String called, double confidence, double told) {}

    @Override
    public List<PackageTable> tables() {
        return List.of(BENCH);
    }

    @Override
    public Stream<List<?>> rows(TrialRecord record, PackageTable table) {
        return mapper.find(record.trial().id()).stream()
                .map(row -> PackageTable.cells(
                        row.level(),
                        Long.toString(row.seed()),
                        row.effect(),
                        row.scatter(),
                        row.gradient(),
                        row.dropOut(),
                        row.best(),
                        row.called(),
                        row.confidence(),
                        row.toldInReruns()));
    }

    @Override
    public boolean secret(TrialRecord record, PackageTable table) {
        return mapper.find(record.trial().id())
                .filter(row -> row.called() == null)
                .isPresent();
    }

    @Override
    public Consumer<TrialId> read(TrialRecord record, Rows rows) {
        List<Bench> benches = rows.of(BENCH, PracticePart::bench);
        if (benches.size() > 1) {
            throw new IllegalArgumentException("a trial has one practice bench, here are " + benches.size());
        }
        return id -> benches.forEach(bench -> keep(id, bench));
    }

    private static Bench bench(CsvTable.Row row) {
        String level = row.text("level");
        if (Levels.find(level).isEmpty()) {
            throw row.refuse("level: there is no level “" + level + "”");
        }
        String seed = row.text("seed");
        if (!seed.matches("-?[0-9]{1,18}")) {
            throw row.refuse("seed: “" + seed + "” is no whole number");
        }
        return new Bench(
                level,
                Long.parseLong(seed),
                new Setting(
                        row.number("effect"), row.number("scatter"), row.number("gradient"), row.number("drop_out")),
                row.whole("best"),
                row.optional("called").isPresent()
                        ? row.choice("called", Call.class).name()
                        : "",
                row.optional("confidence").isPresent() ? row.number("confidence") : 0,
                row.optional("told_in_reruns").isPresent() ? row.number("told_in_reruns") : 0);
    }

    /** Once: a zip that is sent twice makes one trial. */
    private void keep(TrialId id, Bench bench) {
        if (mapper.find(id).isEmpty()) {
            mapper.keep(id, bench.level(), bench.seed(), bench.setting());
            mapper.mark(id);
            mapper.pick(id, bench.best());
            if (!bench.called().isEmpty()) {
                mapper.call(id, Call.valueOf(bench.called()), bench.confidence(), bench.told(), clock.instant());
            }
        }
    }
}
