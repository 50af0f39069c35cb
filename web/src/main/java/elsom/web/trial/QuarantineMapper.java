package elsom.web.trial;

import elsom.core.mix.Quarantine;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Lots that are kept apart. */
@Mapper
interface QuarantineMapper {
    /** The trial is 0 when it is gone. */
    @Select("""
            select q.lot, q.reason, q.since, q.station, q.gone_to, coalesce(t.id, 0) as trial, q.lifted_at, q.lifted_why
            from quarantine q left join trial t on t.id = q.trial_id order by q.id""")
    List<Quarantine> all();

    @Insert("""
            insert into quarantine (lot, reason, since, station, gone_to, trial_id, lifted_at, lifted_why)
            values (#{lot}, #{reason}, #{since}, #{station}, #{goneTo}, #{trial}, #{liftedAt}, #{liftedWhy})""")
    void insert(Quarantine quarantine);

    @Update("""
            update quarantine set gone_to = #{goneTo} where lower(lot) = lower(#{lot}) and lifted_at is null""")
    int noteWhere(@Param("lot") String lot, @Param("goneTo") String goneTo);

    @Update("""
            update quarantine set lifted_at = #{at}, lifted_why = #{why}
            where lower(lot) = lower(#{lot}) and lifted_at is null""")
    int lift(@Param("lot") String lot, @Param("at") Instant at, @Param("why") String why);
}
