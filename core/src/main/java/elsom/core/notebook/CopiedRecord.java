package elsom.core.notebook;

import elsom.core.trial.Endpoint;
import elsom.core.trial.ExperimentalUnit;
import elsom.core.trial.Given;
import elsom.core.trial.GivenKind;
import elsom.core.trial.Instrument;
import elsom.core.trial.Look;
import elsom.core.trial.Mishap;
import elsom.core.trial.MishapKind;
import elsom.core.trial.Reading;
import elsom.core.trial.ReadingId;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Pattern;

/**
 * The readings, losses and care of a copied trial.
 *
 * @param days of the looks that were; empty where one look holds all, and where none was yet
 */
record CopiedRecord(Notebook notebook, List<LocalDate> days, ZoneId zone) {
    private static final String STATION = "Notebook";
    private static final int NOON = 12;
    private static final Pattern DEAD =
            Pattern.compile("(?i)(?<!\\b(?:not|none|no|never|nothing|half) )\\b(?:dead|died|killed)\\b");

    /** When on a day: nobody wrote, so at noon. */
    static Instant noon(LocalDate day, ZoneId zone) {
        return day.atTime(NOON, 0).atZone(zone).toInstant();
    }

    private Instant at(LocalDate day) {
        return noon(day, zone);
    }

    /** A drawn trial with what the notebook says of each pot. */
    TrialRecord filled(TrialRecord drawn, List<List<Notebook.Pot>> byTreatment) {
        List<ExperimentalUnit> units = new ArrayList<>();
        List<String> names = new ArrayList<>();
        List<Reading> readings = new ArrayList<>();
        List<Mishap> mishaps = new ArrayList<>();
        Map<Integer, Integer> taken = new HashMap<>();
        for (ExperimentalUnit unit : drawn.units()) {
            List<Notebook.Pot> own = byTreatment.get(unit.treatment() - 1);
            int next = taken.merge(unit.treatment(), 1, Integer::sum) - 1;
            if (next < own.size()) {
                units.add(unit);
                names.add(
                        own.get(next).name().startsWith(Line.ROW)
                                ? ""
                                : own.get(next).name());
                written(drawn, unit, own.get(next), readings, mishaps);
            }
        }
        Optional<Stands> stands = notebook.going().stands();
        TrialRecord record = TrialRecord.of(
                drawn.trial(),
                drawn.treatments(),
                drawn.containers(),
                stands.map(where -> List.of(where.bench())).orElse(drawn.benches()),
                stands.map(where -> where.placed(units, names, drawn.treatments()))
                        .orElse(units),
                drawn.endpoints(),
                drawn.looks(),
                readings,
                mishaps);
        return record.with(record.beside().given(given(units)));
    }

    private List<Given> given(List<ExperimentalUnit> units) {
        List<Given> all = new ArrayList<>();
        for (Watering watering : notebook.waterings()) {
            Map<UnitCode, Double> each = new LinkedHashMap<>();
            units.forEach(unit -> each.put(unit.code(), watering.millilitres()));
            all.add(new Given(
                    all.size() + 1,
                    watering.feed().isEmpty() ? GivenKind.WATER : GivenKind.FEED,
                    watering.feed(),
                    each,
                    at(watering.on()),
                    STATION,
                    null));
        }
        return all;
    }

    /** What is written of a pot at every look; nothing about it at one is nothing that is known. */
    private void written(
            TrialRecord drawn, ExperimentalUnit unit, Notebook.Pot pot, List<Reading> readings, List<Mishap> mishaps) {
        Optional<LocalDate> over = Optional.empty();
        List<Look> were = notebook.going().goesOn() ? drawn.looks().subList(0, days.size()) : drawn.looks();
        if (were.isEmpty()) {
            called(drawn.looks().get(0), pot, unit, drawn.trial().start(), mishaps);
        }
        for (Look look : were) {
            Optional<LocalDate> day = days.isEmpty() ? Optional.empty() : Optional.of(days.get(look.number() - 1));
            Optional<Line> line = days.isEmpty()
                    ? Optional.of(pot.lines().get(0))
                    : pot.lines().stream()
                            .filter(one -> one.on().equals(day) || (one.on().isEmpty() && look.number() == 1))
                            .findFirst();
            Instant when = line.flatMap(Line::on)
                    .map(this::at)
                    .orElse(look.plannedAt(drawn.trial().start()));
            boolean measured = line.isPresent() && measured(line.get());
            if (measured && over.isPresent()) {
                throw new IllegalArgumentException("“" + line.orElseThrow().treatment() + "”, pot " + pot.name()
                        + ", was gone by " + Notebook.DAY.format(over.get()) + " and was measured on "
                        + Notebook.DAY.format(day.orElseThrow()) + ". Which is right?");
            }
            if (line.isPresent()) {
                read(drawn, look, unit, line.get(), when, readings);
            }
            if (over.isEmpty() && mishaps(look, unit, line, when, mishaps)) {
                over = day;
            }
            if (look.number() == 1) {
                called(look, pot, unit, when, mishaps);
            }
        }
    }

