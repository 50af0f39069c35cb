package elsom.web.tasting;

import elsom.core.panel.Tasting;
import elsom.core.trial.TrialId;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

/** Tastings and what was answered. */
@Mapper
interface TastingMapper {
    /** A tasting as it is stored; samples a line each. */
    record Row(
            TrialId trialId,
            int number,
            Tasting.Kind kind,
            String samples,
            int tasters,
            long seed,
            UUID token,
            Instant begunAt,
            String station,
            @Nullable Instant revealedAt) {
        Tasting tasting() {
            return new Tasting(kind, List.of(samples.split("\n")), tasters, seed);
        }

        /** The same of another trial. */
        Row of(TrialId other) {
            return new Row(other, number, kind, samples, tasters, seed, token, begunAt, station, revealedAt);
        }
    }

    /** An answer about the plate on a place from 0. */
    record AnswerRow(int taster, int place, double answer) {}

    @Insert("""
            insert into tasting (trial_id, number, kind, samples, tasters, seed, token, begun_at, station)
            values (#{trialId}, #{number}, #{kind}, #{samples}, #{tasters}, #{seed}, #{token}, #{begunAt}, #{station})""")
    void insert(Row row);

    @Select("select * from tasting where trial_id = #{trial} order by number desc")
    List<Row> of(TrialId trial);

    @Select("select * from tasting where trial_id = #{trial} and number = #{number}")
    Optional<Row> find(@Param("trial") TrialId trial, @Param("number") int number);

    @Select("select * from tasting where token = #{token}")
    Optional<Row> begun(UUID token);

    @Select("""
            select taster, place, answer from tasting_answer
            where trial_id = #{trial} and number = #{number} order by taster, answered_at, place""")
    List<AnswerRow> answers(@Param("trial") TrialId trial, @Param("number") int number);

    @Insert("""
            merge into tasting_answer (trial_id, number, taster, place, answer, answered_at)
            key (trial_id, number, taster, place)
            values (#{trial}, #{number}, #{taster}, #{place}, #{answer}, #{at})""")
    void answer(
            @Param("trial") TrialId trial,
            @Param("number") int number,
            @Param("taster") int taster,
            @Param("place") int place,
            @Param("answer") double answer,
            @Param("at") Instant at);

    @Delete("""
            delete from tasting_answer
            where trial_id = #{trial} and number = #{number} and taster = #{taster} and place = #{place}""")
    void takeBack(
            @Param("trial") TrialId trial,
            @Param("number") int number,
            @Param("taster") int taster,
            @Param("place") int place);

    @Update("""
            update tasting set revealed_at = #{at}
            where trial_id = #{trial} and number = #{number} and revealed_at is null""")
    void reveal(@Param("trial") TrialId trial, @Param("number") int number, @Param("at") Instant at);
}
