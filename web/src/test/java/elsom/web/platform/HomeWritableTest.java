package elsom.web.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class HomeWritableTest {
    @TempDir
    private Path folder;

    @Test
    void aFolderThatIsNotThereYetIsMade() throws Exception {
        Path home = folder.resolve("new").resolve("home");
        HomeWritable.check(home);
        assertThat(home).isEmptyDirectory();
    }

    @Test
    void whatCantBeWrittenToIsSaidInPlainWords() throws Exception {
        Path file = Files.writeString(folder.resolve("file"), "no folder");
        assertThatThrownBy(() -> HomeWritable.check(file.resolve("home")))
                .isInstanceOfSatisfying(HomeWritable.NotWritable.class, refused -> {
                    var said = new HomeNotWritable().analyze(refused, refused);
                    assertThat(said.getDescription()).contains("can't write there", file.toString());
                    assertThat(said.getAction()).contains("ELSOM_HOME=elsewhere");
                });
    }

    @Test
    void roomIsThatOfTheDiskTheFolderWillLieOn() {
        assertThat(new DiskSpace(folder.resolve("not").resolve("there")).sufficient())
                .isTrue();
    }
}