    private static void called(Look look, Notebook.Pot pot, ExperimentalUnit unit, Instant when, List<Mishap> mishaps) {
        if (!pot.name().isEmpty() && !pot.name().startsWith(Line.ROW)) {
            mishaps.add(mishap(mishaps, MishapKind.NOTE, "called " + pot.name() + " there", unit, look, when));
        }
    }

    private static boolean measured(Line line) {
        return line.values().stream().anyMatch(value -> value.value().isPresent());
    }

    private void read(
            TrialRecord drawn, Look look, ExperimentalUnit unit, Line line, Instant when, List<Reading> readings) {
        for (int i = 0; i < notebook.measured().size(); i++) {
            OptionalDouble value = line.values().get(i).value();
            if (value.isPresent()) {
                Endpoint endpoint = drawn.endpoints().get(i);
                readings.add(new Reading(
                        new ReadingId(readings.size() + 1),
                        new ReadingRef(unit.code(), look.number(), endpoint.code(), 1),
                        value.getAsDouble(),
                        line.values().get(i).typed(),
                        endpoint.unit(),
                        when,
                        when,
                        STATION,
                        Instrument.HAND,
                        null,
                        null));
            }
        }
    }

    /**
     * What a note tells of; words that tell of nothing stay a note, and a value nobody knows is not asked for again.
     *
     * @return whether the unit was gone from then on
     */
    private static boolean mishaps(
            Look look, ExperimentalUnit unit, Optional<Line> line, Instant when, List<Mishap> mishaps) {
        String words = line.map(Line::note).orElse("");
        String note = words.substring(0, Math.min(Mishap.LONGEST_NOTE, words.length()));
        List<MishapKind> kinds = line.map(one -> kinds(one, measured(one))).orElse(List.of());
        kinds.forEach(kind -> mishaps.add(mishap(mishaps, kind, note, unit, look, when)));
        boolean over = kinds.stream().anyMatch(MishapKind::endsUnit);
        boolean all = line.isPresent()
                && line.get().values().stream().noneMatch(value -> value.value().isEmpty());
        if (!over && !all) {
            mishaps.add(mishap(mishaps, MishapKind.UNKNOWN, "a value that nobody knows any more", unit, look, when));
        }
        return over;
    }

    private static Mishap mishap(
            List<Mishap> before, MishapKind kind, String note, ExperimentalUnit unit, Look look, Instant when) {
        return new Mishap(before.size() + 1, kind, note, List.of(unit.code()), look.number(), when, STATION, null);
    }

    private static List<MishapKind> kinds(Line line, boolean measured) {
        if (line.note().isEmpty()) {
            return List.of();
        }
        Note note = Note.read(line.note());
        if (!measured && DEAD.matcher(line.note()).find() && note.lost() != Note.Lost.NO) {
            return List.of(MishapKind.DIED);
        }
        if (!measured && (note.lost() == Note.Lost.YES || note.mishaps().contains(Note.Happened.LOST))) {
            return List.of(MishapKind.TAKEN);
        }
        return note.mishaps().isEmpty()
                ? List.of(MishapKind.NOTE)
                : note.mishaps().stream()
                        .sorted()
                        .map(Note.Happened::kind)
                        .map(kind -> measured && kind.endsUnit() ? MishapKind.NOTE : kind)
                        .distinct()
                        .toList();
    }
}
