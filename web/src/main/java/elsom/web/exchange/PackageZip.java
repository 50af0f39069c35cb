package elsom.web.exchange;

import elsom.core.trial.Reading;
import elsom.web.platform.ReadingLimits;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Opens a zip that somebody sends. Nothing is written to disk, so no path in it can lead anywhere; only the files of the
 * package are taken, each once, and no more is unpacked than a trial can have. Readings are read as they are unpacked.
 */
final class PackageZip {
    static final String LARGEST_ZIP = "64 MB";

    private final Set<String> beside;
    private final List<BadRow> problems;
    private final Map<String, byte[]> files = new HashMap<>();
    private final Seal seal;
    private final Set<String> seen = new HashSet<>();
    private List<Reading> readings = List.of();

    private PackageZip(Set<String> beside, Seal seal, List<BadRow> problems) {
        this.seal = seal;
        this.beside = beside;
        this.problems = problems;
    }

    /** The files of a package by name, a sealed key opened, and its readings. */
    record Opened(Map<String, byte[]> files, List<Reading> readings) {}

    /**
     * Opens one.
     *
     * @param beside paths that it may hold besides a trial's own
     * @param seal of this store, which opens what was sealed here
     * @param problems are added to the list
     */
    static Opened open(InputStream zip, Set<String> beside, Seal seal, List<BadRow> problems) {
        PackageZip opened = new PackageZip(beside, seal, problems);
        opened.unpack(zip);
        return new Opened(opened.files, opened.readings);
    }

    private void unpack(InputStream zip) {
        try (ZipInputStream in = new ZipInputStream(zip, StandardCharsets.UTF_8)) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                if (!take(entry.getName(), in)) {
                    return;
                }
            }
        } catch (IOException | IllegalArgumentException damaged) {
            problems.add(new BadRow("", 0, "The zip is damaged, or is not a zip."));
            return;
        }
        if (seen.isEmpty()) {
            problems.add(new BadRow("", 0, "This is not a zip, or it is empty. Send the zip that Elsom wrote."));
        } else {
            missing(seen, problems);
        }
        byte[] sealed = files.remove(SealedKey.PATH);
        if (sealed != null && problems.isEmpty()) {
            unseal(sealed);
        }
    }

    private void unseal(byte[] sealed) {
        Set<String> allowed = new HashSet<>(beside);
        Set<String> ofBlind = new HashSet<>(Set.of(TrialPackageWriter.PLAN));
        PackageFile.TELLING_WHO_GOT_WHAT.forEach(file -> ofBlind.add(file.path()));
        allowed.addAll(ofBlind);
        allowed.add(PackageFile.TRIAL.path());
        boolean blind = !files.containsKey(TrialPackageWriter.PLAN);
        Map<String, byte[]> opened = SealedKey.open(sealed, allowed, problems, seal);
        if (problems.isEmpty() && blind && !opened.keySet().containsAll(ofBlind)) {
            problems.add(new BadRow(SealedKey.PATH, 0, "The sealed key is not whole."));
        }
        files.putAll(opened);
    }

    /** False when nothing more should be unpacked. */
    private boolean take(String name, InputStream in) throws IOException {
        String shown = name.length() > 80 ? name.substring(0, 80) + "…" : name;
        boolean descriptor = name.equals(TrialPackageWriter.DESCRIPTOR);
        boolean extra = name.equals(TrialPackageWriter.PLAN) || name.equals(SealedKey.PATH);
        if (!descriptor
                && !extra
                && !beside.contains(name)
                && PackageFile.at(name).filter(PackageFile.OF_TRIAL::contains).isEmpty()) {
            String why = name.contains("/") || name.contains("\\")
                    ? "lies in a folder: zip the files themselves, not their folder."
                    : "does not belong to a trial's package.";
            problems.add(new BadRow("", 0, "“" + shown + "” " + why));
            return problems.size() < 10;
        }
        if (!seen.add(name)) {
            problems.add(new BadRow("", 0, "“" + shown + "” is in the zip twice."));
            return false;
        }
        if (name.equals(PackageFile.READINGS.path())) {
            readings = TrialPackageReader.readings(
                    ReadingLimits.Bytes.of(
                            in,
                            ReadingLimits.PACKED_READINGS,
                            "It unpacks to more than 128 MB, which no trial's readings do."),
                    problems);
            return true;
        }
        byte[] bytes;
        try {
            bytes = ReadingLimits.whole(in, ReadingLimits.PACKED, "Unpacks to more than 4 MB, which no trial does.");
        } catch (ReadingLimits.Passed passed) {
            problems.add(new BadRow(name, 0, passed.message()));
            return false;
        }
        if (descriptor) {
            describes(bytes, problems);
        } else {
            files.put(name, bytes);
        }
        return true;
    }

    private static void describes(byte[] bytes, List<BadRow> problems) {
        try {
            JsonNode descriptor = JsonMapper.shared().readTree(bytes);
            if (!descriptor.path("resources").isArray()) {
                problems.add(new BadRow(TrialPackageWriter.DESCRIPTOR, 0, "It lists no resources."));
            }
        } catch (JacksonException notJson) {
            problems.add(new BadRow(TrialPackageWriter.DESCRIPTOR, 0, "It is not JSON."));
        }
    }

    private static void missing(Set<String> seen, List<BadRow> problems) {
        if (!seen.contains(TrialPackageWriter.DESCRIPTOR)) {
            problems.add(new BadRow("", 0, "“" + TrialPackageWriter.DESCRIPTOR + "” is missing from the zip."));
        }
        for (PackageFile file : PackageFile.OF_TRIAL) {
            if (!file.optional() && !seen.contains(file.path())) {
                problems.add(new BadRow("", 0, "“" + file.path() + "” is missing from the zip."));
            }
        }
    }
}
