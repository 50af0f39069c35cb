package elsom.web.series;

import elsom.core.series.Mapping;
import elsom.core.trial.TrialId;
import elsom.web.platform.NotFound;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Series of all trials. */
@Repository
public class SeriesStore {
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
    Course course(long series, Instant from, Instant to) {
        Course course = new Course();
        mapper.blocks(series, from.toEpochMilli(), to.toEpochMilli()).forEach(block -> block.unpack(course::add));
        return course.sorted();
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

    /** How files of each source were read the last time. */
    @Transactional(readOnly = true)
    Map<String, Mapping> sources() {
        Map<String, Mapping> sources = new LinkedHashMap<>();
        mapper.sources()
                .forEach(row -> MappingJson.read(row.mapping()).ifPresent(mapping -> sources.put(row.name(), mapping)));
        return sources;
    }

    @Transactional(readOnly = true)
    Optional<Mapping> source(String name) {
        return Optional.ofNullable(sources().get(name));
    }

    @Transactional
    void remember(String source, Mapping mapping) {
        mapper.remember(new SeriesMapper.SourceRow(source, MappingJson.write(mapping)));
    }
}
