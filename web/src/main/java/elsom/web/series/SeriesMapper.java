package elsom.web.series;

import elsom.core.series.Measurand;
import elsom.core.trial.TrialId;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Series and the files they came from, as they are stored. */
@Mapper
interface SeriesMapper {
    /** Holds the key that the store gave a new row. */
    final class NewKey {
        private long id;

        long id() {
            return id;
        }
    }

    /** A course with what there is of it. */
    record SeriesRow(
            long id,
            String unitCode,
            Measurand what,
            double depthCm,
            int probe,
            long samples,
            long firstAt,
            long lastAt) {
        SeriesKey key() {
            return new SeriesKey(unitCode, what, depthCm, probe);
        }
    }

    /** A file that was taken. */
    record FileRow(
            long id, String name, String source, String digest, long rowCount, Instant takenAt, String station) {}

    /** A block with its bytes. */
    final class Block {
        private long firstAt;
        private byte[] packed = new byte[0];

        void unpack(PackedSamples.Sink sink) {
            PackedSamples.unpack(firstAt, packed, sink);
        }
    }

    /** A remembered mapping. */
    record SourceRow(String name, String headings, String mapping) {}

    @Insert("""
            insert into series_file (trial_id, name, source, digest, row_count, taken_at, station)
            values (#{trial}, #{f.name}, #{f.source}, #{f.digest}, #{f.rowCount}, #{f.takenAt}, #{f.station})""")
    @Options(useGeneratedKeys = true, keyProperty = "key.id", keyColumn = "id")
    void insertFile(@Param("trial") TrialId trial, @Param("f") FileRow file, @Param("key") NewKey key);

    @Update("update series_file set row_count = #{rows} where id = #{file}")
    void count(@Param("file") long file, @Param("rows") long rows);

    @Select("""
            select id, name, source, digest, row_count, taken_at, station from series_file
            where trial_id = #{trial} order by id desc""")
    List<FileRow> files(TrialId trial);

    @Insert("""
            insert into series (trial_id, unit_code, what, depth_cm, probe)
            values (#{trial}, #{s.unit}, #{s.what}, #{s.depthCm}, #{s.probe})""")
    @Options(useGeneratedKeys = true, keyProperty = "key.id", keyColumn = "id")
    void insertSeries(@Param("trial") TrialId trial, @Param("s") SeriesKey series, @Param("key") NewKey key);

    @Select("""
            select id from series
            where trial_id = #{trial} and unit_code = #{s.unit} and what = #{s.what} and depth_cm = #{s.depthCm}
            and probe = #{s.probe}""")
    Optional<Long> series(@Param("trial") TrialId trial, @Param("s") SeriesKey series);

    @Select("""
            select s.id, s.unit_code, s.what, s.depth_cm, s.probe, sum(b.samples) as samples, min(b.first_at) as first_at,
            max(b.last_at) as last_at from series s join series_block b on b.series_id = s.id
            where s.trial_id = #{trial} group by s.id, s.unit_code, s.what, s.depth_cm, s.probe
            order by s.what, s.depth_cm, s.unit_code, s.probe""")
    List<SeriesRow> all(TrialId trial);

    @Insert("""
            insert into series_block (trial_id, series_id, file_id, first_at, last_at, samples, packed)
            values (#{trial}, #{series}, #{file}, #{first}, #{last}, #{samples}, #{packed})""")
    void insertBlock(
            @Param("trial") TrialId trial,
            @Param("series") long series,
            @Param("file") long file,
            @Param("first") long first,
            @Param("last") long last,
            @Param("samples") int samples,
            @Param("packed") byte[] packed);

    @Select("""
            select first_at, packed from series_block
            where series_id = #{series} and first_at <= #{to} and last_at >= #{from} order by first_at, id""")
    List<Block> blocks(@Param("series") long series, @Param("from") long from, @Param("to") long to);

    @Delete("delete from series_block where trial_id = #{trial} and file_id = #{file}")
    void deleteBlocks(@Param("trial") TrialId trial, @Param("file") long file);

    @Delete("delete from series_file where trial_id = #{trial} and id = #{file}")
    int deleteFile(@Param("trial") TrialId trial, @Param("file") long file);

    @Select("select name, headings, mapping from series_source order by name")
    List<SourceRow> sources();

    @Insert("merge into series_source (name, headings, mapping) key (name) values (#{name}, #{headings}, #{mapping})")
    void remember(SourceRow source);
}
