package elsom.core.material;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** What sort of thing stands on the shelf. */
public enum MaterialKind {
    ORGANIC("organic"),
    MINERAL("mineral"),
    COMPOST("compost"),
    EXTRACT("extract"),
    FEED("feed"),
    CHEMICAL("chemical"),
    AMENDMENT("amendment"),
    MIX("mix");

    private final String label;

    MaterialKind(String label) {
        this.label = label;
    }

    /** The word on pages and in files. */
    public String label() {
        return label;
    }

    /** Whether it fills a pot, so that it can be compared as a medium and be a part of a mix. */
    public boolean fills() {
        return this == ORGANIC || this == MINERAL || this == COMPOST || this == MIX;
    }

    public static Optional<MaterialKind> called(String word) {
        String wanted = word.strip().toLowerCase(Locale.ROOT);
        return Arrays.stream(values()).filter(kind -> kind.label.equals(wanted)).findFirst();
    }
}
