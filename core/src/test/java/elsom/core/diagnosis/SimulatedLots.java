package elsom.core.diagnosis;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;

/**
 * Lots of another making than the table: each cause shows some signs mostly, some sometimes and all others seldom, the more
 * of them the harder the lot was hit, so that signs go together; meters read a course of their own, eyes err.
 */
final class SimulatedLots {
    private static final double MOSTLY = 1.7;
    private static final double SOMETIMES = -0.4;
    private static final double SELDOM = -3.2;
    private static final int UNITS = 4;
    private static final double RARE = 0.1;
    private static final List<Cause> RARELY = List.of(Cause.EATEN, Cause.COLD, Cause.SEED);
    private static final List<Cause> USUALLY = List.of(
            Cause.AUXIN,
            Cause.CONTACT,
            Cause.ROOT,
            Cause.SALTS,
            Cause.AMMONIA,
            Cause.NITROGEN,
            Cause.LOW_PH,
            Cause.HIGH_PH,
            Cause.WATERLOGGED,
            Cause.DAMPING_OFF,
            Cause.DRY);
    private static final Optional<IndicatorGroup> ALL = Optional.empty();
    private static final Map<Cause, Set<Sign>> USUAL = new EnumMap<>(Cause.class);
    private static final Map<Cause, Set<Sign>> AT_TIMES = new EnumMap<>(Cause.class);

    static {
        of(Cause.AUXIN, EnumSet.of(Sign.CUPPED, Sign.TWISTED), EnumSet.of(Sign.STRAP, Sign.STUNTED, Sign.SWOLLEN));
        of(Cause.CONTACT, EnumSet.of(Sign.BLEACHED), EnumSet.of(Sign.BURNT, Sign.YELLOW, Sign.STUNTED));
        of(
                Cause.ROOT,
                EnumSet.of(Sign.STUBBY_ROOTS, Sign.STUNTED),
                EnumSet.of(Sign.SWOLLEN, Sign.MISSING, Sign.PURPLE, Sign.BROWN_ROOTS));
        of(Cause.SALTS, EnumSet.of(Sign.BURNT, Sign.STUNTED), EnumSet.of(Sign.BROWN_ROOTS, Sign.WILTED, Sign.MISSING));
        of(
                Cause.AMMONIA,
                EnumSet.of(Sign.BROWN_ROOTS, Sign.STUNTED),
                EnumSet.of(Sign.BURNT, Sign.MISSING, Sign.MOULD, Sign.YELLOW));
        of(Cause.NITROGEN, EnumSet.of(Sign.YELLOW, Sign.STUNTED), EnumSet.of(Sign.PURPLE));
        of(Cause.LOW_PH, EnumSet.of(Sign.PURPLE, Sign.STUNTED), EnumSet.of(Sign.STUBBY_ROOTS, Sign.YELLOW));
        of(Cause.HIGH_PH, EnumSet.of(Sign.YELLOW_VEINS), EnumSet.of(Sign.STUNTED, Sign.YELLOW));
        of(
                Cause.WATERLOGGED,
                EnumSet.of(Sign.BROWN_ROOTS, Sign.WILTED),
                EnumSet.of(Sign.YELLOW, Sign.ALGAE, Sign.STUNTED, Sign.MOULD));
        of(Cause.DAMPING_OFF, EnumSet.of(Sign.COLLAPSED, Sign.MISSING), EnumSet.of(Sign.BROWN_ROOTS, Sign.MOULD));
        of(Cause.EATEN, EnumSet.of(Sign.CHEWED), EnumSet.of(Sign.MISSING));
        of(Cause.COLD, EnumSet.of(Sign.PURPLE, Sign.STUNTED), EnumSet.of(Sign.YELLOW, Sign.MISSING));
        of(Cause.SEED, EnumSet.of(Sign.MISSING), EnumSet.of(Sign.STUNTED, Sign.MOULD));
        of(Cause.DRY, EnumSet.of(Sign.WILTED), EnumSet.of(Sign.BURNT, Sign.STUNTED, Sign.MISSING));
    }

