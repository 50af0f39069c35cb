package elsom.web.brew;

import elsom.core.brew.BrewReading;
import elsom.core.brew.Recipe;
import elsom.core.trial.TrialId;
import elsom.core.trial.UnitCode;
import elsom.web.events.Events;
import elsom.web.events.TrialEvent;
import elsom.web.kit.Times;
import elsom.web.platform.Refusal;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
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

    static final String TAKEN_BACK = "taken back that it was ";

    private final BrewMapper mapper;
    private final Events events;
    private final Clock clock;

    Brews(BrewMapper mapper, Events events, Clock clock) {
        this.mapper = mapper;
        this.events = events;
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
     * Keeps the recipe of a plan; brews that were begun have theirs corrected.
     *
     * @return every line that can't be read; nothing was kept unless there is none
     */
    @Transactional
    public List<String> keepRecipe(TrialId trial, String text) {
        List<String> problems = problems(text);
        if (problems.isEmpty()) {
            mapper.keepRecipe(trial, text.strip());
        }
        return problems;
    }

    private static List<String> problems(String text) {
        return text.length() > Recipe.LONGEST
                ? List.of("A recipe has " + Recipe.LONGEST + " characters at most, here are " + text.length() + ".")
                : Recipe.read(text).problems();
    }

    /**
     * Corrects what is written of brews that were begun: what it said before stays, with who and why.
     *
     * @return everything that can't be read or is missing; nothing was kept unless there is none
     */
    @Transactional
    public List<String> correctRecipe(TrialId trial, String text, String reason, String station, UUID token) {
        String before = recipe(trial).strip();
        if (text.strip().equals(before) || events.written(token)) {
            return List.of();
        }
        List<String> problems = new ArrayList<>(problems(text));
        if (text.isBlank()) {
            problems.add("Something went into these brews. Accepted: compost 15 g/L");
        }
        Events.problem(reason, "weighed 20 g, wrote 15")
                .ifPresent(problem -> problems.add("These brews were begun by what it says. " + problem));
        if (problems.isEmpty()) {
            events.write(trial, TrialEvent.Kind.RECIPE_CORRECTED, "", before, station, reason, token);
            mapper.keepRecipe(trial, text.strip());
        }
        return problems;
    }

    /** What recipes said before they were corrected, the first first. */
    @Transactional(readOnly = true)
    public List<TrialEvent> corrections(TrialId trial) {
        return events.of(trial, TrialEvent.Kind.RECIPE_CORRECTED);
    }

    /**
     * Takes a brew's end back, and sets the true one where it is known.
     *
     * @param number of the visit that ended it
     * @param truly when it ended; empty where it did not
     */
    @Transactional
    public void takeEndBack(
            TrialId trial, int number, String reason, Optional<Instant> truly, String station, UUID token) {
        if (events.written(token)) {
            return;
        }
        BrewReading end = log(trial).stream()
                .filter(visit -> visit.number() == number && visit.ends())
                .findFirst()
                .orElseThrow(() -> new Refusal("There is no such end any more. Reload the page to see how it stands."));
        BrewReading.Decision how = Objects.requireNonNull(end.decision());
        events.write(
                trial,
                TrialEvent.Kind.END_TAKEN_BACK,
                String.valueOf(number),
                end.unit() + " " + how + " " + end.at(),
                station,
                reason,
                token);
        truly.ifPresent(at -> note(
                trial,
                new BrewReading(1, end.unit(), at, station, null, null, null, null, null, null, how, ""),
                UUID.nameUUIDFromBytes((token + "truly").getBytes(StandardCharsets.UTF_8))));
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
        Map<Integer, String> takenBack = takenBack(trial);
        return mapper.log(trial).stream()
                .map(BrewMapper.Row::reading)
                .map(visit ->
                        takenBack.containsKey(visit.number()) ? endless(visit, takenBack.get(visit.number())) : visit)
                .toList();
    }

    /** A visit whose end is none: where the stop rule was met, the brew goes on against it. */
    private static BrewReading endless(BrewReading visit, String why) {
        BrewReading.@Nullable Decision now = visit.whyStop().isPresent() ? BrewReading.Decision.GOES_ON : null;
        return visit.decided(now, TAKEN_BACK + BrewsPage.state(visit.decision()) + ": " + why);
    }

    /** Why ends were taken back, by the visit's number. */
    private Map<Integer, String> takenBack(TrialId trial) {
        return events.of(trial, TrialEvent.Kind.END_TAKEN_BACK).stream()
                .collect(Collectors.toMap(
                        event -> Integer.valueOf(event.about()), TrialEvent::reason, (first, again) -> first));
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
            if (thrownAway(row) || takenBack(row.trialId()).containsKey(row.number())) {
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
