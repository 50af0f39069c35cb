package elsom.web.photo;

import elsom.core.trial.TrialId;
import elsom.core.trial.UnitCode;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Photos as they are stored. */
@Mapper
interface PhotoMapper {
    /** A photo without its pixels. */
    record Head(
            long id,
            TrialId trialId,
            UnitCode unitCode,
            int look,
            Instant takenAt,
            String station,
            int width,
            int height) {}

    /** Holds the key that the store gave a new photo. */
    final class NewKey {
        private long id;

        long id() {
            return id;
        }
    }

    /** The pixels of a photo. */
    final class Pixels {
        private byte[] jpeg = new byte[0];

        byte[] jpeg() {
            return jpeg.clone();
        }
    }

    @Insert("""
            insert into photo (trial_id, unit_code, look, taken_at, station, width, height, jpeg)
            values (#{h.trialId}, #{h.unitCode}, #{h.look}, #{h.takenAt}, #{h.station}, #{h.width}, #{h.height}, #{jpeg})""")
    @Options(useGeneratedKeys = true, keyProperty = "key.id", keyColumn = "id")
    void insert(@Param("h") Head head, @Param("jpeg") byte[] jpeg, @Param("key") NewKey key);

    @Select("""
            select id, trial_id, unit_code, look, taken_at, station, width, height from photo
            where trial_id = #{trial} and unit_code = #{unit} order by look, taken_at, id""")
    List<Head> of(@Param("trial") TrialId trial, @Param("unit") UnitCode unit);

    @Select("""
            select id, trial_id, unit_code, look, taken_at, station, width, height from photo
            where trial_id = #{trial} and id = #{id}""")
    Optional<Head> head(@Param("trial") TrialId trial, @Param("id") long id);

    @Select("select jpeg from photo where trial_id = #{trial} and id = #{id}")
    Optional<Pixels> pixels(@Param("trial") TrialId trial, @Param("id") long id);

    @Delete("delete from photo where trial_id = #{trial} and id = #{id}")
    int remove(@Param("trial") TrialId trial, @Param("id") long id);
}
