package elsom.web.platform;

import java.io.IOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ErrorReportValve;
import org.jspecify.annotations.Nullable;
import org.springframework.web.util.HtmlUtils;

/**
 * The page for a request that the container refuses before the application sees it: a path that is no path, a method
 * nobody uses. It stands on its own, as no template can be asked for.
 */
public final class ContainerRefusal extends ErrorReportValve {
    private static final String PAGE = """
            <!DOCTYPE html>
            <html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width">
            <title>%1$s · Elsom</title></head>
            <body><h1>%1$s</h1><p>%2$s</p><p><a href="/">Today</a> · <a href="/trials">All trials</a></p></body></html>
            """;

    @Override
    protected void report(Request request, Response response, @Nullable Throwable thrown) {
        int status = response.getStatus();
        if (status < 400 || response.getContentWritten() > 0 || !response.setErrorReported()) {
            return;
        }
        ErrorPage page = ErrorPage.ofStatus(status);
        response.setContentType("text/html");
        response.setCharacterEncoding(StandardCharsets.UTF_8.name());
        try {
            Writer writer = response.getReporter();
            if (writer != null) {
                writer.write(PAGE.formatted(HtmlUtils.htmlEscape(page.title()), HtmlUtils.htmlEscape(page.message())));
                response.finishResponse();
            }
        } catch (IOException gone) {
            // Whoever asked is gone.
            container.getLogger().debug("nobody waits for the refusal", gone);
        }
    }
}
