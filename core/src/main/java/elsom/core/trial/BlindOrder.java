package elsom.core.trial;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * A random order that is the same each time and gives nothing away: units by the digest (SHA-256) of a seed, an occasion and their
 * code. From the order of a simple generator its seed could be computed, and from that who got what.
 */
final class BlindOrder {
    private BlindOrder() {}

    /** Orders units in place. */
    static void shuffle(List<ExperimentalUnit> units, long seed, String occasion) {
        Map<UnitCode, byte[]> by = new HashMap<>();
        units.forEach(unit -> by.put(unit.code(), digest(seed + " " + occasion + " " + unit.code())));
        units.sort(Comparator.comparing(unit -> by.get(unit.code()), Arrays::compareUnsigned));
    }

    private static byte[] digest(String text) {
        try {
            return MessageDigest.getInstance("SHA-256").digest(text.getBytes(StandardCharsets.UTF_8));
        } catch (NoSuchAlgorithmException everyJavaHasIt) {
            throw new IllegalStateException(everyJavaHasIt);
        }
    }
}
