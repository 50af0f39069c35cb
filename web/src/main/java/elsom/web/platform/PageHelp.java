package elsom.web.platform;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Objects;
import java.util.Properties;

/** What each page is for, in three sentences, by the name of its template. */
final class PageHelp {
    private static final Properties PAGES = read();

    private PageHelp() {}

    private static Properties read() {
        Properties pages = new Properties();
        try (InputStream file = Objects.requireNonNull(PageHelp.class.getResourceAsStream("/help/pages.properties"));
                Reader reader = new InputStreamReader(file, StandardCharsets.UTF_8)) {
            pages.load(reader);
        } catch (IOException missing) {
            throw new UncheckedIOException(missing);
        }
        return pages;
    }

    /** Three sentences; empty for a page that has none. */
    static String of(String template) {
        return PAGES.getProperty(template, "");
    }
}