    /** What a world is like. */
    record World(String name, double noise, boolean fewSigns, double misread, double strangers) {}

    static final List<World> WORLDS = List.of(
            new World("as it is taught", 0.3, false, 0.1, 0.1),
            new World("a little different", 1.0, false, 0.1, 0.1),
            new World("few signs", 0.3, true, 0.1, 0.1),
            new World("misread", 0.3, false, 0.2, 0.1),
            new World("strangers", 0.3, false, 0.1, 0.35));

    /** A lot with what hurts in it, and what was seen of it. */
    record Lot(Cause truth, List<Seen> seen) {}

    private final World world;
    private final Random chance;
    private final Map<Cause, Map<Sign, Double>> off = new EnumMap<>(Cause.class);

    SimulatedLots(World world, long seed) {
        this.world = world;
        this.chance = new Random(seed);
        for (Cause cause : USUAL.keySet()) {
            Map<Sign, Double> own = new EnumMap<>(Sign.class);
            for (Sign sign : Sign.values()) {
                own.put(sign, world.noise() * chance.nextGaussian());
            }
            off.put(cause, own);
        }
    }

    private static void of(Cause cause, Set<Sign> usual, Set<Sign> atTimes) {
        USUAL.put(cause, usual);
        AT_TIMES.put(cause, atTimes);
    }

    /** A lot with two causes at once: each shows its signs by itself. */
    List<Seen> withBoth(Cause one, Cause other) {
        double hit = chance.nextGaussian();
        List<Seen> seen = new ArrayList<>();
        List<IndicatorGroup> plants = List.of(IndicatorGroup.LEGUME, IndicatorGroup.BROADLEAF, IndicatorGroup.GRASS);
        for (IndicatorGroup plant : plants) {
            seen.add(new Seen(
                    Sign.INJURED,
                    Optional.of(plant),
                    chance.nextDouble() < injured(one, plant) || chance.nextDouble() < injured(other, plant)));
        }
        for (Sign sign : Sign.values()) {
            if (sign.kind() == Sign.Kind.SYMPTOM) {
                List<Optional<IndicatorGroup>> where = Likelihoods.SHIPPED.byGroup(sign)
                        ? plants.stream().map(Optional::of).toList()
                        : List.of(ALL);
                for (Optional<IndicatorGroup> group : where) {
                    IndicatorGroup plant = group.orElse(IndicatorGroup.BROADLEAF);
                    seen.add(new Seen(
                            sign,
                            group,
                            read(shows(one, sign, plant, hit, Set.of()) || shows(other, sign, plant, hit, Set.of()))));
                }
            }
        }
        List<Seen> first = new ArrayList<>();
        List<Seen> second = new ArrayList<>();
        meters(one, first);
        meters(other, second);
        for (int i = 0; i < first.size(); i++) {
            seen.add(first.get(i).degree() > second.get(i).degree() ? first.get(i) : second.get(i));
        }
        return seen;
    }

