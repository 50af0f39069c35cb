package elsom.web.practice;

import elsom.core.practice.Call;
import elsom.core.practice.Setting;
import elsom.core.trial.TrialId;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

/** The benches behind practice trials. */
@Mapper
interface PracticeMapper {
    /** A bench as it is stored; nulls until something was called. */
    record Row(
            TrialId trialId,
            String level,
            long seed,
            double effect,
            double scatter,
            double gradient,
            double dropOut,
            int best,
            @Nullable Call called,
            @Nullable Double confidence,
            @Nullable Double toldInReruns,
            @Nullable Instant calledAt) {}

    @Insert("""
            merge into practice (trial_id, level, seed, effect, scatter, gradient, drop_out) key (trial_id)
            values (#{id}, #{level}, #{seed}, #{s.effect}, #{s.scatter}, #{s.gradient}, #{s.dropOut})""")
    void keep(
            @Param("id") TrialId id,
            @Param("level") String level,
            @Param("seed") long seed,
            @Param("s") Setting setting);

    @Update("update trial set practice = true where id = #{id}")
    void mark(TrialId id);

    @Select("select id from trial where draft_token = #{token}")
    Optional<TrialId> example(UUID token);

    @Select("select * from practice where trial_id = #{id}")
    Optional<Row> find(TrialId id);

    @Select("select * from practice order by trial_id desc limit #{most}")
    List<Row> latest(int most);

    @Update("update practice set best = #{best} where trial_id = #{id}")
    void pick(@Param("id") TrialId id, @Param("best") int best);

    @Update("""
            update practice set called = #{call}, confidence = #{confidence}, told_in_reruns = #{told}, called_at = #{at}
            where trial_id = #{id} and called is null""")
    int call(
            @Param("id") TrialId id,
            @Param("call") Call call,
            @Param("confidence") double confidence,
            @Param("told") double toldInReruns,
            @Param("at") Instant at);
}
