package elsom.core.read;

import java.text.Normalizer;
import java.util.Map;

/** Text with one way to write each sign: plain digits and blanks, a hyphen for every dash, "1/2" for ½, "2" for ². */
final class Plain {
    private static final Map<Integer, String> SIGNS = Map.ofEntries(
            Map.entry(0x2212, "-"),
            Map.entry(0x2010, "-"),
            Map.entry(0x2011, "-"),
            Map.entry(0x2012, "-"),
            Map.entry(0x2013, "-"),
            Map.entry(0x2014, "-"),
            Map.entry(0x00b5, "µ"),
            Map.entry(0x03bc, "µ"),
            Map.entry(0x00ba, "°"),
            Map.entry(0x02da, "°"),
            Map.entry(0x2103, "°C"),
            Map.entry(0x2109, "°F"),
            Map.entry(0x2032, "'"),
            Map.entry(0x2019, "'"),
            Map.entry(0x2018, "'"),
            Map.entry(0x2033, "\""),
            Map.entry(0x201d, "\""),
            Map.entry(0x201c, "\""),
            Map.entry(0x2044, "/"),
            Map.entry(0x00b2, "2"),
            Map.entry(0x00b3, "3"),
            Map.entry(0x207b, "-"),
            Map.entry(0x00b9, "1"),
            Map.entry(0x2248, "~"),
            Map.entry(0x2264, "<"),
            Map.entry(0x2265, ">"),
            Map.entry(0x00b7, " "),
            Map.entry(0x2026, "..."));

    private Plain() {}

    static String of(String typed) {
        StringBuilder plain = new StringBuilder();
        typed.codePoints().forEach(point -> append(plain, point));
        return plain.toString().replace("+/-", "±").replace("+-", "±").strip().replaceAll(" +", " ");
    }

    private static void append(StringBuilder plain, int point) {
        String sign = SIGNS.get(point);
        if (sign != null) {
            plain.append(sign);
        } else if (Character.isWhitespace(point) || Character.isSpaceChar(point)) {
            plain.append(' ');
        } else if (Character.isDigit(point)) {
            plain.append(Character.digit(point, 10));
        } else {
            String same = Normalizer.normalize(Character.toString(point), Normalizer.Form.NFKC);
            int bar = same.indexOf('\u2044');
            if (bar > 0) {
                plain.append(' ').append(same.replace('\u2044', '/'));
            } else if (point >= 0xff01 && point <= 0xff5e) {
                plain.append(same);
            } else {
                plain.appendCodePoint(point);
            }
        }
    }
}
