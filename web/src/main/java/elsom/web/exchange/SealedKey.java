package elsom.web.exchange;

import elsom.web.platform.ReadingLimits;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;

/**
 * What nobody is to know yet of a trial in a file: what every unit of a blind one got, the effect behind a practice bench that was
 * not called, the codes of a tasting that runs. It is shut with the seal of the store it is from and opens there only.
 */
final class SealedKey {
    static final String PATH = "key.sealed";

    private static final String OF_ANOTHER =
            "What this trial keeps secret was sealed by another Elsom and can't be read here."
                    + " Whoever keeps that one can take the trial out with its key, or unblind it first.";

    private SealedKey() {}

    static byte[] seal(Map<String, byte[]> files, Seal seal) {
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
        return Base64.getMimeEncoder().encode(seal.shut(packed.toByteArray()));
    }

    /**
     * The files in it; problems are added to the list. Keys of before there were seals were only packed, and are read as well.
     *
     * @param allowed what may be in it
     */
    static Map<String, byte[]> open(byte[] sealed, Collection<String> allowed, List<BadRow> problems, Seal seal) {
        Map<String, byte[]> files = new LinkedHashMap<>();
        try {
            byte[] decoded = Base64.getMimeDecoder().decode(sealed);
            Optional<byte[]> packed = Seal.shutAtAll(decoded) ? seal.open(decoded) : Optional.of(decoded);
            if (packed.isEmpty()) {
                problems.add(new BadRow(PATH, 0, OF_ANOTHER));
                return files;
            }
            unpack(packed.get(), allowed, files, problems);
        } catch (IOException | IllegalArgumentException damaged) {
            problems.add(new BadRow(PATH, 0, "The sealed key is damaged."));
        }
        if (problems.isEmpty() && files.isEmpty()) {
            problems.add(new BadRow(PATH, 0, "The sealed key is not whole."));
        }
        return files;
    }

    private static void unpack(
            byte[] packed, Collection<String> allowed, Map<String, byte[]> files, List<BadRow> problems)
            throws IOException {
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(packed))) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                byte[] bytes = in.readNBytes(ReadingLimits.PACKED + 1);
                if (!allowed.contains(entry.getName())
                        || bytes.length > ReadingLimits.PACKED
                        || files.size() > allowed.size()) {
                    problems.add(new BadRow(PATH, 0, "It holds something that does not belong there."));
                    return;
                }
                files.put(entry.getName(), bytes);
            }
        }
    }
}
