package elsom.core.quantity;

/** Words as they stand in a sentence. */
public final class Sentence {
    private Sentence() {}

    /** A name inside a sentence: "Fresh mass" is "fresh mass"; "EC at 8 cm" and "pH" stay, as do codes such as "GW-32". */
    public static String inside(String name) {
        boolean code = name.length() > 1 && !Character.isLowerCase(name.charAt(1)) && name.charAt(1) != ' ';
        return name.isEmpty() || code ? name : Character.toLowerCase(name.charAt(0)) + name.substring(1);
    }

    /** The same with a capital first. */
    public static String capital(String words) {
        return words.isEmpty() ? words : Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }
}
