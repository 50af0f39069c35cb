package elsom.web.findings;

import elsom.core.analysis.Answer;
import elsom.core.analysis.Comparison;
import elsom.core.analysis.EndpointKind;
import elsom.core.analysis.Judgement;
import elsom.core.analysis.Observations;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.Sentence;
import elsom.core.results.Course;
import elsom.core.results.FigureKind;
import elsom.core.results.Findings;
import elsom.core.results.GroupResult;
import elsom.core.results.JudgedQuestion;
import elsom.core.results.Section;
import elsom.core.results.TableResult;
import elsom.core.results.Weighted;
import elsom.core.results.Wording;
import elsom.core.seedling.HalfLives;
import elsom.core.stats.Summary;
import elsom.core.trial.TrialRecord;
import elsom.web.kit.Swatch;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Turns sections into what their fragments show. */
final class SectionViews {
    private static final double LEAST_P = 0.0001;

    private final TrialRecord record;
    private final Findings findings;
    private final Links links;

    private SectionViews(TrialRecord record, Findings findings, Links links) {
        this.record = record;
        this.findings = findings;
        this.links = links;
    }

    /** All sections of a bench's page, in order. */
    static List<SectionView> of(TrialRecord record, Findings findings, int bench) {
        SectionViews views = new SectionViews(record, findings, new Links(record, findings.comparedAt(), bench));
        return findings.sections().stream()
                .flatMap(section -> views.of(section).stream())
                .toList();
    }

    private SectionView table(TableResult table) {
        return new SectionView.Table(
                table.title(),
                table.look().name(),
                table.columns(),
                table.rows().stream()
                        .map(row -> new SectionView.Table.Row(Swatch.of(record.treatment(row.arm() + 1)), row.cells()))
                        .toList(),
                table.remarks());
    }

    /** The section as shown; empty for one of another bench, or with nothing to show. */
    private Optional<SectionView> of(Section section) {
        if (section instanceof Section.Contrasts contrasts) {
            return Optional.of(contrasts(contrasts.question()));
        }
        if (section instanceof Section.InteractionPicture picture) {
            return interaction(picture);
        }
        if (section instanceof Section.Doses doses) {
            return Optional.of(DoseViews.of(record, doses.result(), links));
        }
        if (section instanceof Section.Threshold threshold) {
            return Optional.of(ThresholdViews.of(record, threshold.result(), links));
        }
        if (section instanceof Section.LimeCurve lime) {
            return Optional.of(LimeViews.of(record, lime.result(), links));
        }
        if (section instanceof Section.Diagnosed diagnosed) {
            return diagnosed.result().diagnosis().map(found -> DiagnosisViews.of(diagnosed.result(), found));
        }
        if (section instanceof Section.PlantBack sown) {
            return Optional.of(PlantBackViews.of(record, sown.result(), HalfLives.USUAL));
        }
        if (section instanceof Section.Table table) {
            return Optional.of(table(table.result()));
        }
        if (section instanceof Section.Agreed agreed) {
            return Optional.of(new SectionView.Agreed(
                    agreed.result().rows(), agreed.result().remarks()));
        }
        if (section instanceof Section.Ranked ranked) {
            return Optional.of(ranked(ranked));
        }
        if (section instanceof Section.Weighed weighed) {
            return Optional.of(weighed(weighed.weighted()));
        }
        if (section instanceof Section.Courses courses) {
            return courses.bench() == links.bench() ? courses(courses) : Optional.empty();
        }
        if (section instanceof Section.Volumes volumes) {
            return volumes.bench() == links.bench() && !volumes.compositions().isEmpty()
                    ? Optional.of(new SectionView.Volumes(lookName(), Charts.volumes(record, volumes.compositions())))
                    : Optional.empty();
        }
        Section.Figures figures = (Section.Figures) section;
        return figures.bench() == links.bench() && !figures.groups().isEmpty()
                ? Optional.of(figures(figures))
                : Optional.empty();
    }

