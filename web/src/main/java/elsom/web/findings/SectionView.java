package elsom.web.findings;

import elsom.core.quantity.Sentence;
import elsom.core.results.AgreementResult;
import elsom.core.results.FigureKind;
import elsom.web.kit.Swatch;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** A section as its fragment shows it: one fragment of {@code findings/sections.html} and one script module each. */
public sealed interface SectionView {
    /** The name of its fragment. */
    String fragment();

    /** Whether it shows one bench; others are the same on every bench. */
    default boolean ofBench() {
        return this instanceof Courses || this instanceof Volumes || this instanceof Figures;
    }

    /** Comparisons of a question, drawn and as a table. */
    record Contrasts(
            String title,
            String asked,
            String marked,
            String method,
            List<String> checked,
            boolean lettered,
            String lookName,
            List<Contrast> rows,
            List<String> looks,
            List<OverTime> overTime,
            String data)
            implements SectionView {
        @Override
        public String fragment() {
            return "contrasts";
        }

        /** A comparison; {@code tone} names its style. */
        public record Contrast(
                Swatch swatch,
                String comparator,
                String difference,
                String interval,
                String percent,
                String p,
                String letters,
                String answer,
                String tone) {}

        /** What one comparison said at each look. */
        public record OverTime(Swatch swatch, String comparator, List<Cell> cells) {}

        /** An answer at a look. */
        public record Cell(String words, String tone) {}
    }

    /** What a series of doses did, with a slider over looks. */
    record Doses(
            String title,
            String factor,
            String lookName,
            List<String> looks,
            List<Series> lines,
            String mixHref,
            String data)
            implements SectionView {
        @Override
        public String fragment() {
            return "doses";
        }

        /** One series; its numbers at each look, the last the one judged. */
        public record Series(String name, List<AtLook> atLooks, List<Level> levels, boolean summed) {
            public AtLook last() {
                return atLooks.get(atLooks.size() - 1);
            }
        }

        /** Numbers at a look, in words. */
        public record AtLook(
                String look,
                String noec,
                String loec,
                String ec10,
                String ec20,
                String ec50,
                String rate,
                String standing,
                String how) {}

        /** A dose. */
        public record Level(String dose, int n, String mean, String area) {}
    }

    /** How yield goes with salinity. */
    record Threshold(
            String title,
            String lookName,
            List<Told> numbers,
            List<Strength> strengths,
            String axis,
            String blendHref,
            String data)
            implements SectionView {
        @Override
        public String fragment() {
            return "threshold";
        }

        /** A figure of the curve in words. */
        public record Told(String label, String value) {}

        /** A strength as it was given. */
        public record Strength(String name, int n, String salinity, String yield, String percent) {}
    }

    /** pH over the amount of lime. */
    record Lime(String title, String lookName, String unit, List<Target> targets, String doseHref, String data)
            implements SectionView {
        @Override
        public String fragment() {
            return "lime";
        }

        /** A pH with what brings the medium there. */
        public record Target(String ph, String amount, String within, String each, String remark) {}
    }

    /** The board of causes of one lot. */
    record Diagnosed(
            String lot, String lookName, List<String> signs, List<Cause> causes, List<Cause> ruledOut, String source)
            implements SectionView {
        @Override
        public String fragment() {
            return "diagnosed";
        }

        /** A cause with what each sign says of it. */
        public record Cause(String name, String word, String tone, List<Says> cells, String sentence) {}

        /** What a sign says: a mark, and its words. */
        public record Says(String mark, String words, String tone) {}
    }

    /** Sowings after a treatment beside their untreated twins. */
    record PlantBack(
            String title,
            String lookName,
            List<Sowing> sowings,
            String shortest,
            String longest,
            String residueHref,
            String data)
            implements SectionView {
        @Override
        public String fragment() {
            return "plantback";
        }

        /** What was sown on a day. */
        public record Sowing(
                String days,
                String treated,
                String untreated,
                String difference,
                String clean,
                String tone,
                String left) {}
    }

    /** How alike stations scored the same units. */
    record Agreed(List<AgreementResult.Row> rows, List<String> remarks) implements SectionView {
        @Override
        public String fragment() {
            return "agreed";
        }
    }

    /** Numbers of each treatment without a picture. */
    record Table(String title, String lookName, List<String> columns, List<Row> rows, List<String> remarks)
            implements SectionView {
        @Override
        public String fragment() {
            // Not "table": a selector of that name would take every table element of the sections.
            return "numbers";
        }

        /** A treatment. */
        public record Row(Swatch swatch, List<String> cells) {}
    }

    /** Means of a factorial's cells. */
    record Interaction(String title, String sentence, List<String> heads, List<Line> lines, String data)
            implements SectionView {
        @Override
        public String fragment() {
            return "interaction";
        }

        /** A level of the first factor with a mean at each level of the second. */
        public record Line(String name, List<String> means) {}
    }

    /** Treatments from best to worst. */
    record Ranked(String title, String lookName, List<Placed> rows, List<String> remarks) implements SectionView {
        /** The title inside a sentence. */
        public String inside() {
            return Sentence.inside(title);
        }

        @Override
        public String fragment() {
            return "ranked";
        }

        /** A place. */
        public record Placed(String place, Swatch swatch, String mean, String letters, String alike) {}
    }

    /** Several endpoints by weight. */
    record Weighed(String weights, List<Scored> rows, List<Turned> turned, String remark) implements SectionView {
        @Override
        public String fragment() {
            return "weighed";
        }

        /** A treatment's score out of 100. */
        public record Scored(int place, Swatch swatch, String score) {}

        /** Who leads when a weight is turned. */
        public record Turned(String label, String lower, String higher) {}
    }

    /** Courses over time. */
    record Courses(String title, List<Chart> charts) implements SectionView {
        @Override
        public String fragment() {
            return "courses";
        }

        /** A course to draw. */
        public record Chart(String title, String data) {}
    }

    /** What volumes are made of. */
    record Volumes(String lookName, String data) implements SectionView {
        @Override
        public String fragment() {
            return "volumes";
        }
    }

    /** Means of every treatment. */
    record Figures(List<FigureKind> columns, List<TreatmentRow> rows) implements SectionView {
        @Override
        public String fragment() {
            return "figures";
        }

        /** A treatment's row. */
        public record TreatmentRow(Swatch swatch, String n, List<Shown> figures) {}
    }

    /** A figure in a table, with the address of its working; a dash without one when the data don't give it. */
    record Shown(String number, String scatter, @Nullable String href) {
        static final Shown NONE = new Shown("–", "", null);
    }
}
