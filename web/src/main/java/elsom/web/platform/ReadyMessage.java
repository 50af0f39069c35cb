package elsom.web.platform;

import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.web.server.servlet.context.ServletWebServerApplicationContext;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Says on the console where to point the browser. */
@Component
class ReadyMessage {
    private static final String USUAL = "127.0.0.1";

    private final Settings settings;

    ReadyMessage(Settings settings) {
        this.settings = settings;
    }

    @EventListener
    @SuppressWarnings("SystemOut")
    void ready(ApplicationReadyEvent event) {
        if (event.getApplicationContext() instanceof ServletWebServerApplicationContext web
                && web.getWebServer() != null) {
            // An address that would then be refused is none.
            String host = settings.hosts().contains(USUAL)
                    ? USUAL
                    : settings.hosts().stream().sorted().findFirst().orElse(USUAL);
            boolean tls = web.getEnvironment().containsProperty("server.ssl.key-store")
                    || web.getEnvironment().containsProperty("server.ssl.certificate");
            System.out.println("Elsom is ready: " + (tls ? "https://" : "http://") + host + ":"
                    + web.getWebServer().getPort());
        }
    }
}
