package elsom.web.brew;

import elsom.core.brew.BrewReading;
import elsom.core.brew.Recipe;
import elsom.core.trial.TrialId;
import elsom.core.trial.UnitCode;
import elsom.web.kit.Times;
import elsom.web.platform.Refusal;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Recipes and logs of brews. */
@Repository
public class Brews {
    /** A recipe to begin with. */
    public static final String USUAL = """
            water stand 24 h
            temperature 21 C
            air 0.5 L/min per L
            compost 15 g/L""";

    private final BrewMapper mapper;
    private final Clock clock;

    Brews(BrewMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    /** The recipe as it was written; one to begin with where nobody wrote one. */
    @Transactional(readOnly = true)
    public String recipe(TrialId trial) {
        return mapper.recipe(trial).orElse(USUAL);
    }

    @Transactional(readOnly = true)
    public boolean hasRecipe(TrialId trial) {
        return mapper.recipe(trial).isPresent();
    }

    /**
     * Keeps a recipe.
     *
     * @return every line that can't be read; nothing was kept unless there is none
     */
    @Transactional
    public List<String> keepRecipe(TrialId trial, String text) {
        if (text.length() > Recipe.LONGEST) {
            return List.of("A recipe has " + Recipe.LONGEST + " characters at most, here are " + text.length() + ".");
        }
        boolean done = log(trial).stream().anyMatch(BrewReading::ends);
        if (done && !text.strip().equals(recipe(trial).strip())) {
            return List.of(
                    "Brews of this recipe have ended: what went into them can't change any more. Another recipe is"
                            + " another trial.");
        }
        Recipe.Read read = Recipe.read(text);
        if (read.problems().isEmpty()) {
            mapper.keepRecipe(trial, text.strip());
        }
        return read.problems();
    }

    /** A brew is done once; what is done can still be thrown away, once. */
    private void maybeEnd(TrialId trial, UnitCode unit, BrewReading.Decision how) {
        log(trial).stream()
                .filter(visit -> visit.unit().equals(unit) && visit.ends())
                .filter(visit -> how == BrewReading.Decision.DONE || visit.decision() == how)
                .findFirst()
                .ifPresent(first -> {
                    throw endedAlready(first);
                });
    }

    /** Whether a visit with this token is written down. */
    @Transactional(readOnly = true)
    public boolean noted(UUID token) {
        return mapper.noted(token).isPresent();
    }

    /** The visit that ended a brew: the first end stands, and its four hours run from it. */
    @Transactional(readOnly = true)
    public Optional<BrewReading> ended(TrialId trial, UnitCode unit) {
        return log(trial).stream()
                .filter(visit -> visit.unit().equals(unit) && visit.ends())
                .findFirst();
    }

    static Refusal endedAlready(BrewReading first) {
        return new Refusal("Brew " + first.unit() + " was ended already, at "
                + Times.dayAndTime(first.at(), ZoneId.systemDefault())
                + ": the first end stands, and its hours run from it. Reload the page to see how it stands.");
    }

    /** All visits in order of time. */
    @Transactional(readOnly = true)
    public List<BrewReading> log(TrialId trial) {
        return mapper.log(trial).stream().map(BrewMapper.Row::reading).toList();
    }

    /** Writes a visit down, once for its token; it is numbered here. */
    @Transactional
    public BrewReading note(TrialId trial, BrewReading visit, UUID token) {
        var before = mapper.noted(token);
        if (before.isPresent()) {
            return before.get().reading();
        }
        if (visit.ends()) {
            maybeEnd(trial, visit.unit(), Objects.requireNonNull(visit.decision()));
        }
        int number = mapper.log(trial).stream()
                        .mapToInt(BrewMapper.Row::number)
                        .max()
                        .orElse(0)
                + 1;
        BrewReading numbered = visit.numbered(number);
        mapper.insert(trial, numbered, token);
        return numbered;
    }

    /** What becomes of a brew that met the stop rule; going on needs a reason. */
    @Transactional
    public void decide(TrialId trial, int number, BrewReading.Decision decision, String reason) {
        BrewReading visit = mapper.log(trial).stream()
                .filter(row -> row.number() == number)
                .findFirst()
                .map(BrewMapper.Row::reading)
                .orElseThrow(() -> new Refusal("There is no such visit. Reload the page."));
        if (visit.decision() != null) {
            throw new Refusal(
                    "What becomes of this brew was decided already; the first decision stands. Write another visit"
                            + " down if it has changed since.");
        }
        if (decision != BrewReading.Decision.GOES_ON) {
            maybeEnd(trial, visit.unit(), decision);
        }
        if (decision == BrewReading.Decision.GOES_ON && reason.isBlank()) {
            throw new Refusal("Say why it goes on all the same. Accepted: more air on, smell again in an hour.");
        }
        mapper.decide(
                trial, number, decision, visit.decided(decision, reason.strip()).reason());
    }

    /**
     * Brews whose four hours run, or ran out within the last day.
     *
     * @param useBy of each trial, the earliest first
     */
    public record Clocks(TrialId trial, List<String> units, Instant useBy) {}

    /** What is to be used soon: brews of a trial that were done together are one line. */
    @Transactional(readOnly = true)
    public List<Clocks> toUse() {
        Instant since = clock.instant().minus(BrewReading.KEEPS).minus(Duration.ofHours(4));
        Map<String, Clocks> lines = new TreeMap<>();
        for (BrewMapper.Row row : mapper.done(since)) {
            if (thrownAway(row)) {
                continue;
            }
            Instant useBy = row.reading().useBy().orElseThrow();
            lines.merge(
                    useBy + " " + row.trialId(),
                    new Clocks(row.trialId(), List.of(row.unitCode().value()), useBy),
                    (one, other) -> new Clocks(
                            one.trial(),
                            Stream.concat(one.units().stream(), other.units().stream())
                                    .toList(),
                            one.useBy()));
        }
        return List.copyOf(lines.values());
    }

    private boolean thrownAway(BrewMapper.Row done) {
        return log(done.trialId()).stream()
                .anyMatch(visit -> visit.unit().equals(done.unitCode())
                        && visit.decision() == BrewReading.Decision.STOPPED
                        && !visit.at().isBefore(done.reading().at()));
    }

    /** What laboratories call their columns, by header. */
    @Transactional(readOnly = true)
    public Map<String, String> columns() {
        Map<String, String> columns = new TreeMap<>(String.CASE_INSENSITIVE_ORDER);
        mapper.columns().forEach(column -> columns.put(column.header(), column.what()));
        return columns;
    }

    @Transactional
    public void keepColumns(Map<String, String> told) {
        told.forEach((header, what) -> mapper.keepColumn(new BrewMapper.ColumnRow(header, what)));
    }
}
