package elsom.core.material;

import elsom.core.mix.Mix;
import elsom.core.mix.Property;
import elsom.core.quantity.Bounds;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A batch of a material, or of a mix, as it stands on the shelf.
 *
 * @param name as mixes and labels call it; no two on a shelf have the same
 * @param material what it is a lot of; the name itself where there is only one
 * @param received when it came or was mixed; null when nobody wrote it down
 * @param source where from, in the station's own words
 * @param cautions what to heed with it, in the station's own words
 * @param recipe of a mix, as {@link Mix#parse} reads it; empty for a material
 * @param figures all that is known, oldest first
 */
public record Lot(
        String name,
        String material,
        MaterialKind kind,
        @Nullable LocalDate received,
        String source,
        Set<Preparation> prepared,
        String cautions,
        String recipe,
        List<LotFigure> figures) {
    private static final Comparator<LotFigure> TRUST = Comparator.comparing(
                    LotFigure::origin, Comparator.reverseOrder())
            .thenComparing(LotFigure::carriedOver, Comparator.reverseOrder())
            .thenComparing(LotFigure::on);

    public Lot {
        Bounds.name("a lot", name, Bounds.NAME);
        Bounds.name("a material", material, Bounds.NAME);
        Bounds.note("where a lot comes from", source, Bounds.NOTE);
        Bounds.note("the cautions of a lot", cautions, Bounds.NOTE);
        prepared = prepared.isEmpty() ? Set.of() : Set.copyOf(EnumSet.copyOf(prepared));
        figures = List.copyOf(figures);
        if ((kind == MaterialKind.MIX) == recipe.isBlank()) {
            throw new IllegalArgumentException("a mix has a recipe, and nothing else has");
        }
        if (!recipe.isBlank()) {
            Mix.parse(recipe);
        }
    }

    /** A lot of which nothing is known yet. */
    public static Lot named(String name, String material, MaterialKind kind) {
        return new Lot(name, material, kind, null, "", Set.of(), "", "", List.of());
    }

    /** A mix of which nothing is known yet. */
    public static Lot mixed(String name, String recipe, LocalDate on) {
        return new Lot(name, name, MaterialKind.MIX, on, "", Set.of(), "", recipe, List.of());
    }

    public Lot with(List<LotFigure> known) {
        return new Lot(name, material, kind, received, source, prepared, cautions, recipe, known);
    }

    /**
     * The figure to go by: the best trusted origin, and of its figures what was measured as it is told before what was carried
     * over from another extract, and then the latest.
     */
    public Optional<LotFigure> best(Property property) {
        return figures.stream().filter(figure -> figure.property() == property).max(TRUST);
    }

    /**
     * The figure to go by at a depth: what was measured there before what has to be converted to it, however trusted or new
     * that is.
     */
    Optional<LotFigure> best(Property property, double depthCm) {
        return figures.stream()
                .filter(figure -> figure.property() == property && figure.measuredAt(depthCm))
                .max(TRUST)
                .or(() -> best(property));
    }

    /** The value to go by. */
    public OptionalDouble value(Property property) {
        return best(property).stream().mapToDouble(LotFigure::value).findFirst();
    }

    /** Whether it is a mix of these parts. */
    public boolean isMixOf(Mix mix) {
        return kind == MaterialKind.MIX && Mix.parse(recipe).sameAs(mix);
    }

    /** Whether a mix or a plan's material means this lot. */
    public boolean isCalled(String word) {
        return name.equalsIgnoreCase(word.strip());
    }
}
