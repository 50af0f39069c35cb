package elsom.web.offline;

import elsom.web.kit.Json;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HexFormat;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.function.UnaryOperator;
import java.util.zip.CRC32;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.core.io.support.ResourcePatternResolver;

/**
 * The worker with what it keeps: every file that pages load, and a version that is another as soon as one of them is.
 *
 * @param text as it is sent
 */
record WorkerScript(String text) {
    private static final String STATIC = "/static/";
    private static final String BULMA = "/webjars/bulma/css/versions/bulma-no-helpers.min.css";
    private static final String SOURCE = "/worker/worker.js";

    /**
     * For a build; what is in no file, such as a template, is told by its name.
     *
     * @param address of a file as pages name it
     */
    static WorkerScript of(String build, UnaryOperator<String> address) {
        Map<String, Long> files = new TreeMap<>();
        try {
            ResourcePatternResolver resolver = new PathMatchingResourcePatternResolver();
            for (Resource file : resolver.getResources("classpath:" + STATIC + "**/*.*")) {
                String path = file.getURL().getPath();
                try (InputStream bytes = file.getInputStream()) {
                    files.put(address.apply(path.substring(path.lastIndexOf(STATIC))), sum(bytes.readAllBytes()));
                }
            }
            files.put(address.apply(BULMA), 0L);
            String source = source();
            long version = sum((build + source + files).getBytes(StandardCharsets.UTF_8));
            return new WorkerScript("const VERSION = '" + HexFormat.of().toHexDigits((int) version)
                    + "';\nconst FILES = " + Json.of(files.keySet()) + ";\n" + source);
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    private static String source() throws IOException {
        try (InputStream file = WorkerScript.class.getResourceAsStream(SOURCE)) {
            return new String(Objects.requireNonNull(file).readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    private static long sum(byte[] bytes) {
        CRC32 sum = new CRC32();
        sum.update(bytes);
        return sum.getValue();
    }
}
