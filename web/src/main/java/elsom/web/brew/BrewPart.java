package elsom.web.brew;

import elsom.core.brew.BrewReading;
import elsom.core.brew.Recipe;
import elsom.core.brew.Smell;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import elsom.web.exchange.CsvTable;
import elsom.web.exchange.PackagePart;
import elsom.web.exchange.PackageTable;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** The recipe and the log of brews in a trial's zip. */
@Component
class BrewPart implements PackagePart {
    private static final PackageTable RECIPE = PackageTable.of("brew_recipe", "recipe:string");
    private static final PackageTable LOG = PackageTable.of(
            "brew_log",
            "number:integer unit:string at:datetime station:string temperature_c:number oxygen_mg_l:number ph:number"
                    + " ec_ms_cm:number foam_cm:number smell:string decision:string reason:string");

    private final BrewMapper mapper;

    BrewPart(BrewMapper mapper) {
        this.mapper = mapper;
    }

    @Override
    public List<PackageTable> tables() {
        return List.of(RECIPE, LOG);
    }

    @Override
    public Stream<List<?>> rows(TrialRecord record, PackageTable table) {
        TrialId id = record.trial().id();
        return table.equals(RECIPE)
                ? mapper.recipe(id).stream().map(List::of)
                : mapper.log(id).stream().map(row -> cells(row.reading()));
    }

    private static List<?> cells(BrewReading visit) {
        return PackageTable.cells(
                visit.number(),
                visit.unit(),
                visit.at(),
                visit.station(),
                visit.temperature(),
                visit.oxygen(),
                visit.ph(),
                visit.ec(),
                visit.foam(),
                visit.smell(),
                visit.decision(),
                visit.reason());
    }

    @Override
    public Consumer<TrialId> read(TrialRecord record, Rows rows) {
        List<String> recipes = rows.of(RECIPE, BrewPart::recipe);
        List<BrewReading> log = rows.of(LOG, row -> visit(record, row));
        if (recipes.size() > 1) {
            throw new IllegalArgumentException("a trial has one recipe, here are " + recipes.size());
        }
        if (log.stream().map(BrewReading::number).distinct().count() < log.size()) {
            throw new IllegalArgumentException("two visits to brews have the same number");
        }
        return id -> keep(id, recipes, log);
    }

    private static String recipe(CsvTable.Row row) {
        String text = row.text("recipe");
        List<String> problems = Recipe.readKept(text).problems();
        if (text.length() > Recipe.LONGEST || !problems.isEmpty()) {
            throw row.refuse("recipe: " + (problems.isEmpty() ? "it is too long" : problems.get(0)));
        }
        return text;
    }

    private static BrewReading visit(TrialRecord record, CsvTable.Row row) {
        UnitCode unit = new UnitCode(row.text("unit"));
        if (record.unit(unit).isEmpty()) {
            throw row.refuse("unit: this trial has no brew " + unit);
        }
        return new BrewReading(
                row.whole("number"),
                unit,
                row.instant("at"),
                row.text("station"),
                figure(row, "temperature_c"),
                figure(row, "oxygen_mg_l"),
                figure(row, "ph"),
                figure(row, "ec_ms_cm"),
                figure(row, "foam_cm"),
                choice(row, "smell", Smell.class),
                choice(row, "decision", BrewReading.Decision.class),
                row.optional("reason").orElse(""));
    }

    private static @Nullable Double figure(CsvTable.Row row, String column) {
        return row.optional(column).isPresent() ? row.number(column) : null;
    }

    private static <E extends Enum<E>> @Nullable E choice(CsvTable.Row row, String column, Class<E> of) {
        return row.optional(column).isPresent() ? row.choice(column, of) : null;
    }

    /** Once: a zip that is sent twice makes one trial. */
    private void keep(TrialId id, List<String> recipes, List<BrewReading> log) {
        Optional<String> before = mapper.recipe(id);
        if (before.isEmpty() && mapper.log(id).isEmpty()) {
            recipes.forEach(recipe -> mapper.keepRecipe(id, recipe));
            log.forEach(visit -> mapper.insert(id, visit, UUID.randomUUID()));
        }
    }
}
