package elsom.web.findings;

import elsom.core.stats.Summary;
import elsom.core.trial.Look;
import elsom.core.trial.TrialRecord;
import elsom.core.verdict.Course;
import elsom.core.verdict.FigureKind;
import elsom.core.verdict.Findings;
import elsom.core.verdict.Flag;
import elsom.core.verdict.GroupResult;
import elsom.core.verdict.Ranking;
import elsom.core.verdict.UnitResult;
import elsom.core.verdict.Verdict;
import elsom.web.kit.Swatch;
import elsom.web.kit.TrialHeader;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** What a trial found, for one of its benches. */
public record FindingsPage(
        TrialHeader header,
        List<Verdict> verdicts,
        boolean anything,
        List<Choice> benches,
        List<Choice> looks,
        String benchName,
        String comparedName,
        List<Chart> courses,
        String portions,
        List<FigureKind> columns,
        List<GroupLine> groups,
        String unitsHref,
        List<RankTable> rankings,
        String rankedBy,
        String apart,
        List<Flag> flags) {

    /** One of several views to choose from. */
    public record Choice(String label, String href, boolean here) {}

    /** A course to draw. */
    public record Chart(String title, String data) {}

    /** A figure in a table, with the address of its working; a dash without one when the data don't give it. */
    public record Shown(
            String number, String scatter, @Nullable String href) {
        static final Shown NONE = new Shown("–", "", null);
    }

    /** A treatment's row. */
    public record GroupLine(Swatch swatch, String n, List<Shown> figures) {}

    /** A ranking. */
    public record RankTable(String title, List<RankLine> lines) {}

    /** A place in a ranking. */
    public record RankLine(String place, Swatch swatch, String value) {}

    /**
     * The page of one bench.
     *
     * @param bench 1-based
     */
    public static FindingsPage of(
            TrialRecord record, Findings findings, int bench, TrialHeader.Step step, Instant now) {
        Findings.BenchFindings here = findings.benches().get(bench - 1);
        List<GroupResult> groups = findings.groups().stream()
                .filter(group ->
                        group.key().bench() == bench && !group.figures().isEmpty())
                .toList();
        List<FigureKind> columns = findings.kinds().stream()
                .filter(kind ->
                        groups.stream().anyMatch(group -> group.figure(kind).isPresent()))
                .toList();
        Links links = new Links(record, findings.comparedAt(), bench);
        return new FindingsPage(
                TrialHeader.of(record, now, step, findings.comparedAt()),
                findings.verdicts(),
                findings.comparedAt() > 0,
                record.benches().stream()
                        .map(b -> new Choice(
                                b.name(), links.view(b.number(), findings.comparedAt()), b.number() == bench))
                        .toList(),
                comparable(record, here).stream()
                        .map(look -> new Choice(
                                look.name(), links.view(bench, look.number()), look.number() == findings.comparedAt()))
                        .toList(),
                record.benches().size() > 1 ? record.bench(bench).name() : "",
                record.look(findings.comparedAt()).map(Look::name).orElse(""),
                here.courses().stream()
                        .filter(course -> course.lines().stream()
                                .anyMatch(line -> !line.points().isEmpty()))
                        .map(course -> new Chart(title(course), Charts.course(record, course)))
                        .toList(),
                here.portions().isEmpty() ? "" : Charts.portions(record, here),
                columns,
                groups.stream()
                        .map(group -> line(record, group, columns, links))
                        .toList(),
                links.base() + "/units?bench=" + bench + "&at=" + findings.comparedAt(),
                here.rankings().stream().map(ranking -> table(record, ranking)).toList(),
                here.rankings().stream()
                        .findFirst()
                        .map(ranking -> "Rank by "
                                + ranking.kind().label().split(",")[0].toLowerCase(Locale.ROOT))
                        .orElse("Rank"),
                apart(record, here),
                findings.flags());
    }

    /** Addresses within the findings of one trial. */
    record Links(TrialRecord record, int comparedAt, int bench) {
        String base() {
            return "/trials/" + record.trial().id() + "/findings";
        }

        String view(int bench, int look) {
            return base() + "?bench=" + bench + "&at=" + look;
        }

        String working(FigureKind kind, UnitResult unit) {
            return base() + "/working?kind=" + kind.code() + "&at=" + comparedAt + "&unit="
                    + unit.unit().code();
        }

        String working(FigureKind kind, GroupResult group) {
            return base() + "/working?kind=" + kind.code() + "&at=" + comparedAt + "&bench=" + bench + "&treatment="
                    + group.key().treatment();
        }
    }

    private static List<Look> comparable(TrialRecord record, Findings.BenchFindings here) {
        return here.courses().stream()
                .flatMap(course -> course.lines().stream())
                .flatMap(line -> line.means().stream())
                .map(Course.Mean::look)
                .distinct()
                .sorted()
                .map(number -> record.look(number).orElseThrow())
                .toList();
    }

    private static String title(Course course) {
        return course.kind().unitSymbol().equals("%") ? "Water by volume" : "Weight";
    }

    private static GroupLine line(TrialRecord record, GroupResult group, List<FigureKind> columns, Links links) {
        return new GroupLine(
                Swatch.of(record.treatment(group.key().treatment())),
                count(group),
                columns.stream()
                        .map(kind -> group.figure(kind)
                                .map(figure -> new Shown(
                                        kind.number(figure.summary().mean()),
                                        scatter(kind, figure.summary()),
                                        links.working(kind, group)))
                                .orElse(Shown.NONE))
                        .toList());
    }

    private static String count(GroupResult group) {
        int n = group.figures().stream()
                .mapToInt(figure -> figure.summary().n())
                .max()
                .orElse(0);
        return n == group.planned() ? Integer.toString(n) : n + " of " + group.planned();
    }

    private static String scatter(FigureKind kind, Summary summary) {
        return summary.sd().isPresent() ? "± " + kind.number(summary.sd().getAsDouble()) : "one unit";
    }

    private static String apart(TrialRecord record, Findings.BenchFindings here) {
        if (here.apart().isEmpty()) {
            return "";
        }
        return "Not ranked, as its container differs: "
                + here.apart().stream()
                        .map(key -> record.treatment(key.treatment()).name())
                        .collect(Collectors.joining(", "))
                + ". Depth changes what a medium holds.";
    }

    private static RankTable table(TrialRecord record, Ranking ranking) {
        return new RankTable(
                ranking.scope().equals("all") ? "All" : "Among " + ranking.scope(),
                ranking.places().stream()
                        .map(placed -> new RankLine(
                                placed.show(),
                                Swatch.of(record.treatment(placed.group().treatment())),
                                ranking.kind().show(placed.mean())))
                        .toList());
    }
}
