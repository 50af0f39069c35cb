package elsom.core.section;

import java.util.List;
import java.util.Optional;

/**
 * One piece of an account: a picture, facts beside it, tables below.
 *
 * @param name tells it from other parts; empty where there is one only
 * @param standings what is so at each look it is told for, in order of time; the last is the one judged
 * @param notes how to read it
 */
public record Part(
        String name, Optional<Chart> chart, List<Standing> standings, List<Table> tables, List<String> notes) {
    /**
     * What is so at a look.
     *
     * @param note how it was worked out there; may be empty
     */
    public record Standing(String at, List<Fact> facts, String note) {
        public Standing {
            facts = List.copyOf(facts);
        }
    }

    public Part {
        standings = List.copyOf(standings);
        tables = List.copyOf(tables);
        notes = List.copyOf(notes);
    }

    public static Part of(Table... tables) {
        return new Part("", Optional.empty(), List.of(), List.of(tables), List.of());
    }

    public static Part drawn(Chart chart, Table... tables) {
        return new Part("", Optional.of(chart), List.of(), List.of(tables), List.of());
    }

    public Part named(String called) {
        return new Part(called, chart, standings, tables, notes);
    }

    public Part standing(List<Standing> at) {
        return new Part(name, chart, at, tables, notes);
    }

    public Part facts(List<Fact> facts) {
        return standing(List.of(new Standing("", facts, "")));
    }

    public Part noting(String note) {
        return new Part(name, chart, standings, tables, List.of(note));
    }

    /** Facts as they are now; empty where there are none. */
    public List<Fact> facts() {
        return standings.isEmpty()
                ? List.of()
                : standings.get(standings.size() - 1).facts();
    }

    /** Tables that a page places so. */
    public List<Table> placed(Table.Placing where) {
        return tables.stream().filter(table -> table.isPlaced(where)).toList();
    }
}
