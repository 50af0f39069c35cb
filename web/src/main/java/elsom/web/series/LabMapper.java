package elsom.web.series;

import elsom.core.trial.TrialId;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Slips of samples sent to a laboratory: rows are added, never changed. */
@Mapper
interface LabMapper {
    /** A slip as it is stored; what is asked, units and endpoints ("PH=ph EC=ec") are parted by spaces. */
    record Row(
            int number,
            Instant sentAt,
            Instant sampledAt,
            String station,
            String asked,
            String units,
            int look,
            String endpoints) {}

    @Select("""
            select number, sent_at, sampled_at, station, asked, units, look, endpoints from lab_slip
            where trial_id = #{trial} order by number desc""")
    List<Row> of(TrialId trial);

    @Insert("""
            insert into lab_slip (trial_id, number, sent_at, sampled_at, station, asked, units, look, endpoints)
            values (#{trial}, #{r.number}, #{r.sentAt}, #{r.sampledAt}, #{r.station}, #{r.asked}, #{r.units}, #{r.look},
            #{r.endpoints})""")
    void insert(@Param("trial") TrialId trial, @Param("r") Row row);
}
