package elsom.web.people;

import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.DelegatingPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;

/** What may be a password or a PIN, and how each is kept: as a hash that names its method, so that the next one can follow. */
final class Secrets {
    static final int SHORTEST = 12;
    /** bcrypt reads no more. */
    static final int LONGEST_BYTES = 72;

    private static final int STRENGTH = 12;
    private static final String METHOD = "bcrypt";
    private static final PasswordEncoder ENCODER =
            new DelegatingPasswordEncoder(METHOD, Map.of(METHOD, new BCryptPasswordEncoder(STRENGTH)));

    /** Of no password: checked where a name is unknown, so that an answer takes as long. */
    private static final String OF_NOBODY = ENCODER.encode("nobody has this one");

    private Secrets() {}

    /** Why a password can't be used; empty when it can. */
    static Optional<String> problem(String password, String name) {
        if (password.length() < SHORTEST) {
            return Optional.of("A password has at least " + SHORTEST
                    + " characters. Accepted: four words that do not belong together.");
        }
        if (password.getBytes(StandardCharsets.UTF_8).length > LONGEST_BYTES) {
            return Optional.of("A password has at most " + LONGEST_BYTES + " characters.");
        }
        String low = password.toLowerCase(Locale.ROOT);
        if ((!name.isBlank() && low.contains(name.strip().toLowerCase(Locale.ROOT))) || low.contains("elsom")) {
            return Optional.of(
                    "A password has neither the name nor “elsom” in it. Accepted: four words that do not belong"
                            + " together.");
        }
        return low.chars().distinct().count() < 5
                ? Optional.of(
                        "A password has at least five different characters. Accepted: four words that do not belong"
                                + " together.")
                : Optional.empty();
    }

    /** Why a PIN can't be used; empty when it can. */
    static Optional<String> pinProblem(String pin) {
        if (!pin.matches("[0-9]{4,8}")) {
            return Optional.of("A PIN has 4 to 8 digits. Accepted: 4071.");
        }
        boolean row = "01234567890".contains(pin) || "09876543210".contains(pin);
        return row || pin.chars().distinct().count() < 2
                ? Optional.of("“" + pin + "” is what anybody would try first. Accepted: 4071.")
                : Optional.empty();
    }

    static String hash(String secret) {
        return String.valueOf(ENCODER.encode(secret));
    }

    /** Whether a secret is the one; where there is none to compare with, it takes as long to say no. */
    static boolean matches(String secret, Optional<String> hash) {
        boolean right = ENCODER.matches(secret, hash.orElse(OF_NOBODY));
        return hash.isPresent() && right;
    }
}