    Lot next() {
        List<Cause> causes = chance.nextDouble() < RARE ? RARELY : USUALLY;
        boolean stranger = chance.nextDouble() < world.strangers();
        Cause truth = stranger ? Cause.OTHER : causes.get(chance.nextInt(causes.size()));
        double hit = chance.nextGaussian();
        Set<Sign> odd = EnumSet.noneOf(Sign.class);
        for (Sign sign : Sign.values()) {
            if (sign.kind() == Sign.Kind.SYMPTOM && chance.nextDouble() < 0.16) {
                odd.add(sign);
            }
        }
        List<Seen> seen = new ArrayList<>();
        List<IndicatorGroup> plants = world.fewSigns()
                ? List.of(IndicatorGroup.LEGUME)
                : List.of(IndicatorGroup.LEGUME, IndicatorGroup.BROADLEAF, IndicatorGroup.GRASS);
        for (IndicatorGroup plant : plants) {
            seen.add(new Seen(Sign.INJURED, Optional.of(plant), chance.nextDouble() < injured(truth, plant)));
        }
        for (Sign sign : Sign.values()) {
            if (sign.kind() != Sign.Kind.SYMPTOM) {
                continue;
            }
            if (Likelihoods.SHIPPED.byGroup(sign)) {
                plants.forEach(plant ->
                        seen.add(new Seen(sign, Optional.of(plant), read(shows(truth, sign, plant, hit, odd)))));
            } else {
                seen.add(new Seen(sign, ALL, read(shows(truth, sign, IndicatorGroup.BROADLEAF, hit, odd))));
            }
        }
        if (!world.fewSigns()) {
            meters(truth, seen);
            seen.add(new Seen(Sign.CHARCOAL, ALL, chance.nextDouble() < (truth.residue() ? 0.8 : 0.08)));
        }
        return new Lot(truth, seen);
    }

    private static double injured(Cause truth, IndicatorGroup plant) {
        boolean grass = plant == IndicatorGroup.GRASS;
        return switch (truth) {
            case AUXIN -> grass ? 0.1 : 0.95;
            case NITROGEN -> plant == IndicatorGroup.LEGUME ? 0.25 : 0.85;
            case EATEN, COLD -> grass ? 0.4 : 0.7;
            case SEED -> 0.4;
            case ROOT, CONTACT, SALTS, AMMONIA -> grass ? 0.7 : 0.9;
            default -> 0.65;
        };
    }

    private boolean shows(Cause truth, Sign sign, IndicatorGroup plant, double hit, Set<Sign> odd) {
        if (truth == Cause.OTHER) {
            return odd.contains(sign);
        }
        boolean leaf = sign == Sign.CUPPED || sign == Sign.TWISTED || sign == Sign.STRAP;
        double level = leaf && plant == IndicatorGroup.GRASS
                ? SELDOM
                : at(USUAL, truth).contains(sign) ? MOSTLY : at(AT_TIMES, truth).contains(sign) ? SOMETIMES : SELDOM;
        double logit = level + (level > SELDOM ? hit : 0) + off.get(truth).get(sign);
        return chance.nextDouble() < 1 / (1 + Math.exp(-logit));
    }

    private static Set<Sign> at(Map<Cause, Set<Sign>> table, Cause cause) {
        return table.getOrDefault(cause, Set.of());
    }

    /** Half of four units show it, and one more than of the clean ones, each eye erring by itself. */
    private boolean read(boolean there) {
        int shown = units(there);
        return shown >= UNITS / 2 && shown > units(false);
    }

    private int units(boolean there) {
        int shown = 0;
        for (int unit = 0; unit < UNITS; unit++) {
            shown += chance.nextDouble() < world.misread() != there ? 1 : 0;
        }
        return shown;
    }

    private void meters(Cause truth, List<Seen> seen) {
        double ec = switch (truth) {
            case SALTS -> 3.6 + 0.8 * chance.nextGaussian();
            case AMMONIA -> 2.4 + 0.7 * chance.nextGaussian();
            default -> 1.5 + 0.5 * chance.nextGaussian();
        };
        double ph = switch (truth) {
            case LOW_PH -> 4.4 + 0.4 * chance.nextGaussian();
            case HIGH_PH -> 8.2 + 0.3 * chance.nextGaussian();
            case AMMONIA -> 7.7 + 0.4 * chance.nextGaussian();
            default -> 6.5 + 0.5 * chance.nextGaussian();
        };
        seen.add(new Seen(Sign.HIGH_EC, ALL, 1 / (1 + Math.exp((2.6 - ec) / 0.35))));
        seen.add(new Seen(Sign.LOW_PH, ALL, 1 / (1 + Math.exp((ph - 5) / 0.25))));
        seen.add(new Seen(Sign.HIGH_PH, ALL, 1 / (1 + Math.exp((7.8 - ph) / 0.25))));
    }
}
