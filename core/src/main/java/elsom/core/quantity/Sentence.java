package elsom.core.quantity;

import java.util.List;

/** Words as they stand in a sentence. */
public final class Sentence {
    private Sentence() {}

    /** A name inside a sentence: "Fresh mass" is "fresh mass"; "EC at 8 cm" and "pH" stay, as do codes such as "GW-32". */
    public static String inside(String name) {
        boolean code = name.length() > 1 && !Character.isLowerCase(name.charAt(1)) && name.charAt(1) != ' ';
        return name.isEmpty() || code ? name : Character.toLowerCase(name.charAt(0)) + name.substring(1);
    }

    /** Things one after the other: "3 cm, 8 cm and 15 cm". */
    public static String listed(List<String> things) {
        int last = things.size() - 1;
        return last < 1
                ? String.join("", things)
                : String.join(", ", things.subList(0, last)) + " and " + things.get(last);
    }

    /** The same with a capital first. */
    public static String capital(String words) {
        return words.isEmpty() ? words : Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }
}
