package elsom.web.people;

import elsom.web.platform.Settings;
import java.net.InetAddress;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.boot.web.server.autoconfigure.ServerProperties;
import org.springframework.stereotype.Component;

/** Refuses to start where others can reach it as long as nobody has an account: whoever reached the port could delete all. */
@Component
class AccountsFirst implements SmartInitializingSingleton {
    private static final Set<String> THIS_MACHINE = Set.of("localhost", "127.0.0.1", "[::1]", "::1");

    private final ServerProperties server;
    private final Settings settings;
    private final People people;

    AccountsFirst(ServerProperties server, Settings settings, People people) {
        this.server = server;
        this.settings = settings;
        this.people = people;
    }

    @Override
    public void afterSingletonsInstantiated() {
        if (!people.accounts() && beyond(server.getAddress(), settings.hosts())) {
            throw new NobodyKeeps();
        }
    }

    /** Whether others than whoever sits at this machine can reach it: by its address, or by a name a proxy hands on. */
    static boolean beyond(@Nullable InetAddress address, Set<String> hosts) {
        return address == null || !address.isLoopbackAddress() || !THIS_MACHINE.containsAll(hosts);
    }
}
