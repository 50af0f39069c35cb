package elsom.core.protocol.liming;

import elsom.core.plan.Direction;
import elsom.core.protocol.MeasureParts;
import elsom.core.protocol.Measures;

/** What is measured of a jar, whatever was stirred into it. */
final class Jars {
    private Jars() {}

    static MeasureParts ph() {
        return Measures.ph()
                .decimals(2)
                .typicalCv(0.02)
                .secondsEach(60)
                .rule("in the same extract every time, meter rinsed, steady for half a minute");
    }

    static MeasureParts ec() {
        return Measures.ec().highest(100).decimals(2).better(Direction.LOWER).secondsEach(40);
    }
}
