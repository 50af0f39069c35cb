package elsom.core.sim;

import elsom.core.quantity.Decimals;
import elsom.core.series.Channel;
import elsom.core.series.Measurand;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.Stream;

/**
 * A simulated probe with several depths, logging one unit: salt comes with the water from the third day on and moves
 * down, clean water from the eleventh on washes it out again from the top; the surface dries and warms with the day,
 * deeper all of it is slower. The same unit always logs the same.
 *
 * @param unit code in the headings; it seeds the noise
 * @param treatment 1-based; later ones get saltier water
 */
public record ProbeLog(String unit, int treatment) {
    public static final List<Integer> DEPTHS_CM = List.of(3, 8, 15);

    private static final List<Measurand> MEASURED = List.of(Measurand.MOISTURE, Measurand.EC, Measurand.TEMPERATURE);
    private static final double WATERED_EVERY_HOURS = 48;
    private static final double FIRST_EC = 0.6;
    private static final double EC_STEP = 0.9;
    private static final double SALT_FROM_HOURS = 48;
    private static final double WASHED_FROM_HOURS = 240;
    private static final double DAY_HOURS = 24;

    /** What its columns after the time and the unit hold. */
    public static List<Channel> channels() {
        List<Channel> channels = new ArrayList<>();
        for (Measurand what : MEASURED) {
            for (int depth : DEPTHS_CM) {
                channels.add(new Channel(channels.size() + 2, what, what.unit(), depth, ""));
            }
        }
        return List.copyOf(channels);
    }

    /** Its headings: "Time", "Unit", "EC 3 cm [mS/cm]" … */
    public static List<String> headings() {
        return Stream.concat(
                        Stream.of("Time", "Unit"),
                        channels().stream()
                                .map(channel -> channel.what().label() + " " + Decimals.upTo(channel.depthCm(), 0)
                                        + " cm [" + channel.typed().symbol() + "]"))
                .toList();
    }

    /** The values of one moment, in the order of the channels. */
    public List<String> at(Instant start, Instant moment) {
        double hours = Duration.between(start, moment).toMinutes() / 60.0;
        SplittableRandom noise = new SplittableRandom(unit.hashCode() * 31L + moment.getEpochSecond());
        List<String> values = new ArrayList<>();
        for (Measurand what : MEASURED) {
            for (int depth : DEPTHS_CM) {
                double value = Math.max(0, value(what, depth, hours)) * (1 + 0.01 * (2 * noise.nextDouble() - 1));
                values.add(Decimals.fixed(value, what.decimals()));
            }
        }
        return values;
    }

    private double value(Measurand what, int depth, double hours) {
        double dry = hours % WATERED_EVERY_HOURS / WATERED_EVERY_HOURS;
        double slow = Math.exp(-depth / 20.0);
        double unlike = 1 + 0.06 * Math.sin(unit.hashCode());
        return switch (what) {
            case MOISTURE -> (38 - 14 * dry * slow) * unlike;
            case EC -> {
                double arrived = arrived(depth, hours - SALT_FROM_HOURS) * (1 - washed(depth, hours));
                yield (FIRST_EC + EC_STEP * (treatment - 1) * arrived * (1 - 0.4 * (1 - slow)) + 0.3 * dry * slow)
                        * unlike;
            }
            default -> 17 + 7 * slow * Math.sin(2 * Math.PI * (hours - 4 - depth / 4.0) / DAY_HOURS);
        };
    }

    private static double arrived(int depth, double hoursOfSalt) {
        return 1 - Math.exp(-Math.max(0, hoursOfSalt - 4.0 * depth) / (60 + 6.0 * depth));
    }

    /** Deeper, what is washed from above arrives first. */
    private static double washed(int depth, double hours) {
        return 1 - Math.exp(-Math.max(0, hours - WASHED_FROM_HOURS - 6.0 * depth) / (6 + 2.5 * depth));
    }

    /** Moments from the start on, every so long. */
    public static Stream<Instant> moments(Instant start, Instant end, Duration every) {
        return Stream.iterate(start, at -> !at.isAfter(end), at -> at.plus(every));
    }
}
