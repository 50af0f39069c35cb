package elsom.web.trial;

import elsom.core.plan.PlanEvent;
import elsom.core.trial.Chore;
import elsom.core.trial.ProtocolCode;
import elsom.core.trial.Standing;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialStage;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.jspecify.annotations.Nullable;

/** What lists of trials show: kept beside the trials, so that a list reads no trial whole. */
@Mapper
interface DigestMapper {
    String COLUMNS = """
            select t.id, t.question, t.protocol, t.zone, t.start_at, t.stage, d.step, d.units, d.names, d.codes, d.crop,
                d.measured, d.next_look, d.next_name, d.next_at, d.following_at, d.done, d.expected, d.weighs, d.ends_at,
                d.looks, d.materials
            from trial t join digest d on d.trial_id = t.id
            where d.problem = '' and not t.put_away and not t.practice\s""";

    /** A digest as it is stored. */
    record Row(
            TrialId id,
            String question,
            ProtocolCode protocol,
            ZoneId zone,
            Instant startAt,
            TrialStage stage,
            String step,
            int units,
            String names,
            String codes,
            String crop,
            boolean measured,
            @Nullable Integer nextLook,
            @Nullable String nextName,
            @Nullable Instant nextAt,
            @Nullable Instant followingAt,
            int done,
            int expected,
            boolean weighs,
            Instant endsAt,
            String looks,
            String materials) {
        Digest digest() {
            Standing.Next next = nextLook == null || nextName == null || nextAt == null
                    ? null
                    : new Standing.Next(nextLook, nextName, nextAt, followingAt, done, expected, weighs);
            return new Digest(
                    id,
                    question,
                    protocol,
                    zone,
                    startAt,
                    stage,
                    new Standing(stage == TrialStage.STARTED, next, endsAt),
                    step,
                    units,
                    names,
                    codes,
                    crop,
                    measured,
                    Digest.lookHours(looks),
                    materials);
        }
    }

    /** A trial by name only. */
    record Head(TrialId id, String question, String problem, boolean putAway) {}

    /** A chore that is due. */
    record ChoreRow(
            TrialId trialId,
            String question,
            ZoneId zone,
            Instant dueAt,
            PlanEvent.Kind kind,
            String title,
            String name,
            int minutes,
            String prepare,
            Chore.Kind chore,
            Instant closesAt,
            int unitsDone,
            int unitsOf,
            String lastTime) {}

    @Select("""
            select t.id from trial t left join digest d on d.trial_id = t.id
            where d.revision is null or d.revision <> t.revision""")
    List<TrialId> stale();

    @Select("select id from trial where id = #{id} for update")
    Optional<TrialId> hold(TrialId id);

    @Delete("delete from digest where trial_id = #{id}")
    void drop(TrialId id);

    @Delete("delete from digest_chore where trial_id = #{id}")
    void dropChores(TrialId id);

    @Insert("""
            insert into digest (trial_id, revision, problem, step, units, names, codes, crop, measured, next_look,
                next_name, next_at, following_at, done, expected, weighs, ends_at, looks, materials, begun_year)
            values (#{d.id}, #{revision}, '', #{d.step}, #{d.units}, #{d.names}, #{d.codes}, #{d.crop}, #{d.measured},
                #{next.number}, #{next.name}, #{next.plannedAt}, #{next.followingAt}, #{done}, #{expected}, #{weighs},
                #{d.standing.endsAt}, #{looks}, #{d.materials}, #{year})""")
    void insert(
            @Param("d") Digest digest,
            @Param("revision") long revision,
            @Param("next") Standing.@Nullable Next next,
            @Param("done") int done,
            @Param("expected") int expected,
            @Param("weighs") boolean weighs,
            @Param("looks") String looks,
            @Param("year") int year);

    @Insert("""
            insert into digest (trial_id, revision, problem, step, units, names, codes, crop, measured, done, expected,
                weighs, ends_at)
            values (#{id}, #{revision}, #{problem}, '', 0, '', '', '', false, 0, 0, false, current_timestamp)""")
    void insertUnreadable(@Param("id") TrialId id, @Param("revision") long revision, @Param("problem") String problem);

    @Insert("""
            <script>insert into digest_chore (trial_id, due_at, kind, title, name, minutes, prepare, chore,
                closes_at, units_done, units_of, last_time) values
            <foreach item="c" collection="all" separator=",">(#{c.trialId}, #{c.dueAt}, #{c.kind}, #{c.title}, #{c.name},
                #{c.minutes}, #{c.prepare}, #{c.chore}, #{c.closesAt}, #{c.unitsDone}, #{c.unitsOf}, #{c.lastTime})</foreach></script>""")
    void insertChores(@Param("all") List<ChoreRow> chores);

    @Select(COLUMNS + "and t.stage = 'STARTED' and d.next_at <= #{now} order by d.next_at, t.id limit #{most}")
    List<Row> due(@Param("now") Instant now, @Param("most") int most);

    @Select(COLUMNS + "and t.stage = 'STARTED' and d.next_at > #{now} order by d.next_at, t.id limit #{most}")
    List<Row> coming(@Param("now") Instant now, @Param("most") int most);

    @Select(COLUMNS + "and t.stage = 'DRAFT' order by t.start_at, t.id limit #{most}")
    List<Row> plans(int most);

    @Select(COLUMNS + "and t.stage = 'DRAFT' order by t.id desc limit #{most}")
    List<Row> drafts(int most);

    @Select(COLUMNS + "and t.stage = 'STARTED' and d.next_at is null order by d.ends_at desc, t.id limit #{most}")
    List<Row> finished(int most);

