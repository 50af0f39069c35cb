package elsom.web.exchange;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.OutputStream;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** Files that a browser saves under a name. */
public final class Downloads {
    private Downloads() {}

    /** Begins a file that is written as it goes. */
    public static OutputStream begin(HttpServletResponse response, MediaType type, String name) throws IOException {
        response.setContentType(type.toString());
        response.setHeader(
                HttpHeaders.CONTENT_DISPOSITION,
                ContentDisposition.attachment().filename(name).build().toString());
        return response.getOutputStream();
    }

    public static ResponseEntity<byte[]> of(MediaType type, String name, byte[] bytes) {
        return ResponseEntity.ok()
                .contentType(type)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(bytes);
    }
}
