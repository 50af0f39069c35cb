package elsom.web.events;

import elsom.core.trial.TrialId;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Events of trials; they are written and read, never changed. */
@Mapper
interface EventMapper {
    @Select("""
            select number, kind, about, was, at_time as at, station, reason from trial_event
            where trial_id = #{trial} order by number""")
    List<TrialEvent> of(TrialId trial);

    @Select("select count(*) > 0 from trial_event where token = #{token}")
    boolean written(UUID token);

    @Insert("""
            insert into trial_event (trial_id, number, kind, about, was, at_time, station, reason, token)
            values (#{trial}, #{e.number}, #{e.kind}, #{e.about}, #{e.was}, #{e.at}, #{e.station}, #{e.reason}, #{token})""")
    void insert(@Param("trial") TrialId trial, @Param("e") TrialEvent event, @Param("token") UUID token);
}
