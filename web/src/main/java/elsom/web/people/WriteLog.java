package elsom.web.people;

import elsom.core.trial.TrialId;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.cursor.Cursor;
import org.jspecify.annotations.Nullable;

/** The log of writes, with readings, which are a log of their own: a correction is a new one that names the old. */
@Mapper
interface WriteLog {
    /**
     * A line.
     *
     * @param trialId null for what belongs to no trial
     * @param thing the table, or reading
     * @param was what it said before, as a document of names and values
     * @param becomes what it says now
     */
    record Line(
            Instant atTime,
            String person,
            String station,
            @Nullable Long trialId,
            String thing,
            Did did,
            String was,
            String becomes) {}

    String LINES = """
            select at_time, person, station, trial_id, thing, did, was, becomes, id from write_log""";

    String READINGS = """
            select r.recorded_at as at_time, r.person, r.station, r.trial_id, 'reading' as thing,
                case when r.supersedes is null then 'ADDED' else 'CHANGED' end as did,
                case when r.supersedes is null then '{}' else cast(json_object('value': coalesce(o.typed_text, '')) as varchar) end
                    as was,
                cast(json_object('unit': r.unit_code, 'look': cast(r.look as varchar), 'endpoint': r.endpoint,
                    'value': case when r.stored_value is null then 'taken back' else r.typed_text end,
                    'reason': r.reason absent on null) as varchar) as becomes,
                r.id as id
            from reading r left join reading o on o.id = r.supersedes""";

    String OF_TRIAL = "select * from (" + LINES + " where trial_id = #{trial} union all " + READINGS
            + " where r.trial_id = #{trial})";

    String OF_ALL = "select * from (" + LINES + " union all " + READINGS + ")";
    String LAST_FIRST = " order by at_time desc, thing, id desc limit #{most} offset #{from}";
    String IN_ORDER = " order by at_time, thing, id";

    @Select(OF_TRIAL + LAST_FIRST)
    List<Line> ofTrial(@Param("trial") TrialId trial, @Param("most") int most, @Param("from") int from);

    @Select(OF_TRIAL + IN_ORDER)
    Cursor<Line> allOfTrial(@Param("trial") TrialId trial);

    @Select(OF_ALL + LAST_FIRST)
    List<Line> all(@Param("most") int most, @Param("from") int from);

    @Select(OF_ALL + IN_ORDER)
    Cursor<Line> every();
}
