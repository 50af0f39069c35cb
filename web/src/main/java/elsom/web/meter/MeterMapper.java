package elsom.web.meter;

import elsom.core.meter.MeterCheck;
import elsom.core.meter.MeterKind;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Checks of meters: rows are added, never changed. */
@Mapper
interface MeterMapper {
    /** A check as it is stored. */
    record Row(
            MeterKind kind,
            String station,
            Instant checkedAt,
            MeterCheck.Grade grade,
            double slopePercent,
            double off) {
        MeterCheck check() {
            return new MeterCheck(kind, grade, slopePercent, off);
        }
    }

    @Insert("""
            insert into meter_check (kind, station, checked_at, grade, slope_percent, off)
            values (#{kind}, #{station}, #{checkedAt}, #{grade}, #{slopePercent}, #{off})""")
    void insert(Row row);

    @Select("""
            select kind, station, checked_at, grade, slope_percent, off from meter_check
            where station = #{station} and kind = #{kind} order by checked_at desc, id desc limit #{most}""")
    List<Row> latest(@Param("station") String station, @Param("kind") MeterKind kind, @Param("most") int most);
}
