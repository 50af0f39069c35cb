package elsom.core.formula;

import elsom.core.quantity.Powers;
import elsom.core.quantity.UnitOfMeasure;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;

/** A formula that was read. Sums are made in g, cm and h; what is not known is NaN, and so is all that is made of it. */
public sealed interface Expression {
    /** Values of one unit at one look. */
    interface Values {
        /** A value at the look itself; NaN where it was not read. */
        double now(String name);

        /** All values up to the look, in order of time; empty where there is none. */
        List<OverTime.Point> course(String name);
    }

    double value(Values values);

    /**
     * What it is made of.
     *
     * @throws IllegalArgumentException if unlike things meet
     */
    Powers powers(Function<String, Powers> known);

    /** All names in it. */
    Set<String> names();

    /** A number, with a unit or bare. */
    record Amount(double amount, UnitOfMeasure unit) implements Expression {
        @Override
        public double value(Values values) {
            return amount * unit.coherent();
        }

        @Override
        public Powers powers(Function<String, Powers> known) {
            return unit.dimension().powers();
        }

        @Override
        public Set<String> names() {
            return Set.of();
        }
    }

    /** An endpoint at the look, or what a unit has. */
    record Named(String name) implements Expression {
        @Override
        public double value(Values values) {
            return values.now(name);
        }

        @Override
        public Powers powers(Function<String, Powers> known) {
            return known.apply(name);
        }

        @Override
        public Set<String> names() {
            return Set.of(name);
        }
    }

    /** Something made of an endpoint's course. */
    record Course(OverTime what, String name, Amount limit) implements Expression {
        @Override
        public double value(Values values) {
            List<OverTime.Point> course = values.course(name);
            return course.isEmpty() ? Double.NaN : what.of(course, limit.value(values));
        }

        @Override
        public Powers powers(Function<String, Powers> known) {
            Powers endpoint = known.apply(name);
            return switch (what) {
                case FIRST, BEFORE, LAST -> endpoint;
                case GROWTH -> UnitOfMeasure.PER_DAY.dimension().powers();
                case AREA -> endpoint.times(UnitOfMeasure.DAY.dimension().powers());
                case DAYS_TO -> {
                    if (!limit.powers(known).equals(endpoint)) {
                        throw new IllegalArgumentException("days-to(" + name
                                + ", …) needs a value with the unit of “" + name
                                + "”. Accepted: days-to(height, 5 cm).");
                    }
                    yield UnitOfMeasure.DAY.dimension().powers();
                }
            };
        }

        @Override
        public Set<String> names() {
            return Set.of(name);
        }
    }

    /** A logarithm or a root. */
    record Applied(Operation operation, Expression of) implements Expression {
        /** What can be taken of a bare number. */
        enum Operation {
            LN,
            LOG10,
            SQRT
        }

        @Override
        public double value(Values values) {
            double inner = of.value(values);
            return switch (operation) {
                case LN -> Math.log(inner);
                case LOG10 -> Math.log10(inner);
                case SQRT -> Math.sqrt(inner);
            };
        }

        @Override
        public Powers powers(Function<String, Powers> known) {
            if (!of.powers(known).equals(Powers.NONE)) {
                throw new IllegalArgumentException(
                        "A logarithm or root is taken of a number without a unit. Accepted: ln(height / first(height)).");
            }
            return Powers.NONE;
        }

        @Override
        public Set<String> names() {
            return of.names();
        }
    }

    /** Two joined by + − × ÷. */
    record Joined(char sign, Expression left, Expression right) implements Expression {
        @Override
        public double value(Values values) {
            double a = left.value(values);
            double b = right.value(values);
            return switch (sign) {
                case '+' -> a + b;
                case '-' -> a - b;
                // Nothing of what is not known is nothing: no root has a length where none rooted.
                case '*' -> a == 0 || b == 0 ? 0 : a * b;
                default -> a / b;
            };
        }

        @Override
        public Powers powers(Function<String, Powers> known) {
            Powers a = left.powers(known);
            Powers b = right.powers(known);
            if (sign == '*') {
                return a.times(b);
            }
            if (sign == '/') {
                return a.over(b);
            }
            if (!a.equals(b)) {
                throw new IllegalArgumentException(
                        "Unlike things can't be added or taken away from each other, such as a weight and a length."
                                + " Accepted: fresh-mass - shoot-dry-mass.");
            }
            return a;
        }

        @Override
        public Set<String> names() {
            Set<String> both = new HashSet<>(left.names());
            both.addAll(right.names());
            return both;
        }
    }
}
