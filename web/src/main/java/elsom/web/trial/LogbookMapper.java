package elsom.web.trial;

import elsom.core.trial.EndpointCode;
import elsom.core.trial.Given;
import elsom.core.trial.Mishap;
import elsom.core.trial.ReadingId;
import elsom.core.trial.ReadingRef;
import elsom.core.trial.SecondScore;
import elsom.core.trial.Skip;
import elsom.core.trial.TrialId;
import elsom.core.trial.Turn;
import elsom.core.trial.UnitCode;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Readings and mishaps: rows are added, and a mishap may be taken back; nothing else changes. */
@Mapper
interface LogbookMapper {
    String READING =
            "select id, unit_code, look, endpoint, sub_reading, stored_value, typed_text, typed_unit, taken_at,"
                    + " recorded_at, station, instrument, supersedes, reason, person from reading ";

    @Select(READING + "where trial_id = #{id} order by id")
    List<Rows.ReadingRow> readings(TrialId id);

    @Select(READING + "where trial_id = #{trial} and id > #{after} order by id")
    List<Rows.ReadingRow> readingsAfter(@Param("trial") TrialId trial, @Param("after") long after);

    /** The reading that was entered with a token, of whichever trial. */
    @Select("select trial_id, id from reading where entry_token = #{token}")
    Optional<Sent> sent(UUID token);

    /** Which reading a token belongs to. */
    record Sent(TrialId trialId, ReadingId id) {}

    @Select(READING + "where trial_id = #{trial} and id = #{reading}")
    Optional<Rows.ReadingRow> reading(@Param("trial") TrialId trial, @Param("reading") ReadingId reading);

    @Select(READING + """
            where trial_id = #{trial} and unit_code = #{ref.unit} and look = #{ref.look}
              and endpoint = #{ref.endpoint} and sub_reading = #{ref.subReading}
            order by id""")
    List<Rows.ReadingRow> history(@Param("trial") TrialId trial, @Param("ref") ReadingRef ref);

    /** All rows at some looks and of some endpoints, in order of entry. */
    @Select("<script>" + READING + """
            where trial_id = #{trial}
              and look in <foreach item="l" collection="looks" open="(" separator="," close=")">#{l}</foreach>
              and endpoint in <foreach item="e" collection="endpoints" open="(" separator="," close=")">#{e}</foreach>
            order by id</script>""")
    List<Rows.ReadingRow> readingsAt(
            @Param("trial") TrialId trial,
            @Param("looks") Collection<Integer> looks,
            @Param("endpoints") Collection<EndpointCode> endpoints);

    /** Which of some tokens belong to a reading, of whichever trial. */
    @Select("""
            <script>select trial_id, id, entry_token from reading where entry_token in
            <foreach item="t" collection="tokens" open="(" separator="," close=")">#{t}</foreach></script>""")
    List<SentWith> sentWith(@Param("tokens") Collection<UUID> tokens);

    /** A token with the reading it belongs to. */
    record SentWith(TrialId trialId, ReadingId id, UUID entryToken) {}

    @Insert("""
            <script>insert into reading (trial_id, unit_code, look, endpoint, sub_reading, stored_value, typed_text,
                typed_unit, taken_at, recorded_at, station, instrument, supersedes, reason, entry_token, person) values
            <foreach item="r" collection="all" separator=",">(#{trial}, #{r.ref.unit}, #{r.ref.look}, #{r.ref.endpoint},
                #{r.ref.subReading}, #{r.value}, #{r.typedText}, #{r.typedUnit}, #{r.takenAt}, #{r.recordedAt},
                #{r.station}, #{r.instrument}, #{r.replaces}, #{r.reason}, #{r.token}, #{person})</foreach></script>""")
    void insertAll(
            @Param("trial") TrialId trial, @Param("all") List<NewReading> readings, @Param("person") String person);

    /** Holds the key that the store gave a new reading. */
    final class NewKey {
        private long id;

        ReadingId id() {
            return new ReadingId(id);
        }
    }

    @Insert("""
            insert into reading (trial_id, unit_code, look, endpoint, sub_reading, stored_value, typed_text, typed_unit,
                taken_at, recorded_at, station, instrument, supersedes, reason, entry_token, person)
            values (#{trial}, #{r.ref.unit}, #{r.ref.look}, #{r.ref.endpoint}, #{r.ref.subReading}, #{r.value},
                #{r.typedText}, #{r.typedUnit}, #{r.takenAt}, #{r.recordedAt}, #{r.station}, #{r.instrument},
                #{r.replaces}, #{r.reason}, #{r.token}, #{person})""")
    @Options(useGeneratedKeys = true, keyProperty = "key.id", keyColumn = "id")
    void insert(
            @Param("trial") TrialId trial,
            @Param("r") NewReading reading,
            @Param("key") NewKey key,
            @Param("person") String person);

    @Select("""
            select number, kind, note, look, happened_at, station, withdrawn_at
            from mishap where trial_id = #{id} order by number""")
    List<Rows.MishapRow> mishaps(TrialId id);

