package elsom.web.practice;

import elsom.core.practice.Judged;
import elsom.core.practice.Level;
import elsom.core.practice.Levels;
import elsom.core.quantity.Decimals;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * The levels, how each went last, and how well one knows what one knows.
 *
 * @param open benches that were begun and not called, the last first
 * @param brier mean of all calls; empty before there is one
 */
record PracticePage(
        List<LevelLine> levels,
        LevelLine free,
        List<OpenBench> open,
        List<CalledLine> groups,
        String brier,
        String tally) {
    private static final int MOST_OPEN = 6;

    /**
     * A level.
     *
     * @param went how it went last; empty when it was never called
     */
    record LevelLine(int number, String name, String story, String href, String went, String css, int tries) {}

    /** A bench that waits. */
    record OpenBench(String name, String href, String bench) {}

    /** What was said and what came, of calls about as sure. */
    record CalledLine(String sure, int calls, String said, String came, double saidShare, double cameShare) {}

    static PracticePage of(List<Practice> latest) {
        List<Judged> judged =
                latest.stream().flatMap(one -> one.judged().stream()).toList();
        OptionalDouble brier = judged.stream()
                .flatMap(one -> one.brier().stream().boxed())
                .mapToDouble(d -> d)
                .average();
        return new PracticePage(
                Levels.all().stream().map(level -> line(level, latest)).toList(),
                line(Levels.free(), latest),
                latest.stream()
                        .filter(one -> one.called().isEmpty())
                        .limit(MOST_OPEN)
                        .map(one -> new OpenBench(
                                one.level().brief().name(), "/practice/bench/" + one.trial(), "bench " + one.seed()))
                        .toList(),
                groups(judged),
                brier.isPresent() ? Decimals.fixed(brier.getAsDouble(), 2) : "",
                tally(latest));
    }

    private static LevelLine line(Level level, List<Practice> latest) {
        List<Practice> own = latest.stream()
                .filter(one -> one.level().equals(level) && one.called().isPresent())
                .toList();
        Optional<Judged.Kind> last = own.stream().findFirst().flatMap(Practice::kind);
        return new LevelLine(
                level.brief().number(),
                level.brief().name(),
                level.brief().story(),
                "/practice/" + level.brief().code(),
                last.map(Judged.Kind::label).orElse(""),
                last.map(kind -> kind == Judged.Kind.WRONG
                                ? "miss"
                                : kind == Judged.Kind.NEEDLESSLY_OPEN ? "open" : "hit")
                        .orElse(""),
                own.size());
    }

    private static List<CalledLine> groups(List<Judged> judged) {
        List<CalledLine> lines = new ArrayList<>();
        for (Judged.Calibration group : Judged.calibration(judged)) {
            lines.add(new CalledLine(
                    Decimals.percent(group.from(), 0) + " to " + Decimals.percent(group.to(), 0) + " % sure",
                    group.calls(),
                    Decimals.percent(group.said(), 0) + " %",
                    Decimals.percent(group.came(), 0) + " %",
                    group.said(),
                    group.came()));
        }
        return lines;
    }

    private static String tally(List<Practice> latest) {
        List<Judged.Kind> kinds =
                latest.stream().flatMap(one -> one.kind().stream()).toList();
        long honest = kinds.stream()
                .filter(kind -> kind == Judged.Kind.RIGHT || kind == Judged.Kind.RIGHTLY_OPEN)
                .count();
        return kinds.isEmpty() ? "" : honest + " of " + kinds.size() + " benches judged rightly";
    }
}
