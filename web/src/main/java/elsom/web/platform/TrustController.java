package elsom.web.platform;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.security.cert.CertificateFactory;
import java.security.cert.X509Certificate;
import java.time.ZoneId;
import java.util.HexFormat;
import java.util.Locale;
import java.util.Optional;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** How a phone comes to trust a yard's own certificate, so that the bench opens on it and offline too. */
@Controller
class TrustController {
    private static final MediaType CERTIFICATE = MediaType.parseMediaType("application/x-x509-ca-cert");

    private final Path authority;

    TrustController(Settings settings) {
        this.authority =
                settings.home().toAbsolutePath().normalize().resolve("tls").resolve("authority.crt");
    }

    /**
     * The page.
     *
     * @param there whether this Elsom has an authority of its own
     * @param fingerprint of its certificate, to be compared with what the phone shows
     * @param until when it ends
     * @param address of this page, as it is in the code
     * @param code a path of squares, each 1 high and wide
     * @param size how many squares the code has on a side
     */
    record TrustPage(boolean there, String fingerprint, String until, String address, String code, int size) {}

    @GetMapping("/trust")
    String show(HttpServletRequest request, Model model) throws IOException {
        String address = request.getRequestURL().toString();
        Optional<X509Certificate> certificate = certificate();
        BitMatrix code = code(address);
        model.addAttribute(
                "page",
                new TrustPage(
                        certificate.isPresent(),
                        certificate.map(TrustController::fingerprint).orElse(""),
                        certificate
                                .map(one -> one.getNotAfter()
                                        .toInstant()
                                        .atZone(ZoneId.systemDefault())
                                        .toLocalDate()
                                        .toString())
                                .orElse(""),
                        address,
                        path(code),
                        code.getWidth()));
        return "platform/trust";
    }

    private Optional<X509Certificate> certificate() throws IOException {
        if (!Files.isReadable(authority)) {
            return Optional.empty();
        }
        try (InputStream in = Files.newInputStream(authority)) {
            return Optional.of(
                    (X509Certificate) CertificateFactory.getInstance("X.509").generateCertificate(in));
        } catch (GeneralSecurityException damaged) {
            throw new IOException("the authority's certificate can't be read", damaged);
        }
    }

    private static String fingerprint(X509Certificate certificate) {
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256").digest(certificate.getEncoded());
            return HexFormat.ofDelimiter(":").formatHex(digest).toUpperCase(Locale.ROOT);
        } catch (GeneralSecurityException everyJavaCan) {
            throw new IllegalStateException(everyJavaCan);
        }
    }

    private static BitMatrix code(String address) throws IOException {
        try {
            return new QRCodeWriter().encode(address, BarcodeFormat.QR_CODE, 0, 0);
        } catch (WriterException tooLong) {
            throw new IOException(tooLong);
        }
    }

    private static String path(BitMatrix code) {
        StringBuilder path = new StringBuilder();
        for (int y = 0; y < code.getHeight(); y++) {
            for (int x = 0; x < code.getWidth(); x++) {
                if (code.get(x, y)) {
                    path.append('M').append(x).append(' ').append(y).append("h1v1h-1z");
                }
            }
        }
        return path.toString();
    }

    /** The certificate itself, which is no secret. */
    @GetMapping("/trust/authority.crt")
    ResponseEntity<Resource> certificateFile() {
        if (!Files.isReadable(authority)) {
            throw new NotFound("This Elsom has no certificate of its own.", "/trust", "How to make one");
        }
        return ResponseEntity.ok()
                .contentType(CERTIFICATE)
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"elsom-authority.crt\"")
                .body(new FileSystemResource(authority));
    }
}
