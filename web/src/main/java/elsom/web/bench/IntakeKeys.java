package elsom.web.bench;

import elsom.web.platform.NotFound;
import elsom.web.platform.Tokens;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Keys by which scripts send readings: shown once, kept as a digest, good until their end or until they are withdrawn. */
@Component
class IntakeKeys {
    private final Keys keys;
    private final Clock clock;

    IntakeKeys(Keys keys, Clock clock) {
        this.keys = keys;
        this.clock = clock;
    }

    /**
     * A key without itself.
     *
     * @param trialId the only trial it writes to; null for any
     * @param endsAt null for one of before keys had an end
     */
    record Key(
            long id,
            String station,
            @Nullable Long trialId,
            Instant madeAt,
            @Nullable Instant usedAt,
            @Nullable Instant endsAt) {
        boolean fits(@Nullable Long trial) {
            return trialId == null || trialId.equals(trial);
        }
    }

    /** Keys as they are stored. */
    @Mapper
    interface Keys {
        @Insert("""
                insert into intake_key (station, trial_id, digest, made_at, ends_at)
                values (#{station}, #{trial, jdbcType=BIGINT}, #{digest}, #{at}, #{ends})""")
        void insert(
                @Param("station") String station,
                @Param("trial") @Nullable Long trial,
                @Param("digest") String digest,
                @Param("at") Instant at,
                @Param("ends") Instant ends);

        @Select("""
                select id, station, trial_id, made_at, used_at, ends_at from intake_key
                where withdrawn_at is null and (ends_at is null or ends_at > #{now}) order by made_at desc, id desc""")
        List<Key> standing(Instant now);

        @Select("""
                select id, station, trial_id, made_at, used_at, ends_at from intake_key
                where digest = #{digest} and withdrawn_at is null and (ends_at is null or ends_at > #{now})""")
        Optional<Key> of(@Param("digest") String digest, @Param("now") Instant now);

        @Update("update intake_key set used_at = #{at} where id = #{id}")
        void used(@Param("id") long id, @Param("at") Instant at);

        @Update("update intake_key set withdrawn_at = #{at} where id = #{id} and withdrawn_at is null")
        int withdraw(@Param("id") long id, @Param("at") Instant at);
    }

    /**
     * Makes one.
     *
     * @param station what its readings are signed with
     * @param trial the only trial it may write to; null for any
     * @param lasts how long it is good
     * @return the key, which can't be had again
     */
    @Transactional
    String make(String station, @Nullable Long trial, Duration lasts) {
        String key = Tokens.fresh();
        Instant now = clock.instant();
        keys.insert(station, trial, Tokens.digest(key), now, now.plus(lasts));
        return key;
    }

    @Transactional(readOnly = true)
    List<Key> standing() {
        return keys.standing(clock.instant());
    }

    /** Whose key that is; empty for one that was never made, is withdrawn, or is over. */
    @Transactional
    Optional<Key> of(String key) {
        Optional<Key> found = keys.of(Tokens.digest(key), clock.instant());
        found.ifPresent(one -> keys.used(one.id(), clock.instant()));
        return found;
    }

    @Transactional
    void withdraw(long id) {
        if (keys.withdraw(id, clock.instant()) == 0) {
            throw new NotFound("There is no such key.", "/intake", "To the keys");
        }
    }
}
