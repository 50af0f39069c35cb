package elsom.web.trial;

import elsom.core.plan.Plan;
import elsom.core.plan.Rules;
import elsom.core.plan.WateringSchool;
import elsom.core.trial.Trial;
import elsom.core.trial.TrialId;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

/** Plan documents and what was changed in them after the start. */
@Mapper
interface PlanMapper {
    @Select("select document from plan where trial_id = #{id}")
    Optional<String> document(TrialId id);

    /** How the units of a trial from before plans were kept are watered. */
    @Select("select watering, refill_fraction, blind from trial where id = #{id} and watering is not null")
    Optional<RulesRow> rules(TrialId id);

    /** Rules as they were kept before plans were. */
    record RulesRow(WateringSchool watering, double refillFraction, boolean blind) {
        Rules rules() {
            return new Rules(watering, refillFraction, blind);
        }
    }

    @Insert("""
            merge into plan (trial_id, document, came_from, came_from_seed) key (trial_id)
            values (#{id}, #{document}, #{from, jdbcType=BIGINT}, #{seed, jdbcType=BIGINT})""")
    void keep(
            @Param("id") TrialId id,
            @Param("document") String document,
            @Nullable @Param("from") Long from,
            @Nullable @Param("seed") Long seed);

    /** Keeps a plan with the number of the trial it was made from. */
    default void keep(TrialId id, Plan plan) {
        keep(
                id,
                PlanJson.write(plan),
                plan.origin() == null ? null : plan.origin().trial(),
                plan.origin() == null ? null : plan.origin().seed());
    }

    /** The number of a trial that asks so and was drawn from that seed; of copies the nearest before one, which it is not. */
    @Select("""
            select id from trial where seed = #{seed} and question = #{question} and id <> #{but}
            order by case when id < #{but} then 0 else 1 end, abs(id - #{but}) limit 1""")
    Optional<Long> asked(@Param("question") String question, @Param("seed") long seed, @Param("but") TrialId but);

    /** Trials whose plans may have been made from one, the earliest first. */
    @Select("""
            select trial_id from plan where came_from = #{id} and trial_id > #{id}
            or came_from_seed = (select seed from trial where id = #{id}) order by trial_id""")
    List<Long> madeFrom(TrialId id);

    /** What the lists of trials show, kept beside the plan it comes from. */
    @Update("""
            update trial set question = #{t.question}, zone = #{t.zone}, start_at = #{t.start},
                seed = #{t.seed}, stage = #{t.stage}, blind = #{t.blind}
            where id = #{id}""")
    void update(@Param("id") TrialId id, @Param("t") Trial trial);

    @Delete("delete from look where trial_id = #{id} and number > #{after}")
    void dropLooks(@Param("id") TrialId id, @Param("after") int after);

    @Select("""
            select number, happened_at, station, reason, changes from amendment
            where trial_id = #{id} order by number""")
    List<Rows.AmendmentRow> amendments(TrialId id);

    @Insert("""
            insert into amendment (trial_id, number, happened_at, station, reason, changes)
            values (#{id}, #{a.number}, #{a.happenedAt}, #{a.station}, #{a.reason}, #{a.changes})""")
    void insert(@Param("id") TrialId id, @Param("a") Rows.AmendmentRow amendment);
}
