package elsom.web.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class AccountsFirstTest {
    private static final Set<String> OWN = Set.of("localhost", "127.0.0.1", "[::1]");

    @Test
    void whoSitsAtTheMachineNeedsNone() throws UnknownHostException {
        assertThat(AccountsFirst.beyond(InetAddress.getByName("127.0.0.1"), OWN))
                .isFalse();
        assertThat(AccountsFirst.beyond(InetAddress.getByName("::1"), Set.of("localhost")))
                .isFalse();
    }

    @ParameterizedTest
    @ValueSource(strings = {"0.0.0.0", "192.168.1.20", "::"})
    void anotherAddressNeedsOne(String address) throws UnknownHostException {
        assertThat(AccountsFirst.beyond(InetAddress.getByName(address), OWN)).isTrue();
    }

    @Test
    void aNameThatAProxyHandsOnNeedsOneToo() throws UnknownHostException {
        assertThat(AccountsFirst.beyond(InetAddress.getByName("127.0.0.1"), Set.of("localhost", "bench.lan")))
                .isTrue();
        assertThat(AccountsFirst.beyond(null, OWN)).as("all addresses").isTrue();
    }
}
