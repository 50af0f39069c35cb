package elsom.core.practice;

import elsom.core.plan.Direction;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.ProtocolCode;
import java.util.List;

/**
 * What somebody is told before a level.
 *
 * @param number 1 to 10; 0 for free play
 * @param code in addresses
 * @param story how it stands, in a few sentences
 * @param lesson what the level is about, told after the call
 */
public record Brief(
        int number,
        String code,
        String name,
        String story,
        String question,
        String crop,
        ProtocolCode protocol,
        Measured measured,
        List<Option> options,
        Budget budget,
        String lesson) {
    /**
     * By what the level is decided.
     *
     * @param matters the smallest difference that matters, in percent of the comparator or in the endpoint's unit
     * @param decimals of a reading
     */
    public record Measured(EndpointCode endpoint, Direction better, double matters, boolean inPercent, int decimals) {}

    /** Something that may be said, as a sentence. */
    public record Option(Call call, String words) {}

    /**
     * What there is to spend.
     *
     * @param places on the bench
     */
    public record Budget(int places, double hours, double money) {}

    public Brief {
        options = List.copyOf(options);
    }

    /** The words of what was called. */
    public String words(Call call) {
        return options.stream()
                .filter(option -> option.call() == call)
                .findFirst()
                .map(Option::words)
                .orElse(call.name());
    }
}
