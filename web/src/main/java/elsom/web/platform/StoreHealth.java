package elsom.web.platform;

import java.sql.Connection;
import java.sql.SQLException;
import javax.sql.DataSource;
import org.springframework.boot.health.contributor.AbstractHealthIndicator;
import org.springframework.boot.health.contributor.Health;
import org.springframework.stereotype.Component;

/** Whether the store answers and has room to write. */
@Component("store")
final class StoreHealth extends AbstractHealthIndicator {
    private static final int PATIENCE_S = 2;

    private final DataSource store;
    private final DiskSpace disk;

    StoreHealth(DataSource store, DiskSpace disk) {
        super("the store does not answer");
        this.store = store;
        this.disk = disk;
    }

    @Override
    protected void doHealthCheck(Health.Builder health) throws SQLException {
        try (Connection connection = store.getConnection()) {
            if (!connection.isValid(PATIENCE_S)) {
                health.down();
            } else if (!disk.sufficient()) {
                health.outOfService();
            } else {
                health.up();
            }
        }
    }
}
