package elsom.core.material;

import elsom.core.mix.Property;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Lots as tests need them. */
final class AShelf {
    static final LocalDate MAY = LocalDate.of(2026, 5, 4);

    private final List<Lot> lots = new ArrayList<>();

    static LotFigure typical(Property property, double value) {
        return LotFigure.of(property, value, Origin.TYPICAL, "", MAY);
    }

    static Lot medium(String name, MaterialKind kind, double water, double air, double density, double ph) {
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

    AShelf with(Lot lot) {
        lots.add(lot);
        return this;
    }

    Optional<Lot> find(String name) {
        return lots.stream().filter(lot -> lot.isCalled(name)).findFirst();
    }
}
