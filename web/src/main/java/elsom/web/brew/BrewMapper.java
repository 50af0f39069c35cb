package elsom.web.brew;

import elsom.core.brew.BrewReading;
import elsom.core.brew.Smell;
import elsom.core.trial.TrialId;
import elsom.core.trial.UnitCode;
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

/** Recipes, visits to brews, and what laboratories call their columns. */
@Mapper
interface BrewMapper {
    /** A visit as it is stored. */
    record Row(
            TrialId trialId,
            int number,
            UnitCode unitCode,
            Instant atTime,
            String station,
            @Nullable Double temperature,
            @Nullable Double oxygen,
            @Nullable Double ph,
            @Nullable Double ec,
            @Nullable Double foam,
            @Nullable Smell smell,
            BrewReading.@Nullable Decision decision,
            String reason) {
        BrewReading reading() {
            return new BrewReading(
                    number, unitCode, atTime, station, temperature, oxygen, ph, ec, foam, smell, decision, reason);
        }
    }

    /** What a laboratory calls something. */
    record ColumnRow(String header, String what) {}

    @Select("select recipe from brew_recipe where trial_id = #{trial}")
    Optional<String> recipe(TrialId trial);

    @Insert("merge into brew_recipe (trial_id, recipe) key (trial_id) values (#{trial}, #{recipe})")
    void keepRecipe(@Param("trial") TrialId trial, @Param("recipe") String recipe);

    String COLUMNS = """
            select trial_id, number, unit_code, at_time, station, temperature, oxygen, ph, ec, foam, smell, decision, reason
            from brew_log\s""";

    @Select(COLUMNS + "where trial_id = #{trial} order by at_time, number")
    List<Row> log(TrialId trial);

    @Select(COLUMNS + "where token = #{token}")
    Optional<Row> noted(UUID token);

    @Insert("""
            insert into brew_log (trial_id, number, unit_code, at_time, station, temperature, oxygen, ph, ec, foam, smell,
                decision, reason, token)
            values (#{trial}, #{r.number}, #{r.unit}, #{r.at}, #{r.station}, #{r.temperature}, #{r.oxygen}, #{r.ph},
                #{r.ec}, #{r.foam}, #{r.smell}, #{r.decision}, #{r.reason}, #{token})""")
    void insert(@Param("trial") TrialId trial, @Param("r") BrewReading reading, @Param("token") UUID token);

    @Update("""
            update brew_log set decision = #{decision}, reason = #{reason}
            where trial_id = #{trial} and number = #{number}""")
    void decide(
            @Param("trial") TrialId trial,
            @Param("number") int number,
            @Param("decision") BrewReading.Decision decision,
            @Param("reason") String reason);

    /** Brews that were done since a time, the first to run out first. */
    @Select(COLUMNS + "where decision = 'DONE' and at_time >= #{since} order by at_time")
    List<Row> done(Instant since);

    @Select("select header, what from brew_column")
    List<ColumnRow> columns();

    @Insert("merge into brew_column (header, what) key (header) values (#{header}, #{what})")
    void keepColumn(ColumnRow column);
}
