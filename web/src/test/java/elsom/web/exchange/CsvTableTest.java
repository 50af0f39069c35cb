package elsom.web.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import elsom.web.platform.ReadingLimits;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CsvTableTest {
    private final List<BadRow> problems = new ArrayList<>();

    private List<String> names(String csv) {
        return names(csv.getBytes(StandardCharsets.UTF_8));
    }

    private List<String> names(byte[] csv) {
        return CsvTable.of("t.csv", csv, List.of("name"), problems).map(row -> row.text("name"));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "name,size\r\npea,1\r\nbean,2\r\n",
                "name;size\npea;1\nbean;2",
                "\uFEFFname,size\npea,1\n\nbean,2\n",
                "size,name\n1,pea\n2, bean\n",
                "name\npea\nbean"
            })
    void tablesOfManyHandsAreRead(String csv) {
        assertThat(names(csv)).containsExactly("pea", "bean");
        assertThat(problems).isEmpty();
    }

    @Test
    void everyBadRowIsNotedWithItsNumberUpToALimit() {
        StringBuilder csv = new StringBuilder("name,size\n");
        for (int i = 0; i < 5000; i++) {
            csv.append(i % 2 == 0 ? ",1\n" : "pea,1\n");
        }
        assertThat(names(csv.toString())).hasSizeLessThan(300);
        assertThat(problems).hasSize(200);
        assertThat(problems.get(0)).isEqualTo(new BadRow("t.csv", 2, "name is empty"));
        assertThat(problems.get(1).row()).isEqualTo(4);
    }

    @Test
    void aTableThatBreaksOffHalfWayGivesNothing() {
        byte[] csv = "name,size\npea,1\nbean,\"2".getBytes(StandardCharsets.UTF_8);
        assertThat(names(csv)).isEmpty();
        assertThat(problems)
                .singleElement()
                .satisfies(bad -> assertThat(bad.reason()).startsWith("This is not a CSV"));
    }

    @Test
    void bytesThatAreNoTextAreSaidToBe() {
        byte[] csv = "name,size\npe\u00e4,1\n".getBytes(StandardCharsets.ISO_8859_1);
        assertThat(names(csv)).isEmpty();
        assertThat(problems)
                .singleElement()
                .satisfies(bad -> assertThat(bad.reason()).contains("UTF-8"));
    }

    @Test
    void whatIsWrittenReadsBackTheSame() {
        List<String> hard = List.of("=1+1", "-3", "a \"b\", c", "'quoted", "''=x", "line\nbreak", "@home", "plain");
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        CsvText.write(out, List.of("name", "size"), hard.stream().map(text -> List.of(text, -4.5)));
        assertThat(names(out.toByteArray())).isEqualTo(hard);
        assertThat(problems).isEmpty();
        String text = out.toString(StandardCharsets.UTF_8);
        assertThat(text).contains("'=1+1,-4.5", "'-3,-4.5", "'@home").doesNotContain("'-4.5");
    }

    @Test
    void aStreamEndsWhereItsLimitIs() throws IOException {
        InputStream exact = ReadingLimits.Bytes.of(new ByteArrayInputStream(new byte[100]), 100, "too long");
        assertThat(exact.readAllBytes()).hasSize(100);
        InputStream one = ReadingLimits.Bytes.of(new ByteArrayInputStream(new byte[101]), 100, "too long");
        assertThatThrownBy(one::readAllBytes)
                .isInstanceOf(ReadingLimits.Passed.class)
                .hasMessage("too long");
        InputStream bytewise = ReadingLimits.Bytes.of(new ByteArrayInputStream(new byte[3]), 2, "too long");
        assertThat(bytewise.read()).isZero();
        assertThat(bytewise.read()).isZero();
        assertThatThrownBy(bytewise::read).isInstanceOf(ReadingLimits.Passed.class);
    }

    @Test
    void anEmptyTableHasItsHeader() {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        CsvText.write(out, List.of("name", "size"), Stream.of());
        assertThat(out.toString(StandardCharsets.UTF_8)).isEqualTo("name,size\r\n");
        assertThat(names(out.toByteArray())).isEmpty();
        assertThat(problems).isEmpty();
    }
}
