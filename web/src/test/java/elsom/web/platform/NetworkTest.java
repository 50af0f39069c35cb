package elsom.web.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.util.regex.Pattern;
import org.apache.catalina.valves.RemoteIpValve;
import org.junit.jupiter.api.Test;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;

/** What is believed of a network, and what opens a store. */
class NetworkTest {
    private static TomcatServletWebServerFactory behind(String proxy) {
        TomcatServletWebServerFactory server = new TomcatServletWebServerFactory();
        new TrustedProxy(proxy).customize(server);
        return server;
    }

    @Test
    void onlyTheNamedProxyIsBelieved() {
        RemoteIpValve valve = (RemoteIpValve)
                behind("192.168.1.2").getEngineValves().iterator().next();
        Pattern believed = Pattern.compile(valve.getInternalProxies());
        assertThat("192.168.1.2").matches(believed);
        assertThat("192.168.1.20").doesNotMatch(believed);
        assertThat("192x168x1x2").doesNotMatch(believed);
        assertThat("127.0.0.1").doesNotMatch(believed);
    }

    @Test
    void withoutOneNoHeaderSaysHowARequestCame() {
        assertThat(behind("").getEngineValves()).isEmpty();
    }

    @Test
    void aStoreIsEncryptedWhereAKeyIsSet() {
        assertThat(StoreAddress.of(Path.of("/yard"), "").url())
                .startsWith("jdbc:h2:file:/yard/elsom;")
                .doesNotContain("CIPHER");
        StoreAddress locked = StoreAddress.of(Path.of("/yard"), "meadow-and-stone");
        assertThat(locked.url()).endsWith(";CIPHER=AES").doesNotContain("meadow");
        assertThat(locked.password()).startsWith("meadow-and-stone ");
        assertThatThrownBy(() -> StoreAddress.of(Path.of("/yard"), "meadow and stone"))
                .hasMessageContaining("no spaces");
    }
}
