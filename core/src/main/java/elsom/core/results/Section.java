package elsom.core.results;

import java.util.List;

/** One kind of result; each has one fragment on a page and one script that draws it. */
public sealed interface Section {
    /** A question's comparisons: differences with their intervals beside the margin. */
    record Contrasts(JudgedQuestion question) implements Section {}

    /** Means of a factorial's cells, a line for each level of a factor. */
    record InteractionPicture(JudgedQuestion question, Verdict verdict) implements Section {}

    /** What a series of doses did: curve, harmless and harmful doses, and how they changed with time. */
    record Doses(DoseResult result) implements Section {}

    /** How yield goes with salinity. */
    record Threshold(ThresholdResult result) implements Section {}

    /** pH over the amount of lime or sulfur. */
    record LimeCurve(TitrationResult result) implements Section {}

    /** What a lot did to seedlings, with the board of causes. */
    record Diagnosed(BioassayResult result) implements Section {}

    /** From which day after a treatment a crop grows clean. */
    record PlantBack(PlantBackResult result) implements Section {}

    /** Numbers of each treatment without a picture. */
    record Table(TableResult result) implements Section {}

    /** How alike stations scored the same units. */
    record Agreed(AgreementResult result) implements Section {}

    /** Treatments from best to worst. */
    record Ranked(Ranking ranking, List<String> remarks) implements Section {
        public Ranked {
            remarks = List.copyOf(remarks);
        }
    }

    /** Several endpoints together, by the plan's weights. */
    record Weighed(Weighted weighted) implements Section {}

    /** How figures run over time on one bench. */
    record Courses(int bench, String title, List<Course> courses) implements Section {
        public Courses {
            courses = List.copyOf(courses);
        }
    }

    /** What volumes are made of, on one bench. */
    record Volumes(int bench, List<Composition> compositions) implements Section {
        public Volumes {
            compositions = List.copyOf(compositions);
        }
    }

    /** Means of every treatment on one bench. */
    record Figures(int bench, List<FigureKind> kinds, List<GroupResult> groups) implements Section {
        public Figures {
            kinds = List.copyOf(kinds);
            groups = List.copyOf(groups);
        }
    }
}
