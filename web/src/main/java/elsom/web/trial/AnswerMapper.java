package elsom.web.trial;

import elsom.core.trial.TrialId;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** First answers as they are kept for lists. */
@Mapper
interface AnswerMapper {
    /** An answer as it is stored; without words where there is none yet. */
    record Row(TrialId trialId, String basis, String firmness, String words) {}

    @Select("""
            <script>select trial_id, basis, firmness, words from answer_line where trial_id in
            <foreach item="t" collection="trials" open="(" separator="," close=")">#{t}</foreach></script>""")
    List<Row> of(@Param("trials") List<TrialId> trials);

    /** A trial at a revision. */
    record Revised(TrialId id, long revision) {}

    @Select("""
            <script>select id, revision from trial where id in
            <foreach item="t" collection="trials" open="(" separator="," close=")">#{t}</foreach></script>""")
    List<Revised> revisions(@Param("trials") List<TrialId> trials);

    @Delete("delete from answer_line where trial_id = #{id}")
    void drop(TrialId id);

    @Insert("""
            insert into answer_line (trial_id, basis, firmness, words)
            values (#{trialId}, #{basis}, #{firmness}, #{words})""")
    void insert(Row row);
}
