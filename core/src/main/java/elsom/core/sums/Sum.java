package elsom.core.sums;

import elsom.core.read.Known;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A sum.
 *
 * @param code in addresses, and the family of {@code bin/calc}
 * @param asks the sentence whose blanks are the fields
 * @param source where its formula comes from
 * @param work the sum itself; it may refuse a field, and is not called while one is refused
 */
public record Sum(String code, String title, String asks, String source, List<SumField> fields, Work work) {
    /** Works a sum out; empty when it refused a field. */
    @FunctionalInterface
    public interface Work {
        Optional<SumAnswer> of(SumValues values);
    }

    /** What was written, with its problems, and the answer unless there are any. */
    public record Worked(SumValues values, Optional<SumAnswer> answer) {}

    public Sum {
        fields = List.copyOf(fields);
    }

    /** The sum of what was typed. */
    public Worked worked(Map<String, String> typed) {
        return worked(typed, Known.on(LocalDate.EPOCH));
    }

    /** The sum of what somebody typed of whom more is known. */
    public Worked worked(Map<String, String> typed, Known known) {
        SumValues values = SumValues.read(fields, typed, known);
        return new Worked(
                values,
                values.problems().isEmpty()
                        ? work.of(values).map(answer -> AsTyped.of(answer, values.amounts(), known))
                        : Optional.empty());
    }
}
