package elsom.core.curve;

import java.util.OptionalDouble;

/** A 95 % interval from the profile of the sum of squares; a side is open where the tested range ends before it. */
public record ProfileInterval(OptionalDouble low, OptionalDouble high) {}
