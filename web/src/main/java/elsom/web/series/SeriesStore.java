package elsom.web.series;

import elsom.core.series.Mapping;
import elsom.core.series.Measurand;
import elsom.core.trial.TrialId;
import elsom.web.platform.NotFound;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Series of all trials. */
@Repository
public class SeriesStore {
    private static final int LONGEST_HEADINGS = 20_000;

    private final SeriesMapper mapper;

    SeriesStore(SeriesMapper mapper) {
        this.mapper = mapper;
    }

    /** A course with what there is of it. */
    record Head(long id, SeriesKey key, long samples, Instant first, Instant last) {}

    /** A file that was taken. */
    record Taken(long id, String name, String source, String digest, long rows, Instant at, String station) {}

    @Transactional(readOnly = true)
    public List<Head> all(TrialId trial) {
        return mapper.all(trial).stream()
                .map(row -> new Head(
                        row.id(),
                        row.key(),
                        row.samples(),
                        Instant.ofEpochMilli(row.firstAt()),
                        Instant.ofEpochMilli(row.lastAt())))
                .toList();
    }

    /** Files that were taken, the last first. */
    @Transactional(readOnly = true)
    List<Taken> files(TrialId trial) {
        return mapper.files(trial).stream()
                .map(row -> new Taken(
                        row.id(), row.name(), row.source(), row.digest(), row.rowCount(), row.takenAt(), row.station()))
                .toList();
    }

    /** The samples of a series between two instants, both included, or a little more at either end. */
    @Transactional(readOnly = true)
    SampledCourse course(long series, Instant from, Instant to) {
        SampledCourse course = new SampledCourse();
        mapper.blocks(series, from.toEpochMilli(), to.toEpochMilli()).forEach(block -> block.unpack(course::add));
        return course.sorted();
    }

    /** A sample with what it is of; the unit is empty for the whole trial. */
    public record Logged(String unit, Measurand what, double depthCm, int probe, Instant at, double value) {}

    /** Every sample of a trial, series by series in order of time; one series at a time is held. */
    public Stream<Logged> logged(TrialId trial) {
        return all(trial).stream()
                .flatMap(head -> course(head.id(), head.first(), head.last()).stream((at, value) -> new Logged(
                        head.key().unit(),
                        head.key().what(),
                        head.key().depthCm(),
                        head.key().probe(),
                        Instant.ofEpochMilli(at),
                        value)));
    }

    /** Begins to write a file in the transaction that runs. */
    SeriesWriter write(TrialId trial, Taken file) {
        SeriesMapper.NewKey key = new SeriesMapper.NewKey();
        mapper.insertFile(
                trial,
                new SeriesMapper.FileRow(
                        0, file.name(), file.source(), file.digest(), file.rows(), file.at(), file.station()),
                key);
        return new SeriesWriter(mapper, trial, key.id());
    }

    /** Takes a file back, with every sample it brought. */
    @Transactional
    void takeBack(TrialId trial, long file) {
        mapper.deleteBlocks(trial, file);
        if (mapper.deleteFile(trial, file) == 0) {
            throw new NotFound("This trial has no such file.", "/trials/" + trial + "/series", "Back to its sensors");
        }
    }

    /** Names of sources whose files were taken. */
    @Transactional(readOnly = true)
    List<String> sources() {
        return mapper.sources().stream().map(SeriesMapper.SourceRow::name).toList();
    }

    /** How the last file of a source was read, if it had the same headings. */
    @Transactional(readOnly = true)
    Optional<Mapping> remembered(String source, List<String> headings) {
        return mapper.sources().stream()
                .filter(row -> row.name().equals(source) && row.headings().equals(joined(headings)))
                .findFirst()
                .flatMap(row -> MappingJson.read(row.mapping()));
    }

    @Transactional
    void remember(String source, List<String> headings, Mapping mapping) {
        String joined = joined(headings);
        if (joined.length() <= LONGEST_HEADINGS) {
            mapper.remember(new SeriesMapper.SourceRow(source, joined, MappingJson.write(mapping)));
        }
    }

    private static String joined(List<String> headings) {
        return String.join("\t", headings);
    }
}
