package elsom.web.platform;

import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.web.server.servlet.context.ServletWebServerApplicationContext;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Says on the console where to point the browser. */
@Component
class ReadyMessage {
    @EventListener
    @SuppressWarnings("SystemOut")
    void ready(ApplicationReadyEvent event) {
        if (event.getApplicationContext() instanceof ServletWebServerApplicationContext web
                && web.getWebServer() != null) {
            System.out.println(
                    "Elsom is ready: http://127.0.0.1:" + web.getWebServer().getPort());
        }
    }
}
