package elsom.web.exchange;

import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.SecureRandom;
import java.util.Arrays;
import java.util.Optional;
import javax.crypto.AEADBadTagException;
import javax.crypto.Cipher;
import javax.crypto.spec.GCMParameterSpec;
import javax.crypto.spec.SecretKeySpec;

/** Shuts what nobody is to read yet with a secret of this store: AES with 256 bits in Galois counter mode (NIST SP 800-38D). */
final class Seal {
    static final int SECRET_BYTES = 32;

    private static final byte[] MARK = "elsom-seal-1\n".getBytes(StandardCharsets.US_ASCII);
    private static final int NONCE_BYTES = 12;
    private static final int TAG_BITS = 128;
    private static final SecureRandom RANDOM = new SecureRandom();

    private final SecretKeySpec secret;

    Seal(byte[] secret) {
        this.secret = new SecretKeySpec(secret, "AES");
    }

    byte[] shut(byte[] plain) {
        byte[] nonce = new byte[NONCE_BYTES];
        RANDOM.nextBytes(nonce);
        try {
            byte[] closed = cipher(Cipher.ENCRYPT_MODE, nonce).doFinal(plain);
            byte[] all = Arrays.copyOf(MARK, MARK.length + NONCE_BYTES + closed.length);
            System.arraycopy(nonce, 0, all, MARK.length, NONCE_BYTES);
            System.arraycopy(closed, 0, all, MARK.length + NONCE_BYTES, closed.length);
            return all;
        } catch (GeneralSecurityException everyJavaCan) {
            throw new IllegalStateException(everyJavaCan);
        }
    }

    /** Whether something was shut by a seal at all, this or another. */
    static boolean shutAtAll(byte[] bytes) {
        return bytes.length > MARK.length + NONCE_BYTES && Arrays.equals(bytes, 0, MARK.length, MARK, 0, MARK.length);
    }

    /** What was shut with this seal; empty when it was another, or something was changed in it. */
    Optional<byte[]> open(byte[] all) {
        try {
            byte[] nonce = Arrays.copyOfRange(all, MARK.length, MARK.length + NONCE_BYTES);
            return Optional.of(cipher(Cipher.DECRYPT_MODE, nonce)
                    .doFinal(all, MARK.length + NONCE_BYTES, all.length - MARK.length - NONCE_BYTES));
        } catch (AEADBadTagException another) {
            return Optional.empty();
        } catch (GeneralSecurityException everyJavaCan) {
            throw new IllegalStateException(everyJavaCan);
        }
    }

    private Cipher cipher(int mode, byte[] nonce) throws GeneralSecurityException {
        Cipher cipher = Cipher.getInstance("AES/GCM/NoPadding");
        cipher.init(mode, secret, new GCMParameterSpec(TAG_BITS, nonce));
        return cipher;
    }
}
