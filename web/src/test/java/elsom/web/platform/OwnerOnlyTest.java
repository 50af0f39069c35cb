package elsom.web.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class OwnerOnlyTest {
    @TempDir
    private Path home;

    private Path open(String name) throws IOException {
        Path file = home.resolve(name);
        Files.createDirectories(file.getParent());
        Files.writeString(file, "x");
        Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("rw-r--r--"));
        return file;
    }

    private static String of(Path file) throws IOException {
        return PosixFilePermissions.toString(Files.getPosixFilePermissions(file));
    }

    @Test
    void storeBackupsAndKeysAreForTheirOwnerAndOthersAreLeftAlone() throws IOException {
        Path store = open("elsom.mv.db");
        Path backup = open("backups/elsom-2026-12-01.zip");
        Path key = open("tls/elsom-server.p12");
        Path authority = open("tls/authority.crt");
        Path other = open("notes.txt");
        OwnerOnly.store(home);
        assertThat(of(store)).isEqualTo("rw-------");
        assertThat(of(backup)).isEqualTo("rw-------");
        assertThat(of(key)).isEqualTo("rw-------");
        assertThat(of(home.resolve("backups"))).isEqualTo("rwx------");
        assertThat(of(authority)).as("no secret").isEqualTo("rw-r--r--");
        assertThat(of(other)).isEqualTo("rw-r--r--");
    }
}
