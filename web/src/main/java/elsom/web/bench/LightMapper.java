package elsom.web.bench;

import elsom.core.trial.TrialId;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Light measured again, as it is stored. */
@Mapper
interface LightMapper {
    /** A grid as it is typed, rows parted by semicolons. */
    record Row(long id, int bench, Instant measuredAt, String station, String grid) {}

    @Select("""
            select id, bench, measured_at, station, grid from light_again
            where trial_id = #{trial} order by measured_at desc, id desc""")
    List<Row> of(TrialId trial);

    @Insert("""
            insert into light_again (trial_id, bench, measured_at, station, grid)
            values (#{trial}, #{r.bench}, #{r.measuredAt}, #{r.station}, #{r.grid})""")
    void insert(@Param("trial") TrialId trial, @Param("r") Row row);

    @Delete("delete from light_again where trial_id = #{trial} and id = #{id}")
    void delete(@Param("trial") TrialId trial, @Param("id") long id);
}