    private String lookName() {
        return record.look(findings.comparedAt()).map(look -> look.name()).orElse("");
    }

    private Swatch swatch(int arm) {
        return Swatch.of(record.treatment(arm + 1));
    }

    private SectionView contrasts(JudgedQuestion question) {
        Judgement judgement = question.judgement();
        List<String> checked = new ArrayList<>(judgement.checked());
        judgement.refused().ifPresent(reason -> checked.add(reason + "."));
        return new SectionView.Contrasts(
                question.kind().label(),
                question.asked(),
                question.stated().label(),
                judgement.method().label(),
                checked,
                !judgement.letters().isEmpty() && judgement.comparisons().size() > 1,
                question.look().name(),
                judgement.comparisons().stream().map(c -> row(question, c)).toList(),
                question.overTime().stream().map(at -> at.look().name()).toList(),
                overTime(question),
                Charts.contrasts(record, question));
    }

    private SectionView.Contrasts.Contrast row(JudgedQuestion question, Comparison c) {
        List<String> letters = question.judgement().letters();
        return new SectionView.Contrasts.Contrast(
                swatch(c.treatment()),
                question.name(c.comparator()),
                Double.isFinite(c.difference()) ? Wording.difference(question.kind(), c.difference()) : "–",
                c.interval().map(i -> Wording.interval(question.kind(), i)).orElse("–"),
                c.percent().isPresent() && question.observations().kind() != EndpointKind.SCORE
                        ? signed(c.percent().getAsDouble()) + " %"
                        : "–",
                c.p().isPresent() ? p(c.p().getAsDouble()) : "–",
                letters.isEmpty() ? "" : letters.get(c.treatment()),
                Wording.words(question, c.answer()),
                tone(c.answer()));
    }

    private static String signed(double percent) {
        return (percent < 0 ? "−" : "+") + Decimals.fixed(Math.abs(percent), 0);
    }

    private static String p(double p) {
        return p < LEAST_P ? "< 0.0001" : Decimals.fixed(p, p < 0.01 ? 4 : 2);
    }

    private static String tone(Answer answer) {
        return answer.name().toLowerCase(Locale.ROOT);
    }

    private List<SectionView.Contrasts.OverTime> overTime(JudgedQuestion question) {
        if (question.overTime().size() < 2) {
            return List.of();
        }
        List<Comparison> comparisons = question.judgement().comparisons();
        return IntStream.range(0, comparisons.size())
                .mapToObj(i -> new SectionView.Contrasts.OverTime(
                        swatch(comparisons.get(i).treatment()),
                        question.name(comparisons.get(i).comparator()),
                        question.overTime().stream()
                                .map(at -> new SectionView.Contrasts.Cell(
                                        Wording.words(question, at.answers().get(i)),
                                        tone(at.answers().get(i))))
                                .toList()))
                .toList();
    }

    /** Lines over the levels of the second factor; a third one makes its own lines. */
    private Optional<SectionView> interaction(Section.InteractionPicture picture) {
        JudgedQuestion question = picture.question();
        Observations observations = question.observations();
        Set<String> across = new LinkedHashSet<>();
        Set<String> lines = new LinkedHashSet<>();
        observations.arms().forEach(arm -> {
            lines.add(lineOf(arm.levels()));
            across.add(arm.levels().get(1));
        });
        FigureKind finer = question.kind().finer();
        List<SectionView.Interaction.Line> rows = new ArrayList<>();
        List<Charts.CellLine> drawn = new ArrayList<>();
        for (String line : lines) {
            List<Optional<Double>> means =
                    across.stream().map(level -> mean(question, line, level)).toList();
            rows.add(new SectionView.Interaction.Line(
                    line,
                    means.stream()
                            .map(mean -> mean.map(finer::show).orElse("–"))
                            .toList()));
            drawn.add(Charts.cells(question.kind(), line, means));
        }
        return Optional.of(new SectionView.Interaction(
                question.kind().label() + ": do "
                        + String.join(" and ", observations.factors()).toLowerCase(Locale.ROOT) + " act together?",
                picture.verdict().sentence(),
                List.copyOf(across),
                rows,
                Charts.interaction(question.kind(), List.copyOf(across), drawn)));
    }

