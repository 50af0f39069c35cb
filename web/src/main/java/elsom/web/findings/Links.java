package elsom.web.findings;

import elsom.core.figure.FigureKind;
import elsom.core.figure.GroupKey;
import elsom.core.figure.UnitResult;
import elsom.core.trial.TrialRecord;

/** Addresses within the findings of one trial. */
record Links(TrialRecord record, int comparedAt, int bench) {
    String base() {
        return "/trials/" + record.trial().id() + "/findings";
    }

    String view(int otherBench, int look) {
        return base() + "?bench=" + otherBench + "&at=" + look;
    }

    String units() {
        return base() + "/units?bench=" + bench + "&at=" + comparedAt;
    }

    /** Where the strength to work with is mixed. */
    String mixing(String endpoint) {
        return "/trials/" + record.trial().id() + "/mixing?endpoint=" + endpoint;
    }

    /** Where it is worked out how much of a substance may be left. */
    String residue() {
        return "/trials/" + record.trial().id() + "/residue";
    }

    /** Where two waters are blended. */
    String blending() {
        return "/trials/" + record.trial().id() + "/blending";
    }

    /** Where the amount for a pH is worked out. */
    String liming() {
        return "/trials/" + record.trial().id() + "/liming";
    }

    String working(FigureKind kind, UnitResult unit) {
        return base() + "/working?kind=" + kind.code() + "&at=" + comparedAt + "&unit="
                + unit.unit().code();
    }

    String working(FigureKind kind, GroupKey group) {
        return base() + "/working?kind=" + kind.code() + "&at=" + comparedAt + "&bench=" + bench + "&treatment="
                + group.treatment();
    }
}
