package elsom.web.practice;

import elsom.core.practice.Call;
import elsom.core.practice.Judged;
import elsom.core.practice.Level;
import elsom.core.practice.Setting;
import elsom.core.practice.Truth;
import elsom.core.trial.TrialId;
import java.util.Optional;

/**
 * A practice bench of this store.
 *
 * @param best how many of the best are measured of each treatment but the first; 0 for all
 * @param called empty until something was called
 */
record Practice(TrialId trial, Level level, Setting setting, long seed, int best, Optional<Called> called) {
    /**
     * What was called, once.
     *
     * @param toldInReruns in what share of its reruns the plan told what is true
     */
    record Called(Call call, double confidence, double toldInReruns) {}

    Truth truth() {
        return level.truth(setting, seed);
    }

    Optional<Judged> judged() {
        return called.map(one -> new Judged(one.call(), truth().right(), one.confidence()));
    }

    /** How the call was. */
    Optional<Judged.Kind> kind() {
        return called.flatMap(one -> judged().map(judged -> judged.kind(one.toldInReruns())));
    }
}
