package elsom.core.practice;

import elsom.core.design.RandomDraw;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** A practice bench: what is told, what is true, what can be rightly said of it, and two plans for it. */
public abstract class Level {
    private static final long APART = 0x7E57AB1EL;

    private final Brief brief;
    private final Setting setting;
    private final Trialled trap;
    private final Trialled fair;

    Level(Brief brief, Setting setting, Trialled trap, Trialled fair) {
        this.brief = brief;
        this.setting = setting;
        this.trap = trap;
        this.fair = fair;
    }

    public Brief brief() {
        return brief;
    }

    /** How kind the bench is when nobody says otherwise. */
    public Setting setting() {
        return setting;
    }

    /** The plan that falls into the trap, as it is often done. */
    public Trialled trap() {
        return trap;
    }

    /** A plan that is fair. */
    public Trialled fair() {
        return fair;
    }

    /** What is true on the bench of a seed: the same on every machine. */
    public abstract Truth truth(Setting given, long seed);

    /** The treatments there is material for, as they are best named. */
    public abstract List<String> shelf();

    /** A treatment of the shelf that some words mean; empty when there is nothing for it. */
    public abstract Optional<String> meant(String words);

    /**
     * A unit's figure in the endpoint the level is decided by.
     *
     * @param light of its place, as a factor of the middle's
     * @param deviate how many standard deviations chance puts it off
     * @return empty for a treatment that is not on the shelf
     */
    abstract OptionalDouble figure(
            Truth truth, String treatment, double light, double days, double deviate, Setting given);

    /** What can be said by what a trial's figures say. */
    abstract Call call(HeldBeside told);

    /** The treatment asked about first. */
    abstract String asked();

    /** What it is held beside. */
    abstract String comparator();

    /** A lot drawn from a seed, apart from all else that is drawn from it. */
    static int drawn(long seed, int below) {
        return new RandomDraw(seed ^ APART).below(below);
    }
}