    @Select(COLUMNS + """
            and lower(d.crop) = lower(#{crop}) and d.measured order by t.start_at desc, t.id desc limit #{most}""")
    List<Row> measuredOf(@Param("crop") String crop, @Param("most") int most);

    @Select(COLUMNS + """
            and (locate(#{part}, lower(t.question)) > 0 or locate(#{part}, lower(d.names)) > 0
                or locate(#{part}, lower(d.materials)) > 0) order by t.start_at desc, t.id desc limit #{most}""")
    List<Row> holding(@Param("part") String part, @Param("most") int most);

    /** What trials are looked for by. */
    record Sought(String part, String code, String protocol, int year, String state) {}

    /** Which trials a page of the list shows. */
    String WANTED = """
            and (#{w.part} = '' or locate(#{w.part}, lower(t.question)) > 0 or locate(#{w.part}, lower(d.names)) > 0
                or locate(#{w.part}, lower(d.materials)) > 0 or locate(#{w.part}, lower(d.crop)) > 0
                or locate(#{w.code}, d.codes) > 0 or exists (select 1 from answer_line a
                    where a.trial_id = t.id and locate(#{w.part}, lower(a.words)) > 0))
            and (#{w.protocol} = '' or t.protocol = #{w.protocol})
            and (#{w.year} = 0 or d.begun_year = #{w.year})
            and (#{w.state} = 'ANY' or #{w.state} = case
                when t.stage = 'DRAFT' then 'PLANNED' when d.next_at is null then 'DONE'
                when d.next_at <= #{now} then 'DUE' else 'RUNNING' end)\s""";

    /** A page of the list: what there is to do first, then what runs, what is planned, what is done. */
    @Select(COLUMNS + WANTED + """
            order by case when t.stage = 'DRAFT' then 2 when d.next_at is null then 3 when d.next_at <= #{now} then 0 else 1 end,
                t.start_at desc, t.id desc limit #{most} offset #{from}""")
    List<Row> search(
            @Param("w") Sought sought, @Param("now") Instant now, @Param("from") int from, @Param("most") int most);

    @Select("""
            select count(*) from trial t join digest d on d.trial_id = t.id
            where d.problem = '' and not t.put_away and not t.practice\s""" + WANTED)
    int found(@Param("w") Sought sought, @Param("now") Instant now);

    /** A kind of trial and a year that there are. */
    record Kept(ProtocolCode protocol, int year) {}

    @Select("""
            select distinct t.protocol, d.begun_year as "year" from trial t join digest d on d.trial_id = t.id
            where d.problem = '' and not t.put_away and not t.practice order by 2 desc, 1""")
    List<Kept> kept();

    @Select("""
            select t.id, t.question, d.problem, t.put_away from trial t join digest d on d.trial_id = t.id
            where d.problem <> '' and not t.put_away and not t.practice order by t.id""")
    List<Head> unreadable();

    @Select("""
            select t.id, t.question, d.problem, t.put_away from trial t join digest d on d.trial_id = t.id
            where t.put_away and not t.practice order by t.start_at desc, t.id desc limit #{most}""")
    List<Head> putAway(int most);

    @Select("""
            select c.trial_id, t.question, t.zone, c.due_at, c.kind, c.title, c.name, c.minutes, c.prepare, c.chore,
                c.closes_at, c.units_done, c.units_of, c.last_time
            from digest_chore c join trial t on t.id = c.trial_id
            where c.due_at >= #{from} and c.due_at < #{to} and not t.put_away and not t.practice
            and (t.stage = 'STARTED' and c.kind <> 'START' or t.stage = 'DRAFT' and c.kind = 'START')
            order by c.due_at, c.trial_id limit #{most}""")
    List<ChoreRow> chores(@Param("from") Instant from, @Param("to") Instant to, @Param("most") int most);

    /** Steps of trials with a look to come: past their time, not done for all units, and not overtaken by the next one. */
    @Select("""
            select c.trial_id, t.question, t.zone, c.due_at, c.kind, c.title, c.name, c.minutes, c.prepare, c.chore,
                c.closes_at, c.units_done, c.units_of, c.last_time
            from digest_chore c join trial t on t.id = c.trial_id join digest d on d.trial_id = c.trial_id
            where c.due_at >= #{from} and c.due_at < #{now} and c.closes_at > #{now} and c.units_done < c.units_of
            and d.next_at is not null and t.stage = 'STARTED' and not t.put_away and not t.practice
            order by c.due_at, c.trial_id limit #{most}""")
    List<ChoreRow> late(@Param("from") Instant from, @Param("now") Instant now, @Param("most") int most);

    /** What changes whenever anything about any trial does. */
    record State(long trials, long latest, long revisions, long away) {}

    @Select("""
            select count(*) as trials, coalesce(max(id), 0) as latest, coalesce(sum(revision), 0) as revisions,
                coalesce(sum(id) filter (where put_away), 0) as away
            from trial""")
    State state();

    /** How many trials there are of each sort that Today shows. */
    record Counts(int due, int coming, int plans, int finished) {
        int all() {
            return due + coming + plans + finished;
        }
    }

    @Select("""
            select count(*) filter (where t.stage = 'STARTED' and d.next_at <= #{now}) as due,
                count(*) filter (where t.stage = 'STARTED' and d.next_at > #{now}) as coming,
                count(*) filter (where t.stage = 'DRAFT') as plans,
                count(*) filter (where t.stage = 'STARTED' and d.next_at is null) as finished
            from trial t join digest d on d.trial_id = t.id where d.problem = '' and not t.put_away and not t.practice""")
    Counts counts(Instant now);
}
