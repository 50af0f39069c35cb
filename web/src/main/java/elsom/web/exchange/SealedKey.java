package elsom.web.exchange;

import elsom.web.platform.ReadingLimits;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;

/**
 * What every unit of a blind trial got, packed so that nobody reads it by accident. It keeps an honest eye from seeing,
 * not a curious one from looking: whoever unpacks it on purpose has unblinded the trial.
 */
final class SealedKey {
    static final String PATH = "key.sealed";

    private SealedKey() {}

    static byte[] seal(Map<String, byte[]> files) {
        ByteArrayOutputStream packed = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(packed, StandardCharsets.UTF_8)) {
            for (Map.Entry<String, byte[]> file : files.entrySet()) {
                zip.putNextEntry(new ZipEntry(file.getKey()));
                zip.write(file.getValue());
                zip.closeEntry();
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return Base64.getMimeEncoder().encode(packed.toByteArray());
    }

    /** The files in it that are expected; problems are added to the list. */
    static Map<String, byte[]> open(byte[] sealed, List<String> expected, List<BadRow> problems) {
        Map<String, byte[]> files = new LinkedHashMap<>();
        try (ZipInputStream in = new ZipInputStream(
                new ByteArrayInputStream(Base64.getMimeDecoder().decode(sealed)))) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                byte[] bytes = in.readNBytes(ReadingLimits.PACKED + 1);
                if (!expected.contains(entry.getName())
                        || bytes.length > ReadingLimits.PACKED
                        || files.size() > expected.size()) {
                    problems.add(new BadRow(PATH, 0, "It holds something that does not belong there."));
                    return files;
                }
                files.put(entry.getName(), bytes);
            }
        } catch (IOException | IllegalArgumentException damaged) {
            problems.add(new BadRow(PATH, 0, "The sealed key is damaged."));
        }
        if (problems.isEmpty() && !files.keySet().containsAll(expected)) {
            problems.add(new BadRow(PATH, 0, "The sealed key is not whole."));
        }
        return files;
    }
}
