package elsom.web.bench;

import elsom.web.platform.NotFound;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.util.Base64;
import java.util.HexFormat;
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

/** Keys by which scripts send readings: shown once, kept as a digest, good until they are withdrawn. */
@Component
class IntakeKeys {
    private static final int BYTES = 24;

    private final Keys keys;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    IntakeKeys(Keys keys, Clock clock) {
        this.keys = keys;
        this.clock = clock;
    }

    /** A key without itself. */
    record Key(
            long id,
            String station,
            Instant madeAt,
            @Nullable Instant usedAt,
            @Nullable Instant withdrawnAt) {}

    /** Keys as they are stored. */
    @Mapper
    interface Keys {
        @Insert("insert into intake_key (station, digest, made_at) values (#{station}, #{digest}, #{at})")
        void insert(@Param("station") String station, @Param("digest") String digest, @Param("at") Instant at);

        @Select("""
                select id, station, made_at, used_at, withdrawn_at from intake_key
                where withdrawn_at is null order by made_at desc, id desc""")
        List<Key> standing();

        @Select("""
                select id, station, made_at, used_at, withdrawn_at from intake_key
                where digest = #{digest} and withdrawn_at is null""")
        Optional<Key> of(String digest);

        @Update("update intake_key set used_at = #{at} where id = #{id}")
        void used(@Param("id") long id, @Param("at") Instant at);

        @Update("update intake_key set withdrawn_at = #{at} where id = #{id} and withdrawn_at is null")
        int withdraw(@Param("id") long id, @Param("at") Instant at);
    }

    /**
     * Makes one.
     *
     * @param station what its readings are signed with
     * @return the key, which can't be had again
     */
    @Transactional
    String make(String station) {
        byte[] bytes = new byte[BYTES];
        random.nextBytes(bytes);
        String key = Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
        keys.insert(station, digest(key), clock.instant());
        return key;
    }

    @Transactional(readOnly = true)
    List<Key> standing() {
        return keys.standing();
    }

    /** Whose key that is; empty for one that was never made, or is withdrawn. */
    @Transactional
    Optional<Key> of(String key) {
        Optional<Key> found = keys.of(digest(key));
        found.ifPresent(one -> keys.used(one.id(), clock.instant()));
        return found;
    }

    @Transactional
    void withdraw(long id) {
        if (keys.withdraw(id, clock.instant()) == 0) {
            throw new NotFound("There is no such key.", "/intake", "To the keys");
        }
    }

    private static String digest(String key) {
        try {
            return HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(key.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException everyJavaHasIt) {
            throw new IllegalStateException(everyJavaHasIt);
        }
    }
}
