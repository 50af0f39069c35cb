package elsom.core.material;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import elsom.core.mix.Property;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LabSheetTest {
    private static final String HEAD = String.join(",", LabSheet.COLUMNS) + "\n";

    @Test
    void theExampleIsRead() {
        LabSheet sheet = LabSheet.read(LabSheet.EXAMPLE);
        assertThat(sheet.problems()).isEmpty();
        assertThat(sheet.rows()).hasSize(4);
        LabSheet.Row density = sheet.rows().get(2);
        assertThat(density.lot().name()).isEqualTo("GW-33");
        assertThat(density.lot().material()).isEqualTo("green-waste compost");
        assertThat(density.figure().value()).isEqualTo(520);
        assertThat(density.figure().said()).isEqualTo("sheet 118, by dried at 105 °C");
        assertThat(sheet.rows().get(3).figure().origin()).isEqualTo(Origin.LABEL);
    }

    /** A direct 1:5 goes before a saturated extract that was carried over, however new that is. */
    @Test
    void whatWasMeasuredAsItIsToldGoesBeforeWhatWasCarriedOver() {
        List<LotFigure> figures = Stream.of(
                        "A,A,compost,ec,0.6,mS/cm,1:5,2026-05-04,s", "A,A,compost,ec,4,mS/cm,Saturated,2026-09-04,s")
                .map(line -> LabSheet.read(HEAD + line + "\n").rows().get(0).figure())
                .toList();
        Lot lot = Lot.named("A", "A", MaterialKind.COMPOST).with(figures);
        assertThat(lot.value(Property.EC)).hasValue(0.6);
        assertThat(lot.with(figures.subList(1, 2)).value(Property.EC).orElseThrow())
                .isGreaterThan(0.6);
    }

    /** Class limits of Cavins et al. 2000: 2.0 mS/cm of the saturated medium and 0.35 of the 1:5 extract are the same. */
    @Test
    void anotherExtractsEcIsKeptAsThatOfOneToFive() {
        LabSheet sheet = LabSheet.read(HEAD + "A,A,compost,ec,2000,µS/cm,saturated,2026-05-04,s\n");
        assertThat(sheet.rows().get(0).figure().value()).isCloseTo(0.35, within(1e-9));
        assertThat(sheet.rows().get(0).figure().property()).isEqualTo(Property.EC);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "A,A,rock,ph,7,,x,2026-05-04,s|kind|no kind",
                "A,A,compost,colour,7,,x,2026-05-04,s|property|no property",
                "A,A,compost,ph,15,,x,2026-05-04,s|value|0 to 14",
                "A,A,compost,water,-3,%,x,2026-05-04,s|value|0 to 100",
                "A,A,compost,ec,700,ppm,1:5,2026-05-04,s|unit|500, 640 or 700",
                "A,A,compost,ec,2,mS/cm,,2026-05-04,s|method|saturated",
                "A,A,compost,ph,7,,x,4 May,s|date|2026-09-30",
                "A,A,mix,ph,7,,x,2026-05-04,s|kind|no kind"
            })
    void aBadCellIsToldWithItsRowColumnAndWhatWouldDo(String row, String column, String says) {
        LabSheet sheet = LabSheet.read(HEAD + "B,B,compost,ph,7,,x,2026-05-04,s\n" + row + "\n");
        assertThat(sheet.rows()).as("nothing is taken").isEmpty();
        assertThat(sheet.problems()).singleElement().satisfies(problem -> {
            assertThat(problem.line()).isEqualTo(3);
            assertThat(problem.column()).isEqualTo(column);
            assertThat(problem.message()).contains(says).contains("Accepted: ");
        });
    }

    @Test
    void everyBadRowIsListed() {
        StringBuilder text = new StringBuilder(HEAD);
        for (int i = 0; i < 1000; i++) {
            text.append("L")
                    .append(i)
                    .append(",m,compost,ph,")
                    .append(i % 2 == 0 ? 7 : 77)
                    .append(",,x,2026-05-04,s\n");
        }
        assertThat(LabSheet.read(text.toString()).problems()).hasSize(500);
    }

    @Test
    void semicolonsAByteOrderMarkAndCommasInNumbersAreRead() {
        LabSheet sheet = LabSheet.read("\uFEFF" + HEAD.replace(',', ';') + "A;A;compost;ph;7,4;;x;2026-05-04;s\n");
        assertThat(sheet.rows())
                .singleElement()
                .satisfies(row -> assertThat(row.figure().value()).isEqualTo(7.4));
    }

    @Test
    void whatIsNoSheetSaysSo() {
        assertThat(LabSheet.read("a,b\n1,2\n").problems().get(0).message()).contains("missing: lot, material");
        assertThat(LabSheet.read(HEAD).problems().get(0).message()).contains("no rows");
        assertThat(LabSheet.read("").problems()).isNotEmpty();
    }
}
