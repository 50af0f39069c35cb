package elsom.web.series;

import elsom.core.quantity.Decimals;
import elsom.core.series.Measurand;
import elsom.core.series.RowReader;

/**
 * Which course of a trial.
 *
 * @param unit code; empty for the whole trial
 * @param depthCm below the surface; 0 where there is no depth
 * @param probe 1-based, among those that measure the same there
 */
record SeriesKey(String unit, Measurand what, double depthCm, int probe) {
    static SeriesKey of(RowReader.Read read) {
        return new SeriesKey(
                read.unit(),
                read.channel().what(),
                read.depthCm(),
                read.channel().probe());
    }

    /** "EC at 10 cm". */
    String label() {
        return what.label() + (depthCm > 0 ? " at " + Decimals.upTo(depthCm, 1) + " cm" : "");
    }

    /** "EC at 10 cm of K34". */
    String words() {
        return label() + (unit.isEmpty() ? "" : " of " + unit) + (probe > 1 ? ", probe " + probe : "");
    }
}
