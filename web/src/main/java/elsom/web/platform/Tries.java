package elsom.web.platform;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import io.github.bucket4j.Bucket;
import io.github.bucket4j.ConsumptionProbe;
import java.time.Duration;
import java.util.Locale;
import java.util.Optional;

/** How often something may be tried or sent within a time, by whoever does it. */
public final class Tries {
    private static final int WATCHED = 20_000;

    private final int most;
    private final Duration within;
    private final Cache<String, Bucket> buckets;

    /** As many as that at once, and the same again spread over a time. */
    public Tries(int most, Duration within) {
        this.most = most;
        this.within = within;
        this.buckets = Caffeine.newBuilder()
                .maximumSize(WATCHED)
                .expireAfterAccess(within.multipliedBy(2))
                .build();
    }

    /** Counts one; says how long to wait where there were too many. */
    public Optional<Duration> count(String who) {
        ConsumptionProbe probe = bucket(who).tryConsumeAndReturnRemaining(1);
        return probe.isConsumed() ? Optional.empty() : Optional.of(Duration.ofNanos(probe.getNanosToWaitForRefill()));
    }

    /** How long to wait before another is counted; empty when one may be tried now. */
    public Optional<Duration> wait(String who) {
        long nanos = bucket(who).estimateAbilityToConsume(1).getNanosToWaitForRefill();
        return nanos == 0 ? Optional.empty() : Optional.of(Duration.ofNanos(nanos));
    }

    /** Forgets what was counted, after one that was right. */
    public void forget(String who) {
        buckets.invalidate(key(who));
    }

    private Bucket bucket(String who) {
        return buckets.get(
                key(who),
                unused -> Bucket.builder()
                        .addLimit(limit -> limit.capacity(most).refillGreedy(most, within))
                        .build());
    }

    private static String key(String who) {
        return who.toLowerCase(Locale.ROOT);
    }
}
