package elsom.core.design;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.SingularValueDecomposition;

/** Which things change together over a set of treatments, so that no trial of them can say which of the two did it. */
public final class Association {
    private static final double RANK_TOLERANCE = 1e-9;

    private Association() {}

    /** Something that differs between treatments: its level in each of them, by order. */
    public record Attribute(String name, List<String> levels) {
        public Attribute {
            levels = List.copyOf(levels);
        }

        List<String> distinct() {
            return List.copyOf(new LinkedHashSet<>(levels));
        }

        public boolean varies() {
            return distinct().size() > 1;
        }
    }

    /** Two attributes whose effects can't be told apart. */
    public record Tied(Attribute one, Attribute other) {}

    /**
     * All pairs of attributes that change together: the treatments do not give their main effects separately, that is
     * the matrix of a mean and both effects lacks full rank (as with aliased factors; Box, Hunter and Hunter 1978).
     */
    public static List<Tied> tied(List<Attribute> attributes) {
        List<Attribute> varying = attributes.stream().filter(Attribute::varies).toList();
        List<Tied> tied = new ArrayList<>();
        for (int i = 0; i < varying.size(); i++) {
            for (int j = i + 1; j < varying.size(); j++) {
                inseparable(varying.get(i), varying.get(j)).ifPresent(tied::add);
            }
        }
        return tied;
    }

    private static Optional<Tied> inseparable(Attribute one, Attribute other) {
        List<String> ones = one.distinct();
        List<String> others = other.distinct();
        int width = ones.size() + others.size() - 1;
        RealMatrix design = MatrixUtils.createRealMatrix(one.levels().size(), width);
        for (int row = 0; row < one.levels().size(); row++) {
            design.setEntry(row, 0, 1);
            int level = ones.indexOf(one.levels().get(row));
            if (level > 0) {
                design.setEntry(row, level, 1);
            }
            int second = others.indexOf(other.levels().get(row));
            if (second > 0) {
                design.setEntry(row, ones.size() + second - 1, 1);
            }
        }
        double[] singular = new SingularValueDecomposition(design).getSingularValues();
        int rank = 0;
        for (double value : singular) {
            rank += value > RANK_TOLERANCE * singular[0] ? 1 : 0;
        }
        return rank < width ? Optional.of(new Tied(one, other)) : Optional.empty();
    }
}
