package elsom.core.trial;

import elsom.core.analysis.EndpointKind;
import elsom.core.analysis.Value;
import elsom.core.quantity.Dimension;
import elsom.core.quantity.Quantity;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Typed;
import elsom.core.seedling.InjuryScore;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * What one observation of an endpoint is: how it is read, checked, averaged, judged and shown. Each form answers each of
 * these itself, so that a new one can't be left out of any.
 */
enum ReadingForm {
    /** A number with a unit; several of a unit are averaged before statistics see them. */
    NUMBER {
        @Override
        Typed typed(String text, Endpoint endpoint) {
            if (endpoint.takesSymptoms() && text.strip().length() <= Reading.LONGEST_TEXT) {
                Optional<InjuryScore> score = InjuryScore.typed(text);
                if (score.isPresent()) {
                    return score.get().unknown().isPresent()
                            ? new Typed.Refused(
                                    text,
                                    "“" + score.get().unknown().get() + "” is no symptom known here",
                                    "7 cupped, twisted")
                            : withWords(number(score.get().number(), text, endpoint), text);
                }
            }
            return number(text, text, endpoint);
        }

        @Override
        EndpointKind judged(UnitOfMeasure unit) {
            return switch (unit.dimension()) {
                case SCORE -> EndpointKind.SCORE;
                case TIME -> EndpointKind.TIME;
                default -> EndpointKind.MEASURED;
            };
        }
    },
    /** A place among the units it is put in order with, 1 the best. */
    PLACE {
        @Override
        Typed typed(String text, Endpoint endpoint) {
            return number(text, text, endpoint);
        }

        @Override
        Optional<String> problem(TrialRecord record, ReadingRef ref, double place) {
            return PlaceOrder.problem(record, ref, place);
        }

        @Override
        Optional<String> shared(TrialRecord record, ReadingRef ref, double place) {
            return PlaceOrder.shared(record, ref, place);
        }

        @Override
        EndpointKind judged(UnitOfMeasure unit) {
            return EndpointKind.SCORE;
        }
    },
    /** Words as they were typed: the value says only that there are some. */
    WORDS {
        @Override
        Typed typed(String text, Endpoint endpoint) {
            Quantity some = new Quantity(1, UnitOfMeasure.COUNT);
            return text.isBlank() || text.strip().length() > Reading.LONGEST_TEXT
                    ? new Typed.Refused(
                            text,
                            endpoint.name() + " is written in words, at most " + Reading.LONGEST_TEXT + " characters",
                            "root tips brown")
                    : new Typed.Understood(text, some, some);
        }

        @Override
        EndpointKind judged(UnitOfMeasure unit) {
            return EndpointKind.MEASURED;
        }
    },
    /** So many of a known number. */
    COUNT {
        @Override
        Typed typed(String text, Endpoint endpoint) {
            return CountedOf.TYPED.matcher(text.strip()).matches()
                    ? CountedOf.checked(text, endpoint)
                    : number(text, text, endpoint);
        }

        @Override
        Optional<Value> seen(List<Reading> readings, Endpoint endpoint) {
            return CountedOf.read(readings.get(0), endpoint).map(count -> new Value.CountOf(count.k(), count.n()));
        }

        @Override
        EndpointKind judged(UnitOfMeasure unit) {
            return EndpointKind.COUNT_OF;
        }

        @Override
        int among(Endpoint endpoint) {
            return endpoint.size();
        }

        @Override
        double resolution(Endpoint endpoint) {
            return 1;
        }

        @Override
        String example(Endpoint endpoint) {
            return Math.min(7, endpoint.size()) + ", or “" + Math.max(0, endpoint.size() - 2) + " of "
                    + Math.max(1, endpoint.size() - 1) + "” when some are gone";
        }
    };

    /** What was typed, in the endpoint's unit, or why it can't be. */
    abstract Typed typed(String text, Endpoint endpoint);

    /** What sort of thing statistics take it for. */
    abstract EndpointKind judged(UnitOfMeasure unit);

    /** What a unit's readings say together; empty where they say nothing that can be. */
    Optional<Value> seen(List<Reading> readings, Endpoint endpoint) {
        return Optional.of(new Value.Measured(readings.stream()
                .mapToDouble(reading -> Objects.requireNonNull(reading.value()))
                .average()
                .orElseThrow()));
    }

    /** What speaks against a value beside those of other units. */
    Optional<String> problem(TrialRecord record, ReadingRef ref, double value) {
        return Optional.empty();
    }

    /** Units that have the same value where each should have its own. */
    Optional<String> shared(TrialRecord record, ReadingRef ref, double value) {
        return Optional.empty();
    }

    /** How many it is counted among; 0 for what is no count. */
    int among(Endpoint endpoint) {
        return 0;
    }

    /** The least step between two values. */
    double resolution(Endpoint endpoint) {
        return Math.pow(10, -endpoint.decimals());
    }

    /** What may be typed. */
    String example(Endpoint endpoint) {
        return endpoint.whole() ? "7" : "48.5";
    }

    /** With the symptoms that stand behind the number, which are part of what was typed. */
    private static Typed withWords(Typed number, String text) {
        return number instanceof Typed.Understood understood
                ? new Typed.Understood(text, understood.typed(), understood.stored())
                : number;
    }

    /** A number in the endpoint's unit, or a total with its tare, or a value at its temperature. */
    private static Typed number(String number, String text, Endpoint endpoint) {
        boolean heaped =
                endpoint.unit().dimension() == Dimension.MASS || endpoint.unit().dimension() == Dimension.VOLUME;
        Typed typed = UnderLimit.typed(number, endpoint)
                .or(() -> heaped
                        ? TotalLessTare.typed(number, endpoint.unit())
                        : AtTemperature.typed(number, endpoint.unit()))
                .orElseGet(() -> Typed.parse(number, endpoint.unit()));
        return typed instanceof Typed.Understood understood
                        && !endpoint.allows(understood.stored().value())
                ? new Typed.Refused(
                        text,
                        endpoint.name() + " can't be " + understood.stored().show(endpoint.decimals() + 1)
                                + "; it can be " + endpoint.allowed()
                                + (understood.stored().value() > endpoint.highest() && !endpoint.whole()
                                        ? "; perhaps the unit is another"
                                        : ""),
                        endpoint.example())
                : typed;
    }
}
