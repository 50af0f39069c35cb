package elsom.core.protocol.seedling;

import static org.assertj.core.api.Assertions.assertThat;

import elsom.core.diagnosis.Cause;
import elsom.core.diagnosis.Diagnosis;
import elsom.core.results.Findings;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/**
 * Two dozen lots and one, as peas and barley show them: seventeen with a cause that is on the list, eight with none or with signs that
 * contradict each other. None of those that harm is called clear, none is named as what it is not.
 */
class TwentyFourLotsTest {
    /** What peas and barley show in the lot, with EC and pH of what drains from it. */
    private record Lot(Optional<Cause> cause, String pea, String barley, double ec, double ph) {
        static Lot of(Cause cause, String pea, String barley, double ec, double ph) {
            return new Lot(Optional.of(cause), pea, barley, ec, ph);
        }

        static Lot outside(String pea, String barley, double ec, double ph) {
            return new Lot(Optional.empty(), pea, barley, ec, ph);
        }

        Findings found() {
            return ABioassay.of(ABioassay.SEEDLINGS, ABioassay.LOT)
                    .scored((treatment, days, replicate) -> !treatment.contains("GW-32")
                            ? String.valueOf(replicate % 2)
                            : treatment.contains("pea") ? pea : barley)
                    .read("ec", treatment -> treatment.contains("GW-32") ? ec : 1)
                    .read("ph", treatment -> treatment.contains("GW-32") ? ph : 6.3)
                    .found();
        }
    }

    private static final List<Lot> KNOWN = List.of(
            Lot.of(Cause.AUXIN, "7 cupped, twisted", "0", 1.2, 6.4),
            Lot.of(Cause.AUXIN, "5 cupped, twisted, strap, stunted", "0", 1.8, 7),
            Lot.of(Cause.CONTACT, "8 bleached", "6 bleached", 1.1, 6.5),
            Lot.of(Cause.CONTACT, "7 bleached, burnt", "5 bleached", 1.5, 6.8),
            Lot.of(Cause.ROOT, "7 stunted, stubby roots", "7 stunted, stubby roots", 1.2, 6.4),
            Lot.of(Cause.ROOT, "8 stunted, stubby roots, swollen", "6 stunted, stubby roots", 1.4, 6.6),
            Lot.of(Cause.SALTS, "7 burnt, stunted", "5 burnt, stunted", 4, 6.6),
            Lot.of(Cause.SALTS, "6 burnt, stunted, wilted", "0", 3.2, 6.9),
            Lot.of(Cause.AMMONIA, "8 missing, mould, brown roots, burnt", "6 brown roots, mould", 2.6, 8),
            Lot.of(Cause.AMMONIA, "7 mould, brown roots, stunted, burnt", "6 mould, burnt", 2.2, 7.9),
            Lot.of(Cause.LOW_PH, "5 purple, stunted", "4 purple, stunted", 1, 4.2),
            Lot.of(Cause.LOW_PH, "4 purple", "0", 1.3, 4.4),
            Lot.of(Cause.HIGH_PH, "5 veins", "4 veins", 1, 8.4),
            Lot.of(Cause.HIGH_PH, "4 veins, stunted", "0", 1.4, 8.2),
            Lot.of(Cause.DAMPING_OFF, "9 collapsed, missing", "0", 1.1, 6.4),
            Lot.of(Cause.EATEN, "6 chewed", "5 chewed", 1.1, 6.4),
            Lot.of(Cause.WATERLOGGED, "6 yellow, wilted, brown roots, algae", "4 yellow, brown roots, algae", 1, 6.3));

    private static final List<Lot> OUTSIDE = List.of(
            Lot.outside("5 yellow, stunted", "5 yellow, stunted", 1.2, 5.6),
            Lot.outside("5 veins, collapsed, swollen", "4 burnt, algae", 1.1, 6.4),
            Lot.outside("0", "6 cupped, twisted", 1.1, 6.4),
            Lot.outside("6 cupped, bleached, stubby roots", "0", 1.2, 6.5),
            Lot.outside("4 leggy, algae", "4 leggy", 1, 6.4),
            Lot.outside("5 purple, veins", "4 purple", 1.1, 6.5),
            Lot.outside("6", "6", 1.2, 6.4),
            Lot.outside("5 chewed, purple, leggy", "0", 1, 6.6));

    private static Optional<Cause> named(Findings found) {
        return found.sections(BioassayResult.class)
                .get(0)
                .diagnosis()
                .flatMap(Diagnosis::named)
                .filter(cause -> cause != Cause.OTHER && cause != Cause.NONE);
    }

    private static boolean clear(Findings found) {
        return found.answers().get(0).verdict().sentence().contains("Nothing here points");
    }

    @Test
    void noneIsCalledClearAndNoneIsFalselyNamed() {
        List<String> wrong = new ArrayList<>();
        int right = 0;
        for (Lot lot : KNOWN) {
            Findings found = lot.found();
            Optional<Cause> named = named(found);
            right += named.equals(lot.cause()) ? 1 : 0;
            if (clear(found) || (named.isPresent() && !named.equals(lot.cause()))) {
                wrong.add(lot + " named " + named);
            }
        }
        for (Lot lot : OUTSIDE) {
            Findings found = lot.found();
            if (clear(found) || named(found).isPresent()) {
                wrong.add(lot + " named " + named(found));
            }
        }
        assertThat(wrong).isEmpty();
        assertThat(right).isGreaterThanOrEqualTo(15);
    }
}
