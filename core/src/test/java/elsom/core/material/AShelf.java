package elsom.core.material;

import elsom.core.mix.Property;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Lots as tests need them. */
public final class AShelf {
    public static final LocalDate MAY = LocalDate.of(2026, 5, 4);

    private final List<Lot> lots = new ArrayList<>();

    public static LotFigure typical(Property property, double value) {
        return LotFigure.of(property, value, Origin.TYPICAL, "", MAY);
    }

    /** A medium with all that a use asks for, at 10 cm. */
    public static Lot medium(String name, MaterialKind kind, double water, double air, double density, double ph) {
        return Lot.named(name, name, kind)
                .with(List.of(
                        typical(Property.WATER, water),
                        typical(Property.AIR, air),
                        typical(Property.DENSITY, density),
                        typical(Property.PH, ph),
                        typical(Property.EC, 0.2),
                        typical(Property.NITROGEN, 100),
                        typical(Property.PRICE, 0.06)));
    }

    /** An organic one with a price of its own. */
    public static Lot priced(String name, double water, double air, double price) {
        Lot lot = medium(name, MaterialKind.ORGANIC, water, air, 200, 6);
        List<LotFigure> figures = new ArrayList<>(lot.figures());
        figures.removeIf(figure -> figure.property() == Property.PRICE);
        figures.add(LotFigure.of(Property.PRICE, price, Origin.LABEL, "", MAY));
        return lot.with(figures);
    }

    AShelf with(Lot lot) {
        lots.add(lot);
        return this;
    }

    Optional<Lot> find(String name) {
        return lots.stream().filter(lot -> lot.isCalled(name)).findFirst();
    }
}
