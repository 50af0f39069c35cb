package elsom.web.findings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import elsom.web.AppTest;
import elsom.web.Web;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.thymeleaf.ITemplateEngine;

/** The invented trial is worked out and drawn without a fault, and leaves nothing behind. */
@AppTest
class WarmUpIT {
    @LocalServerPort
    private int port;

    @Autowired
    private ITemplateEngine templates;

    @Test
    void itIsWorkedOutAndForgotten() throws Exception {
        assertThatCode(() -> new WarmUp(templates).run()).doesNotThrowAnyException();
        assertThat(new Web(port).get("/trials").body()).doesNotContain("warm-up");
    }
}