    private static String lineOf(List<String> levels) {
        return levels.get(0) + (levels.size() > 2 ? ", " + levels.get(2) : "");
    }

    private static Optional<Double> mean(JudgedQuestion question, String line, String level) {
        return IntStream.range(0, question.observations().arms().size())
                .filter(arm ->
                        lineOf(question.observations().arms().get(arm).levels()).equals(line)
                                && question.observations()
                                        .arms()
                                        .get(arm)
                                        .levels()
                                        .get(1)
                                        .equals(level))
                .mapToObj(arm -> question.judgement().means().get(arm))
                .filter(mean -> !mean.isNaN())
                .findFirst();
    }

    private SectionView ranked(Section.Ranked section) {
        FigureKind finer = section.ranking().kind().finer();
        return new SectionView.Ranked(
                section.ranking().kind().label(),
                section.ranking().look(),
                section.ranking().places().stream()
                        .map(placed -> new SectionView.Ranked.Placed(
                                placed.show(),
                                swatch(placed.arm()),
                                Double.isFinite(placed.mean()) ? finer.show(placed.mean()) : "not yet",
                                placed.letters(),
                                placed.alike().isEmpty() ? "" : "as good as " + String.join(", ", placed.alike())))
                        .toList(),
                section.remarks());
    }

    private SectionView weighed(Weighted weighted) {
        String weights = weighted.parts().stream()
                .map(part -> Sentence.inside(part.label()) + " × " + Decimals.upTo(part.weight(), 2))
                .collect(Collectors.joining(", "));
        return new SectionView.Weighed(
                weights,
                IntStream.range(0, weighted.order().size())
                        .mapToObj(i -> new SectionView.Weighed.Scored(
                                i + 1,
                                swatch(weighted.order().get(i).arm()),
                                Decimals.fixed(100 * weighted.order().get(i).score(), 0)))
                        .toList(),
                weighted.turned().stream()
                        .map(one -> new SectionView.Weighed.Turned(one.label(), one.lower(), one.higher()))
                        .toList(),
                weighted.steady()
                        ? "The same treatment leads whichever weight is half as large or half as large again."
                        : "Who leads depends on the weights: see below. The scatter between units is not in this order.");
    }

    private Optional<SectionView> courses(Section.Courses section) {
        List<SectionView.Courses.Chart> charts = section.courses().stream()
                .filter(course ->
                        course.lines().stream().anyMatch(line -> !line.points().isEmpty()))
                .map(course ->
                        new SectionView.Courses.Chart(course.kind().label().split(",")[0], chart(course)))
                .toList();
        return charts.isEmpty() ? Optional.empty() : Optional.of(new SectionView.Courses(section.title(), charts));
    }

    private String chart(Course course) {
        return Charts.course(record, course);
    }

    private SectionView figures(Section.Figures section) {
        return new SectionView.Figures(
                section.kinds(),
                section.groups().stream()
                        .map(group -> row(section.kinds(), group))
                        .toList());
    }

    private SectionView.Figures.TreatmentRow row(List<FigureKind> kinds, GroupResult group) {
        return new SectionView.Figures.TreatmentRow(
                Swatch.of(record.treatment(group.key().treatment())),
                count(group),
                kinds.stream()
                        .map(kind -> group.figure(kind)
                                .map(figure -> new SectionView.Shown(
                                        kind.finer().number(figure.summary().mean()),
                                        scatter(kind.finer(), figure.summary()),
                                        links.working(kind, group)))
                                .orElse(SectionView.Shown.NONE))
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
}
