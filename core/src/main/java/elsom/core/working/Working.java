package elsom.core.working;

import java.util.List;

/**
 * How a figure was worked out.
 *
 * @param title what the figure is, of what: "water held after draining, K34"
 * @param formula the formula in words
 * @param terms the numbers put in, in the order of the formula
 * @param steps the sum with its numbers, a line each, as it would be done on paper
 * @param source where the method comes from
 * @param remarks what a careful reader should know: what was assumed, left out, or used instead
 */
public record Working(
        String title, String formula, List<Term> terms, List<String> steps, Source source, List<String> remarks) {
    public Working {
        terms = List.copyOf(terms);
        steps = List.copyOf(steps);
        remarks = List.copyOf(remarks);
    }

    public Working with(String remark) {
        return new Working(
                title,
                formula,
                terms,
                steps,
                source,
                java.util.stream.Stream.concat(remarks.stream(), java.util.stream.Stream.of(remark))
                        .toList());
    }
}
