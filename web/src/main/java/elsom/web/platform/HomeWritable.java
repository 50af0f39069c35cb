package elsom.web.platform;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.boot.context.event.ApplicationEnvironmentPreparedEvent;
import org.springframework.context.ApplicationListener;
import org.springframework.core.env.MapPropertySource;

/** Says at the start that nothing could be kept, before the store fails in its own words. */
public final class HomeWritable implements ApplicationListener<ApplicationEnvironmentPreparedEvent> {
    /** The folder for the data can't be written to. */
    static final class NotWritable extends RuntimeException {
        private final Path home;

        NotWritable(Path home, IOException cause) {
            super("can't write to " + home, cause);
            this.home = home;
        }

        Path home() {
            return home;
        }
    }

    @Override
    public void onApplicationEvent(ApplicationEnvironmentPreparedEvent event) {
        Path home = Path.of(event.getEnvironment().getProperty("elsom.home", "./data"));
        check(home);
        Path folder = home.toAbsolutePath().normalize();
        StoreOpens.check(folder);
        OwnerOnly.store(folder);
        if (!event.getEnvironment().getProperty(StoreAddress.KEY, "").isBlank()) {
            event.getEnvironment()
                    .getPropertySources()
                    .addFirst(new MapPropertySource(
                            "store", StoreAddress.of(folder).properties()));
        }
    }

    static void check(Path home) {
        Path folder = home.toAbsolutePath().normalize();
        try {
            Files.createDirectories(folder);
            Files.delete(Files.createTempFile(folder, "elsom", ".try"));
        } catch (IOException refused) {
            throw new NotWritable(folder, refused);
        }
    }
}
