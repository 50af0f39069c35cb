package elsom.core.read;

import java.util.Objects;

/** A reader's answer in the words of the tables. */
final class Answered {
    private Answered() {}

    static String outcome(Read read) {
        return read instanceof Read.Value ? "value" : read instanceof Read.Ask ? "ask" : "refuse";
    }

    static boolean sameValue(Read read, String expected, String unit, double within) {
        if (!(read instanceof Read.Value value)) {
            return true;
        }
        String[] got = value.meaning().plain().split("; ");
        String[] wanted = expected.split("; ");
        if (got.length != wanted.length || !Objects.equals(value.unit(), unit)) {
            return false;
        }
        for (int i = 0; i < got.length; i++) {
            if (!same(got[i], wanted[i], within)) {
                return false;
            }
        }
        return true;
    }

    private static boolean same(String got, String wanted, double within) {
        int name = wanted.indexOf('=');
        String sign = wanted.startsWith("<") || wanted.startsWith(">") ? wanted.substring(0, 1) : "";
        String prefix = name >= 0 ? wanted.substring(0, name + 1) : sign;
        if (!got.startsWith(prefix)) {
            return false;
        }
        try {
            double a = Double.parseDouble(got.substring(prefix.length()));
            double b = Double.parseDouble(wanted.substring(prefix.length()));
            return Math.abs(a - b) <= within * Math.abs(b) + 1e-12;
        } catch (NumberFormatException words) {
            return got.equals(wanted);
        }
    }
}
