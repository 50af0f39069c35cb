package elsom.web.platform;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.web.servlet.View;
import tools.jackson.databind.json.JsonMapper;

/** An error for a script: {@code {"message": "…"}}. */
record JsonMessageView(String message) implements View {
    private static final JsonMapper JSON = JsonMapper.shared();

    @Override
    public void render(@Nullable Map<String, ?> model, HttpServletRequest request, HttpServletResponse response)
            throws IOException {
        response.setContentType(MediaType.APPLICATION_JSON_VALUE);
        response.getOutputStream()
                .write(JSON.writeValueAsString(Map.of("message", message)).getBytes(StandardCharsets.UTF_8));
    }
}
