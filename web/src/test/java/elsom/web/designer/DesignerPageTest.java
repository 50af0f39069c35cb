package elsom.web.designer;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.material.AShelf;
import elsom.core.material.Lot;
import elsom.core.material.LotFigure;
import elsom.core.material.MaterialKind;
import elsom.core.material.Origin;
import elsom.core.material.TypicalUses;
import elsom.core.material.Use;
import elsom.core.mix.Property;
import elsom.core.mix.Quarantine;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** What the mixing bench shows of a mix: predicted, measured, fit or not, and how a batch is made. */
class DesignerPageTest {
    private static final LocalDate MAY = LocalDate.of(2026, 5, 4);
    private final List<Lot> shelf = new ArrayList<>(List.of(
            AShelf.medium("wood fibre", MaterialKind.ORGANIC, 40, 50, 100, 5.0),
            AShelf.medium("grit", MaterialKind.MINERAL, 20, 40, 1000, 8.0)));

    private DesignerPage page(String recipe, String use, Quarantine... apart) {
        Optional<Use> asked =
                TypicalUses.all().stream().filter(one -> one.code().equals(use)).findFirst();
        DesignerForm form = DesignerForm.read(Map.of("recipe", recipe, "depth", "10 cm", "container", "1 L"), asked);
        return DesignerPage.of(
                form,
                asked,
                TypicalUses.all(),
                shelf,
                name -> shelf.stream().filter(lot -> lot.isCalled(name)).findFirst(),
                Arrays.stream(apart).collect(Collectors.toMap(Quarantine::lot, Quarantine::lot)),
                "");
    }

    private static DesignerPage.Line line(DesignerPage page, Property property) {
        return page.lines().stream()
                .filter(line -> line.label().equals(property.label()))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aMixIsPredictedAndMarkedSo() {
        DesignerPage page = page("3 wood fibre + 1 grit", "");
        assertThat(line(page, Property.WATER).value()).isEqualTo("35 %");
        assertThat(line(page, Property.WATER).from()).isEqualTo("predicted");
        assertThat(line(page, Property.PH).value()).isEqualTo("5.0 to 8.0");
        assertThat(line(page("9 wood fibre + 1 ash", ""), Property.NITROGEN).value())
                .isEqualTo("not known");
        assertThat(line(page("9 wood fibre + 1 ash", ""), Property.NITROGEN).from())
                .isEqualTo("of ash");
        assertThat(page.layers()).extracting(DesignerPage.Layer::share).containsExactly("75.0 %", "25.0 %");
        assertThat(page.layers().get(0).bottom()).isEqualTo(page.layers().get(1).y());
    }

    @Test
    void whatWasMeasuredOfTheSameMixStandsInItsPlace() {
        shelf.add(Lot.mixed("Plug mix", "1 grit + 3 wood fibre", MAY)
                .with(List.of(new LotFigure(Property.WATER, 42, Origin.MEASURED, "", MAY, 10, 7))));
        DesignerPage page = page("3 wood fibre + 1 grit", "");
        assertThat(page.known()).isEqualTo("Plug mix");
        assertThat(line(page, Property.WATER).value()).isEqualTo("42 %");
        assertThat(line(page, Property.WATER).from()).isEqualTo("measured; predicted 35 %");
        assertThat(line(page, Property.AIR).from()).isEqualTo("predicted");
    }

    @Test
    void aUseSaysWhetherItIsFitAndWhy() {
        DesignerPage page = page("wood fibre", "sill");
        assertThat(page.fit()).isEqualTo("with care");
        assertThat(page.against().get(0)).contains("is wanted.");
        assertThat(line(page, Property.EC).tone()).isEqualTo("better");
        assertThat(line(page, Property.WATER).bandWidth()).isPositive();
        assertThat(page.mixed()).isFalse();
    }

    @Test
    void theBatchFillsSoManyContainers() {
        DesignerPage page = page("3 wood fibre + 1 grit", "");
        assertThat(page.containers()).isEqualTo("50");
        // 50 L after 15 % settling are 58.8 L of loose parts.
        assertThat(page.batch().get(0).volume()).isEqualTo("44.1 L");
        assertThat(page.batch().get(0).mass()).isEqualTo("4.41 kg");
        assertThat(page.batch().get(1).perContainer()).isEqualTo("294 mL");
        assertThat(page.cautions()).hasSize(1);
    }

    @Test
    void aLotInQuarantineIsNamed() {
        Quarantine apart =
                new Quarantine("grit", "x", Instant.parse("2026-05-04T00:00:00Z"), "Bench A", "", 0, null, "");
        assertThat(page("3 wood fibre + 1 grit", "", apart).apart()).containsExactly("grit");
        assertThat(page("wood fibre", "", apart).apart()).isEmpty();
    }

    @Test
    void materialsThatNoShelfKnowsAreAMixAllTheSame() {
        DesignerPage page = page("1 moss + 1 sand", "cuttings");
        assertThat(page.text()).isEqualTo("50 % moss + 50 % sand");
        assertThat(page.fit()).isEqualTo("not known");
        assertThat(page.batch()).extracting(DesignerPage.BatchLine::mass).containsOnly("not known");
    }
}
