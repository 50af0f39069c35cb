package elsom.core.stats;

import java.util.Optional;
import java.util.function.Function;

/** A result, or why the data can't give one. */
public sealed interface Outcome<T> {
    /** A result the data support. */
    record Found<T>(T value) implements Outcome<T> {}

    /** No result, with the reason in plain words, as a whole sentence without its full stop. */
    record NotEstimable<T>(String reason) implements Outcome<T> {}

    static <T> Outcome<T> found(T value) {
        return new Found<>(value);
    }

    static <T> Outcome<T> notEstimable(String reason) {
        return new NotEstimable<>(reason);
    }

    default Optional<T> asOptional() {
        return this instanceof Found<T> found ? Optional.of(found.value()) : Optional.empty();
    }

    /** The reason there is no result; empty when there is one. */
    default Optional<String> whyNot() {
        return this instanceof NotEstimable<T> none ? Optional.of(none.reason()) : Optional.empty();
    }

    /** The result; what the reason makes is thrown where there is none. */
    default T orElseThrow(Function<String, RuntimeException> why) {
        return asOptional().orElseThrow(() -> why.apply(whyNot().orElseThrow()));
    }

    default <R> Outcome<R> then(Function<T, Outcome<R>> next) {
        return asOptional().map(next).orElseGet(() -> notEstimable(whyNot().orElseThrow()));
    }
}