    @Select("select mishap, unit_code from mishap_unit where trial_id = #{id} order by mishap, unit_code")
    List<Rows.MishapUnitRow> mishapUnits(TrialId id);

    /** The mishap that was written with a token, of whichever trial. */
    @Select("select trial_id, number from mishap where entry_token = #{token}")
    Optional<Noted> noted(UUID token);

    /** Which mishap a token belongs to. */
    record Noted(TrialId trialId, int number) {}

    @Select("select coalesce(max(number), 0) from mishap where trial_id = #{id}")
    int lastMishap(TrialId id);

    @Insert("""
            insert into mishap (trial_id, number, kind, note, look, happened_at, station, withdrawn_at, entry_token)
            values (#{trial}, #{m.number}, #{m.kind}, #{m.note}, #{m.look}, #{m.happenedAt}, #{m.station},
                #{m.withdrawnAt}, #{token})""")
    void insertMishap(@Param("trial") TrialId trial, @Param("m") Mishap mishap, @Param("token") UUID token);

    @Insert("insert into mishap_unit (trial_id, mishap, unit_code) values (#{trial}, #{mishap}, #{unit})")
    void insertMishapUnit(@Param("trial") TrialId trial, @Param("mishap") int mishap, @Param("unit") UnitCode unit);

    @Select("select number, turned_at, station from turn where trial_id = #{id} order by number")
    List<Rows.TurnRow> turns(TrialId id);

    @Insert("""
            merge into turn (trial_id, number, turned_at, station) key (trial_id, number)
            values (#{trial}, #{t.number}, #{t.at}, #{t.station})""")
    void turn(@Param("trial") TrialId trial, @Param("t") Turn turn);

    @Select(
            "select look, endpoint, reason, skipped_at, station from skip where trial_id = #{id} order by look, endpoint")
    List<Rows.SkipRow> skips(TrialId id);

    @Insert("""
            merge into skip (trial_id, look, endpoint, reason, skipped_at, station) key (trial_id, look, endpoint)
            values (#{trial}, #{s.look}, #{s.endpoint}, #{s.reason}, #{s.at}, #{s.station})""")
    void skip(@Param("trial") TrialId trial, @Param("s") Skip skip);

    @Delete("delete from skip where trial_id = #{trial} and look = #{look} and endpoint = #{endpoint}")
    int unskip(@Param("trial") TrialId trial, @Param("look") int look, @Param("endpoint") EndpointCode endpoint);

    @Delete("delete from turn where trial_id = #{trial} and number = #{number}")
    int unturn(@Param("trial") TrialId trial, @Param("number") int number);

    @Select("""
            select unit_code, look, endpoint, station, score, scored_at from second_score
            where trial_id = #{id} order by scored_at, unit_code""")
    List<Rows.SecondScoreRow> scoredAgain(TrialId id);

    @Insert("""
            merge into second_score (trial_id, unit_code, look, endpoint, station, score, scored_at)
            key (trial_id, unit_code, look, endpoint, station)
            values (#{trial}, #{s.unit}, #{s.look}, #{s.endpoint}, #{s.station}, #{s.value}, #{s.at})""")
    void scoreAgain(@Param("trial") TrialId trial, @Param("s") SecondScore score);

    @Select(
            "select number, kind, what, happened_at, station, withdrawn_at from given where trial_id = #{id} order by number")
    List<Rows.GivenRow> given(TrialId id);

    @Select("select given, unit_code, millilitres from given_unit where trial_id = #{id} order by given, unit_code")
    List<Rows.GivenUnitRow> givenUnits(TrialId id);

    /** The entry of water or feed that was written with a token, of whichever trial. */
    @Select("select trial_id, number from given where entry_token = #{token}")
    Optional<Noted> gave(UUID token);

    @Select("select coalesce(max(number), 0) from given where trial_id = #{id}")
    int lastGiven(TrialId id);

    @Insert("""
            insert into given (trial_id, number, kind, what, happened_at, station, withdrawn_at, entry_token)
            values (#{trial}, #{g.number}, #{g.kind}, #{g.what}, #{g.happenedAt}, #{g.station}, #{g.withdrawnAt},
                #{token})""")
    void insertGiven(@Param("trial") TrialId trial, @Param("g") Given given, @Param("token") UUID token);

    @Insert(
            "insert into given_unit (trial_id, given, unit_code, millilitres) values (#{trial}, #{given}, #{unit}, #{ml})")
    void insertGivenUnit(
            @Param("trial") TrialId trial,
            @Param("given") int given,
            @Param("unit") UnitCode unit,
            @Param("ml") double millilitres);

    @Update("""
            update given set withdrawn_at = #{now}
            where trial_id = #{trial} and number = #{number} and withdrawn_at is null""")
    int withdrawGiven(@Param("trial") TrialId trial, @Param("number") int number, @Param("now") Instant now);

    @Update("""
            update mishap set withdrawn_at = #{now}
            where trial_id = #{trial} and number = #{number} and withdrawn_at is null""")
    int withdraw(@Param("trial") TrialId trial, @Param("number") int number, @Param("now") Instant now);
}
