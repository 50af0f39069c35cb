package elsom.web.bench;

import elsom.web.platform.Station;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Readings that scripts sent and that found no place: listed until they are taken, or somebody clears the list. */
@Component
public class NotTaken {
    private static final int MOST = 500;
    private static final int LONGEST_PLACE = 200;
    private static final int LONGEST_VALUE = 120;
    private static final int LONGEST_TIME = 40;
    private static final int LONGEST_WHY = 400;

    private final Rows rows;
    private final Clock clock;

    NotTaken(Rows rows, Clock clock) {
        this.rows = rows;
        this.clock = clock;
    }

    /**
     * One that was not taken.
     *
     * @param place what it is of, as it was sent: "trial 2, W76, look 6, wet-mass"
     * @param takenAt when the script says that it was measured; empty where it does not
     */
    record Row(Instant sentAt, String station, String place, String typed, String takenAt, String why) {}

    /** The list as it is stored. */
    @Mapper
    interface Rows {
        @Insert("""
                insert into not_taken (sent_at, station, place, typed, taken_at, why)
                values (#{sentAt}, #{station}, #{place}, #{typed}, #{takenAt}, #{why})""")
        void insert(Row row);

        @Select("select sent_at, station, place, typed, taken_at, why from not_taken order by id desc")
        List<Row> all();

        @Delete("delete from not_taken where place = #{place}")
        void remove(String place);

        @Delete("delete from not_taken where id <= (select max(id) from not_taken) - #{most}")
        void onlyTheNewest(int most);

        @Delete("delete from not_taken")
        void clear();

        @Select("select count(*) from not_taken")
        int count();
    }

    public int count() {
        return rows.count();
    }

    List<Row> all() {
        return rows.all();
    }

    /** What became of one that was sent: the newest word on its place stands. */
    @Transactional
    void told(ScriptReadings.Sent sent, ScriptReadings.Answer answer, Station station) {
        String place = place(sent);
        rows.remove(place);
        if (!answer.taken()) {
            rows.insert(new Row(
                    clock.instant(),
                    station.signature(),
                    place,
                    clipped(sent.value() == null ? "" : sent.value(), LONGEST_VALUE),
                    clipped(sent.takenAt() == null ? "" : sent.takenAt(), LONGEST_TIME),
                    clipped(answer.message(), LONGEST_WHY)));
            rows.onlyTheNewest(MOST);
        }
    }

    void clear() {
        rows.clear();
    }

    private static String place(ScriptReadings.Sent sent) {
        return clipped(
                "trial " + known(sent.trial()) + ", " + known(sent.unit()) + ", look " + known(sent.look()) + ", "
                        + known(sent.endpoint()) + (sent.sub() == null ? "" : " " + sent.sub()),
                LONGEST_PLACE);
    }

    private static String known(@Nullable Object part) {
        return part == null ? "?" : part.toString();
    }

    private static String clipped(String text, int longest) {
        return text.length() <= longest ? text : text.substring(0, longest);
    }
}
