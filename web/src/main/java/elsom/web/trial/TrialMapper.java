package elsom.web.trial;

import elsom.core.trial.Container;
import elsom.core.trial.Endpoint;
import elsom.core.trial.Treatment;
import elsom.core.trial.Trial;
import elsom.core.trial.TrialId;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** A trial's plan, in and out of the store. */
@Mapper
interface TrialMapper {
    /** What a snapshot was made from: it stands while neither number is raised. */
    record Revisions(long revision, long planRevision) {}

    @Select("select revision, plan_revision from trial where id = #{id}")
    Optional<Revisions> revisions(TrialId id);

    /** Raises the revision; the row stays locked until the transaction ends, so one trial is written by one at a time. */
    @Update("update trial set revision = revision + 1 where id = #{id}")
    int lock(TrialId id);

    /** Locks the row for a change of the plan that may yet be refused. */
    @Select("select revision, plan_revision from trial where id = #{id} for update")
    Optional<Revisions> hold(TrialId id);

    /** Says that the plan, or what was drawn from it, is another one. */
    @Update("update trial set revision = revision + 1, plan_revision = plan_revision + 1 where id = #{id}")
    void raisePlan(TrialId id);

    @Select("select count(*) from trial")
    int count();

    @Select("select question from trial where id = #{id}")
    Optional<String> question(TrialId id);

    @Update("update trial set put_away = #{away} where id = #{id}")
    int putAway(@Param("id") TrialId id, @Param("away") boolean away);

    /** Before all go: rows that refer to each other can't be deleted one by one. */
    @Update("update reading set supersedes = null where trial_id = #{id} and supersedes is not null")
    void unlinkCorrections(TrialId id);

    /** The table's name is one of {@link TrialTables}, never what somebody sent. */
    @Delete("delete from ${table} where trial_id = #{id}")
    void deleteFrom(@Param("table") String table, @Param("id") TrialId id);

    @Select("select coalesce(max(blind and stage <> 'DRAFT'), false) from trial where id = #{id}")
    boolean sealed(TrialId id);

    @Delete("delete from trial where id = #{id}")
    void deleteTrial(TrialId id);

    /** The table's name is one of {@link TrialTables}, never what somebody sent. */
    @Select("select * from ${table} where trial_id = #{id}")
    List<Map<String, Object>> stored(@Param("table") String table, @Param("id") TrialId id);

    @Select("select id from trial where draft_token = #{token}")
    Optional<TrialId> byToken(UUID token);

    @Select("""
            select id, question, protocol, zone, start_at as start, seed, stage, blind
            from trial where id = #{id}""")
    Optional<Trial> trial(TrialId id);

    @Select("""
            select name, shape, outline, depth_cm, top_length_cm, top_width_cm, base_length_cm, base_width_cm
            from trial_container where trial_id = #{id} order by name""")
    List<Container> containers(TrialId id);

    @Select("""
            select number, code, name, material, kind, control, texture, tint
            from treatment where trial_id = #{id} order by number""")
    List<Rows.TreatmentRow> treatments(TrialId id);

    @Select("""
            select treatment, property, property_value as "value"
            from treatment_property where trial_id = #{id}""")
    List<Rows.PropertyRow> properties(TrialId id);

    @Select("""
            select number, name, bench_rows, bench_columns, length_cm, depth_cm, light, door, light_map, influences,
                guarded
            from bench where trial_id = #{id} order by number""")
    List<Rows.BenchRow> benches(TrialId id);

    @Select("""
            select code, treatment, replicate, container, filled_volume_ml, block, bench, bench_row, bench_column
            from experimental_unit where trial_id = #{id} order by bench, bench_row, bench_column""")
    List<Rows.UnitRow> units(TrialId id);

    @Select("""
            select code, name, unit, counting, size, lowest, highest, decimals, read_of
            from endpoint where trial_id = #{id} order by position""")
    List<Endpoint> endpoints(TrialId id);

    @Select("select number, name, after_start_s, endpoints from look where trial_id = #{id} order by number")
    List<Rows.LookRow> looks(TrialId id);

    /** Holds the key that the store gave a new trial. */
    final class NewKey {
        private long id;

        TrialId id() {
            return new TrialId(id);
        }
    }

    @Insert("""
            insert into trial (question, protocol, zone, start_at, seed, stage, blind,
                draft_token, created_at)
            values (#{trial.question}, #{trial.protocol}, #{trial.zone}, #{trial.start}, #{trial.seed}, #{trial.stage}, #{trial.blind}, #{token}, #{now})""")
    @Options(useGeneratedKeys = true, keyProperty = "key.id", keyColumn = "id")
    void insertTrial(
            @Param("trial") Trial trial,
            @Param("token") UUID token,
            @Param("now") Instant now,
            @Param("key") NewKey key);

    @Insert("""
            insert into trial_container (trial_id, name, shape, outline, depth_cm, top_length_cm, top_width_cm,
                base_length_cm, base_width_cm)
            values (#{id}, #{c.name}, #{c.shape}, #{c.outline}, #{c.depthCm},
                #{c.topLengthCm}, #{c.topWidthCm}, #{c.baseLengthCm}, #{c.baseWidthCm})""")
    void insertContainer(@Param("id") TrialId id, @Param("c") Container container);

    @Insert("""
            insert into treatment (trial_id, number, code, name, material, kind, control, texture, tint)
            values (#{id}, #{t.number}, #{t.code}, #{t.name}, #{t.material}, #{t.kind},
                #{t.control}, #{t.texture}, #{t.tint})""")
    void insertTreatment(@Param("id") TrialId id, @Param("t") Treatment treatment);

    @Insert("""
            insert into treatment_property (trial_id, treatment, property, property_value)
            values (#{id}, #{p.treatment}, #{p.property}, #{p.value})""")
    void insertProperty(@Param("id") TrialId id, @Param("p") Rows.PropertyRow property);

    @Insert("""
            insert into bench (trial_id, number, name, bench_rows, bench_columns, light, door, length_cm, depth_cm,
                light_map, influences, guarded)
            values (#{id}, #{b.number}, #{b.name}, #{b.benchRows}, #{b.benchColumns}, #{b.light}, #{b.door},
                #{b.lengthCm}, #{b.depthCm}, #{b.lightMap}, #{b.influences}, #{b.guarded})""")
    void insertBench(@Param("id") TrialId id, @Param("b") Rows.BenchRow bench);

    @Insert("""
            insert into experimental_unit (trial_id, code, treatment, replicate, container, filled_volume_ml, block, bench,
                bench_row, bench_column)
            values (#{id}, #{u.code}, #{u.treatment}, #{u.replicate}, #{u.container},
                #{u.filledVolumeMl}, #{u.block}, #{u.bench}, #{u.benchRow}, #{u.benchColumn})""")
    void insertUnit(@Param("id") TrialId id, @Param("u") Rows.UnitRow unit);

    @Insert("""
            insert into endpoint (trial_id, code, position, name, unit, counting, size, lowest, highest, decimals, read_of)
            values (#{id}, #{e.code}, #{position}, #{e.name}, #{e.unit}, #{e.counting}, #{e.size}, #{e.lowest},
                #{e.highest}, #{e.decimals}, #{e.readOf})""")
    void insertEndpoint(@Param("id") TrialId id, @Param("position") int position, @Param("e") Endpoint endpoint);

    @Insert("""
            insert into look (trial_id, number, name, after_start_s, endpoints)
            values (#{id}, #{l.number}, #{l.name}, #{l.afterStartS}, #{l.endpoints})""")
    void insertLook(@Param("id") TrialId id, @Param("l") Rows.LookRow look);
}
