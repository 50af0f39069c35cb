package elsom.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** US measures in a page: in sentences, and under headings that name the unit. */
class UsPageTest {
    private static String glossed(String html) {
        return new UsPage().html(html);
    }

    private static String cell(String heading, String cell) {
        String html = glossed("<table><thead><tr><th>Unit</th><th>" + heading
                + "</th></tr></thead><tbody><tr><th>R87</th><td>" + cell + "</td></tr></tbody></table>");
        return html.substring(html.indexOf("<td>") + 4, html.indexOf("</td>"));
    }

    @Test
    void onlyWhatIsReadIsGlossed() {
        assertThat(glossed("<p title=\"5 cm\">5 cm</p><svg><text>5 cm</text></svg><option>5 cm</option>"))
                .isEqualTo("<p title=\"5 cm\">5 cm (1.97 in)</p><svg><text>5 cm</text></svg><option>5 cm</option>");
    }

    /** 28.3495 g an ounce, 453.592 g a pound, 2.54 cm an inch; a difference of temperature has no 32. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Depth, cm|6|6 (2.36 in)",
                "Fresh mass <small class=\"unit\">g</small>|301.2|301.2 (10.6 oz)",
                "Mass, kg|−1.5|−1.5 (−3.31 lb)",
                "Mass, g|12.1 to 15.3|12.1 to 15.3 (0.427 to 0.54 oz)",
                "Mass, g|± 4.0|± 4.0 (± 0.141 oz)",
                "Water, mL|380 → 20|380 → 20 (1.61 → 0.0845 cup)",
                "Air, °C|20|20 (68 °F)",
                "Air, °C|± 5|± 5 (± 9 °F)",
                "Depth, cm|6 cm|6 cm (2.36 in)"
            })
    void numbersUnderAHeadingThatNamesTheUnitAreGlossed(String heading, String cell, String both) {
        assertThat(cell(heading, cell)).isEqualTo(both);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "EC at 3 cm|0.72",
                "EC, mS/cm|0.72",
                "Plants|6",
                "Depth, cm|deep",
                "Mass, g|3 of 4",
                "Depth, cm|GW-32"
            })
    void otherCellsStay(String heading, String cell) {
        assertThat(cell(heading, cell)).isEqualTo(cell);
    }

    @Test
    void headingsOverSeveralColumnsKeepTheColumnsApart() {
        assertThat(glossed("<table><thead><tr><th colspan=\"2\">Depth, cm</th><th>n</th></tr></thead>"
                        + "<tbody><tr><td>1</td><td>2</td><td>3</td></tr></tbody></table><p>4</p>"))
                .endsWith("<td>1 (0.394 in)</td><td>2 (0.787 in)</td><td>3</td></tr></tbody></table><p>4</p>");
    }

    @Test
    void oneTableInAnotherHasItsOwnHeadings() {
        assertThat(glossed(
                        "<table><thead><tr><th>Mass, g</th></tr></thead><tr><td><table><tr><td>5</td></tr></table></td></tr>"
                                + "<tr><td>100</td></tr></table>"))
                .contains("<td>5</td>")
                .contains("<td>100 (3.53 oz)</td>");
    }
}
