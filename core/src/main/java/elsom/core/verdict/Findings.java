package elsom.core.verdict;

import elsom.core.trial.UnitCode;
import java.util.List;
import java.util.Optional;

/**
 * What a trial found, whatever its protocol.
 *
 * @param verdicts the answer, most important first
 * @param kinds the kinds of figure in the order they are shown
 * @param comparedAt the look at which groups are compared; 0 when nothing can be compared yet
 */
public record Findings(
        List<Verdict> verdicts,
        List<FigureKind> kinds,
        List<UnitResult> units,
        List<GroupResult> groups,
        List<BenchFindings> benches,
        List<Flag> flags,
        int comparedAt) {
    /**
     * What is drawn and ranked for one bench.
     *
     * @param apart groups that are not ranked because they differ in more than what is asked about
     */
    public record BenchFindings(
            int bench, List<Ranking> rankings, List<GroupKey> apart, List<Course> courses, List<Portions> portions) {
        public BenchFindings {
            rankings = List.copyOf(rankings);
            apart = List.copyOf(apart);
            courses = List.copyOf(courses);
            portions = List.copyOf(portions);
        }
    }

    public Findings {
        verdicts = List.copyOf(verdicts);
        kinds = List.copyOf(kinds);
        units = List.copyOf(units);
        groups = List.copyOf(groups);
        benches = List.copyOf(benches);
        flags = List.copyOf(flags);
    }

    public Optional<FigureKind> kind(String code) {
        return kinds.stream().filter(kind -> kind.code().equals(code)).findFirst();
    }

    public Optional<UnitResult> unit(UnitCode code) {
        return units.stream()
                .filter(result -> result.unit().code().equals(code))
                .findFirst();
    }

    public Optional<GroupResult> group(GroupKey key) {
        return groups.stream().filter(result -> result.key().equals(key)).findFirst();
    }
}
