package elsom.web.platform;

import java.util.regex.Pattern;
import org.apache.catalina.valves.RemoteIpValve;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;

/**
 * Believes what a proxy says of a request, such as that it came by TLS, if it comes from the proxy's own address; from any other
 * address the same words are only words.
 */
final class TrustedProxy implements WebServerFactoryCustomizer<TomcatServletWebServerFactory> {
    private final String address;

    /**
     * A proxy.
     *
     * @param address its IP address; empty for none
     */
    TrustedProxy(String address) {
        this.address = address;
    }

    @Override
    public void customize(TomcatServletWebServerFactory server) {
        if (!address.isBlank()) {
            RemoteIpValve valve = new RemoteIpValve();
            valve.setInternalProxies(Pattern.quote(address.strip()));
            valve.setTrustedProxies(null);
            valve.setRemoteIpHeader("X-Forwarded-For");
            valve.setProtocolHeader("X-Forwarded-Proto");
            server.addEngineValves(valve);
        }
    }
}
