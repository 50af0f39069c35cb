package elsom.web.people;

import elsom.core.trial.TrialId;
import elsom.web.platform.Acting;
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
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Links by which somebody without an account reads a trial's report, until they end or are withdrawn. */
@Component
class SharedLinks {
    private final Links links;
    private final Clock clock;

    SharedLinks(Links links, Clock clock) {
        this.links = links;
        this.clock = clock;
    }

    /** A link without itself. */
    record Link(long id, String madeBy, Instant madeAt, Instant endsAt) {}

    /** Links as they are stored. */
    @Mapper
    interface Links {
        @Insert("""
                insert into shared_link (digest, trial_id, made_by, made_at, ends_at)
                values (#{digest}, #{trial}, #{by}, #{at}, #{ends})""")
        void insert(
                @Param("digest") String digest,
                @Param("trial") TrialId trial,
                @Param("by") String by,
                @Param("at") Instant at,
                @Param("ends") Instant ends);

        @Select("""
                select trial_id from shared_link
                where digest = #{digest} and withdrawn_at is null and ends_at > #{now}""")
        Optional<TrialId> of(@Param("digest") String digest, @Param("now") Instant now);

        @Select("""
                select id, made_by, made_at, ends_at from shared_link
                where trial_id = #{trial} and withdrawn_at is null and ends_at > #{now} order by made_at desc""")
        List<Link> standing(@Param("trial") TrialId trial, @Param("now") Instant now);

        @Update("""
                update shared_link set withdrawn_at = #{at}
                where trial_id = #{trial} and id = #{id} and withdrawn_at is null""")
        int withdraw(@Param("trial") TrialId trial, @Param("id") long id, @Param("at") Instant at);
    }

    /**
     * Makes one.
     *
     * @return what is in the link, which can't be had again
     */
    @Transactional
    public String make(TrialId trial, Duration lasts) {
        String token = Tokens.fresh();
        Instant now = clock.instant();
        links.insert(Tokens.digest(token), trial, Acting.person(), now, now.plus(lasts));
        return token;
    }

    /**
     * Which trial a link shows.
     *
     * @throws NotFound when it is over, withdrawn, or never was
     */
    @Transactional(readOnly = true)
    public TrialId trial(String token) {
        return links.of(Tokens.digest(token), clock.instant())
                .orElseThrow(() -> new NotFound(
                        "This link is over or was withdrawn. Ask whoever sent it for another.", "/sign-in", "Sign in"));
    }

    @Transactional(readOnly = true)
    public List<Link> standing(TrialId trial) {
        return links.standing(trial, clock.instant());
    }

    @Transactional
    public void withdraw(TrialId trial, long link) {
        if (links.withdraw(trial, link, clock.instant()) == 0) {
            throw new NotFound("That link was withdrawn already.", "/trials/" + trial + "/share", "To its links");
        }
    }
}
