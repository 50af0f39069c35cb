package elsom.core.mix;

import elsom.core.quantity.Decimals;
import elsom.core.stats.Outcome;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.optim.PointValuePair;
import org.hipparchus.optim.linear.LinearConstraint;
import org.hipparchus.optim.linear.LinearConstraintSet;
import org.hipparchus.optim.linear.LinearObjectiveFunction;
import org.hipparchus.optim.linear.NonNegativeConstraint;
import org.hipparchus.optim.linear.Relationship;
import org.hipparchus.optim.linear.SimplexSolver;
import org.hipparchus.optim.nonlinear.scalar.GoalType;

/**
 * The cheapest mix whose predicted properties lie in their windows: a linear programme over the shares of the volume, solved by
 * the simplex method. Properties are taken to add up by volume, which is a prediction: pores of a fine part fill those of a
 * coarse one, so a mix holds less air than this says. Measure what matters.
 *
 * @param shares of the volume by material, those above 0
 * @param price of a litre
 * @param predicted by property
 */
public record CheapestMix(Map<String, Double> shares, double price, Map<Property, Double> predicted) {
    private static final double NOTHING = 1e-9;

    public CheapestMix {
        shares = Collections.unmodifiableMap(new LinkedHashMap<>(shares));
        predicted = Map.copyOf(predicted);
    }

    /** A window that no mix of the parts keeps, though all other windows can be kept, and by how much it is missed. */
    public record Limiting(MixWindow window, double misses, double reached) {}

    /**
     * The mix.
     *
     * @return not estimable when no mix does, naming the window that rules it out and by how much
     */
    public static Outcome<CheapestMix> of(List<MixPart> parts, List<MixWindow> windows) {
        List<MixPart> known = parts.stream()
                .filter(part ->
                        windows.stream().allMatch(window -> part.properties().containsKey(window.property())))
                .toList();
        if (known.isEmpty()) {
            return Outcome.notEstimable("No material has all the properties that the windows ask for");
        }
        Optional<double[]> found = solve(known, windows, Optional.empty());
        if (found.isPresent()) {
            return Outcome.found(mixed(known, found.get()));
        }
        return Outcome.notEstimable(limiting(known, windows)
                .map(limit -> "No mix does this: " + limit.window().property().label()
                        + " rules it out. With all else kept it"
                        + " comes to " + shown(limit.reached(), limit.window()) + ", and "
                        + (limit.reached() < limit.window().low()
                                ? "at least " + shown(limit.window().low(), limit.window())
                                : "at most " + shown(limit.window().high(), limit.window()))
                        + " is wanted: " + shown(limit.misses(), limit.window()) + " short")
                .orElseGet(() -> known.stream().mapToDouble(MixPart::least).sum() > 1 + NOTHING
                        ? "The least shares come to more than the whole"
                        : known.stream().mapToDouble(MixPart::most).sum() < 1 - NOTHING
                                ? "The most that each may have does not fill the whole"
                                : "No mix does this, nor if any one window is left out: several rule it out together"));
    }

    private static String shown(double value, MixWindow window) {
        return Decimals.upTo(value, 2) + " " + window.property().unit();
    }

    /** The window that is missed by the smallest part of its own size, when it alone is let go. */
    static Optional<Limiting> limiting(List<MixPart> parts, List<MixWindow> windows) {
        List<Limiting> all = new ArrayList<>();
        for (MixWindow window : windows) {
            solve(parts, windows, Optional.of(window)).ifPresent(shares -> {
                double reached = value(parts, shares, window.property());
                all.add(new Limiting(window, window.misses(reached), reached));
            });
        }
        return all.stream()
                .filter(limit -> limit.misses() > NOTHING)
                .min(Comparator.comparing(limit -> limit.misses()
                        / Math.max(NOTHING, Math.max(limit.window().low(), limit.reached()))));
    }

    /**
     * Shares at the least price; with a window let go, at the least miss of that window instead.
     *
     * @return empty where no shares do
     */
    private static Optional<double[]> solve(List<MixPart> parts, List<MixWindow> windows, Optional<MixWindow> loose) {
        int n = parts.size();
        // One more unknown: how far the window that is let go is missed.
        int unknowns = n + 1;
        List<LinearConstraint> constraints = new ArrayList<>();
        double[] whole = new double[unknowns];
        Arrays.fill(whole, 0, n, 1);
        constraints.add(new LinearConstraint(whole, Relationship.EQ, 1));
        for (int i = 0; i < n; i++) {
            double[] one = new double[unknowns];
            one[i] = 1;
            // Between nothing and the whole a share is already.
            if (parts.get(i).least() > 0) {
                constraints.add(
                        new LinearConstraint(one, Relationship.GEQ, parts.get(i).least()));
            }
            if (parts.get(i).most() < 1) {
                constraints.add(
                        new LinearConstraint(one, Relationship.LEQ, parts.get(i).most()));
            }
        }
        for (MixWindow window : windows) {
            double[] low = new double[unknowns];
            for (int i = 0; i < n; i++) {
                low[i] = given(parts.get(i), window.property());
            }
            double[] high = low.clone();
            if (loose.isPresent() && loose.get().equals(window)) {
                low[n] = 1;
                high[n] = -1;
            }
            constraints.add(new LinearConstraint(low, Relationship.GEQ, window.low()));
            constraints.add(new LinearConstraint(high, Relationship.LEQ, window.high()));
        }
        double[] goal = new double[unknowns];
        for (int i = 0; i < n && loose.isEmpty(); i++) {
            goal[i] = parts.get(i).price();
        }
        goal[n] = 1;
        try {
            PointValuePair best = new SimplexSolver()
                    .optimize(
                            new LinearObjectiveFunction(goal, 0),
                            new LinearConstraintSet(constraints),
                            GoalType.MINIMIZE,
                            new NonNegativeConstraint(true));
            return Optional.of(Arrays.copyOf(best.getPoint(), n));
        } catch (MathRuntimeException noMix) {
            return Optional.empty();
        }
    }

    private static double given(MixPart part, Property property) {
        return Objects.requireNonNull(part.properties().get(property));
    }

    private static double value(List<MixPart> parts, double[] shares, Property property) {
        double sum = 0;
        for (int i = 0; i < shares.length; i++) {
            sum += shares[i] * given(parts.get(i), property);
        }
        return sum;
    }

    private static CheapestMix mixed(List<MixPart> parts, double[] shares) {
        Map<String, Double> named = new LinkedHashMap<>();
        double price = 0;
        for (int i = 0; i < shares.length; i++) {
            price += shares[i] * parts.get(i).price();
            if (shares[i] > NOTHING) {
                named.put(parts.get(i).name(), shares[i]);
            }
        }
        Map<Property, Double> predicted = new EnumMap<>(Property.class);
        for (Property property : Property.mixing()) {
            if (parts.stream().allMatch(part -> part.properties().containsKey(property))) {
                predicted.put(property, value(parts, shares, property));
            }
        }
        return new CheapestMix(named, price, predicted);
    }

    /** The same as parts. */
    public Mix mix() {
        return new Mix(shares.entrySet().stream()
                .map(part -> new Mix.Part(part.getKey(), part.getValue()))
                .toList());
    }

    /** As {@link Mix} reads it: "60 % wood fibre + 40 % leaf mould". */
    public String text() {
        return shares.size() == 1
                ? shares.keySet().iterator().next()
                : shares.entrySet().stream()
                        .map(part -> Decimals.upTo(100 * part.getValue(), 1) + " % " + part.getKey())
                        .collect(Collectors.joining(" + "));
    }
}
