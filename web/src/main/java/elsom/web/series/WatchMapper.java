package elsom.web.series;

import elsom.core.series.Measurand;
import elsom.core.series.Watch;
import elsom.core.trial.TrialId;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Limits that are watched, as they are stored. */
@Mapper
interface WatchMapper {
    /** A watch of a trial. */
    record Row(long id, TrialId trialId, Measurand what, double depthCm, Watch.Beyond beyond, double limitValue) {
        Watch watch() {
            return new Watch(what, depthCm, beyond, limitValue);
        }
    }

    @Insert("""
            merge into watch (trial_id, what, depth_cm, beyond, limit_value, set_at, station)
            key (trial_id, what, depth_cm, beyond)
            values (#{trial}, #{w.what}, #{w.depthCm}, #{w.beyond}, #{w.limit}, #{at}, #{station})""")
    void set(
            @Param("trial") TrialId trial,
            @Param("w") Watch watch,
            @Param("at") Instant at,
            @Param("station") String station);

    @Select("select id, trial_id, what, depth_cm, beyond, limit_value from watch where trial_id = #{trial} order by id")
    List<Row> of(TrialId trial);

    @Select("select id, trial_id, what, depth_cm, beyond, limit_value from watch order by trial_id, id")
    List<Row> all();

    @Delete("delete from watch where trial_id = #{trial} and id = #{id}")
    void end(@Param("trial") TrialId trial, @Param("id") long id);
}
