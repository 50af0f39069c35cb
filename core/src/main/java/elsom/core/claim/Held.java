package elsom.core.claim;

import elsom.core.stats.Interval;
import elsom.core.stats.TwoSample;
import java.util.List;
import java.util.Optional;

/** What figures say of what a claim means, by 95 % intervals. */
public enum Held {
    SUPPORTED,
    NOT_SUPPORTED,
    CANT_TELL,
    CANT_BE_READ;

    private static final double LEVEL = 0.95;

    /**
     * The claim held against values.
     *
     * @param sides a group of each side, in the order of the case's names
     * @param about which side it is about
     */
    public static Held of(Meant meant, List<ClaimedGroup> sides, int about) {
        if (meant instanceof Meant.Region region) {
            return beside(region, sides.get(about), sides.get(about == 0 ? 1 : 0));
        }
        if (meant instanceof Meant.BesideEach each) {
            Held all = SUPPORTED;
            for (int other = 0; other < sides.size(); other++) {
                all = other == about ? all : all.and(beside(each.region(), sides.get(about), sides.get(other)));
            }
            return each.not() ? all.denied() : all;
        }
        if (meant instanceof Meant.Ordered order) {
            Held all = SUPPORTED;
            for (int i = 0; i + 1 < order.sides().size(); i++) {
                all = all.and(beside(
                        Meant.Region.above(false, 0, true, ""),
                        sides.get(order.sides().get(i)),
                        sides.get(order.sides().get(i + 1))));
            }
            return order.not() ? all.denied() : all;
        }
        return CANT_BE_READ;
    }

    private Held and(Held other) {
        return this == NOT_SUPPORTED || other == NOT_SUPPORTED
                ? NOT_SUPPORTED
                : this == SUPPORTED && other == SUPPORTED ? SUPPORTED : CANT_TELL;
    }

    private Held denied() {
        return this == SUPPORTED ? NOT_SUPPORTED : this == NOT_SUPPORTED ? SUPPORTED : this;
    }

    static Held beside(Meant.Region region, ClaimedGroup about, ClaimedGroup against) {
        return interval(region.ratio(), about, against)
                .map(i -> inside(region, i))
                .orElse(CANT_TELL);
    }

    /** The interval of a − b, or of a / b; empty where figures give none. */
    static Optional<Interval> interval(boolean ratio, ClaimedGroup about, ClaimedGroup against) {
        if (about instanceof ClaimedGroup.Measured a && against instanceof ClaimedGroup.Measured b) {
            TwoSample two = new TwoSample(b.group(), a.group());
            return ratio
                    ? two.fiellerWelch()
                            .asOptional()
                            .flatMap(TwoSample.Fieller::percent95)
                            .map(percent -> new Interval(1 + percent.low() / 100, 1 + percent.high() / 100))
                    : two.welch().asOptional().map(t -> t.interval(LEVEL));
        }
        if (about instanceof ClaimedGroup.Counted a && against instanceof ClaimedGroup.Counted b) {
            return ratio
                    ? Checked.ratio(a.share(), b.share())
                    : Optional.of(a.share().newcombe95(b.share()));
        }
        return Optional.empty();
    }

    static Held inside(Meant.Region region, Interval interval) {
        boolean within = interval.low() >= region.low() && interval.high() <= region.high();
        boolean beyond = interval.high() < region.low() || interval.low() > region.high();
        if (region.open()) {
            within = interval.low() > region.low() && interval.high() < region.high();
            beyond = interval.high() <= region.low() || interval.low() >= region.high();
        }
        if (region.outside()) {
            return beyond ? SUPPORTED : within && region.low() < region.high() ? NOT_SUPPORTED : CANT_TELL;
        }
        return within ? SUPPORTED : beyond ? NOT_SUPPORTED : CANT_TELL;
    }
}
