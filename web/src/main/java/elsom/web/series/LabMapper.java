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
    /** A slip as it is stored; what is asked and units are parted by spaces. */
    record Row(int number, Instant sentAt, String station, String asked, String units) {}

    @Select(
            "select number, sent_at, station, asked, units from lab_slip where trial_id = #{trial} order by number desc")
    List<Row> of(TrialId trial);

    @Insert("""
            insert into lab_slip (trial_id, number, sent_at, station, asked, units)
            values (#{trial}, #{r.number}, #{r.sentAt}, #{r.station}, #{r.asked}, #{r.units})""")
    void insert(@Param("trial") TrialId trial, @Param("r") Row row);
}
