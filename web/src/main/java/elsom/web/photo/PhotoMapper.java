package elsom.web.photo;

import elsom.core.trial.TrialId;
import elsom.core.trial.UnitCode;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

/** Photos as they are stored. */
@Mapper
interface PhotoMapper {
    /**
     * A photo without its pixels.
     *
     * @param removedAt when its picture was taken away, by which station and why; null while it is there
     * @param pictured whether its pixels are here: a zip brings none
     */
    record Head(
            long id,
            TrialId trialId,
            UnitCode unitCode,
            int look,
            Instant takenAt,
            String station,
            int width,
            int height,
            @Nullable Instant removedAt,
            @Nullable String removedBy,
            @Nullable String removedReason,
            boolean pictured) {
        Head of(TrialId trial) {
            return new Head(
                    id,
                    trial,
                    unitCode,
                    look,
                    takenAt,
                    station,
                    width,
                    height,
                    removedAt,
                    removedBy,
                    removedReason,
                    pictured);
        }
    }

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
            insert into photo (trial_id, unit_code, look, taken_at, station, width, height, jpeg, token, removed_at,
                removed_by, removed_reason)
            values (#{h.trialId}, #{h.unitCode}, #{h.look}, #{h.takenAt}, #{h.station}, #{h.width}, #{h.height}, #{jpeg},
                #{token}, #{h.removedAt}, #{h.removedBy}, #{h.removedReason})""")
    @Options(useGeneratedKeys = true, keyProperty = "key.id", keyColumn = "id")
    void insert(
            @Param("h") Head head, @Param("jpeg") byte[] jpeg, @Param("token") UUID token, @Param("key") NewKey key);

    @Select("select id from photo where trial_id = #{trial} and token = #{token}")
    Optional<Long> byToken(@Param("trial") TrialId trial, @Param("token") UUID token);

    @Select("""
            select id, trial_id, unit_code, look, taken_at, station, width, height, removed_at, removed_by, removed_reason,
                octet_length(jpeg) > 0 as pictured
            from photo where trial_id = #{trial} order by look, taken_at, id""")
    List<Head> ofTrial(TrialId trial);

    @Select("""
            select id, trial_id, unit_code, look, taken_at, station, width, height, removed_at, removed_by, removed_reason,
                octet_length(jpeg) > 0 as pictured
            from photo where trial_id = #{trial} and unit_code = #{unit} order by look, taken_at, id""")
    List<Head> of(@Param("trial") TrialId trial, @Param("unit") UnitCode unit);

    @Select("""
            select id, trial_id, unit_code, look, taken_at, station, width, height, removed_at, removed_by, removed_reason,
                octet_length(jpeg) > 0 as pictured
            from photo where trial_id = #{trial} and id = #{id}""")
    Optional<Head> head(@Param("trial") TrialId trial, @Param("id") long id);

    @Select("select jpeg from photo where trial_id = #{trial} and id = #{id}")
    Optional<Pixels> pixels(@Param("trial") TrialId trial, @Param("id") long id);

    /** Takes the picture away; the line that there was one stays. */
    @Update("""
            update photo set jpeg = X'', removed_at = #{at}, removed_by = #{station}, removed_reason = #{reason}
            where trial_id = #{trial} and id = #{id} and removed_at is null""")
    int remove(
            @Param("trial") TrialId trial,
            @Param("id") long id,
            @Param("at") Instant at,
            @Param("station") String station,
            @Param("reason") String reason);
}
