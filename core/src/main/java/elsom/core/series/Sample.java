package elsom.core.series;

/**
 * One value of a series.
 *
 * @param at milliseconds since 1970
 * @param value in the unit of what is measured
 */
public record Sample(long at, double value) {}
