package elsom.core.read;

import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Conductivity that a meter shows as ppm. */
final class Salinity {
    /** What may stand beside a factor. */
    private static final Set<String> BESIDE = Set.of(
            "ppm", "scale", "scaled", "factor", "by", "on", "at", "of", "the", "a", "meter", "tds", "salt", "salts",
            "x");

    private static final Set<Integer> FACTORS = Set.of(500, 640, 700);

    private Salinity() {}

    static Optional<Read> read(Piece piece) {
        List<Measured> all = piece.amounts().at(0);
        if (all.isEmpty() || !all.get(0).is(Unit.Nature.PPM)) {
            return Optional.empty();
        }
        Measured m = all.get(0);
        if (m.value() < 0) {
            return Optional.of(piece.refused("“" + piece.plain() + "” is below 0, which a conductivity can't be"));
        }
        if (m.range()) {
            return Optional.of(piece.refused("“" + piece.plain() + "” is a range, and no reading"));
        }
        return scaled(piece, m)
                .or(() -> Optional.of(
                        new Read.Ask("Which factor does the meter use for ppm: 500, 640 or 700? It is", scales(m))));
    }

    /** The same with each factor that meters use. */
    static List<String> scales(Measured m) {
        return FACTORS.stream()
                .sorted()
                .map(factor -> Read.Amount.figure(m.value()) + " ppm (" + factor + " scale)")
                .toList();
    }

    /** Conductivity where the factor is said; empty where it is not. */
    static Optional<Read> scaled(Piece piece, Measured m) {
        List<Integer> said = piece.tokens().subList(m.next(), piece.tokens().size()).stream()
                .filter(token -> token.isWhole() && FACTORS.contains((int) token.value()))
                .map(token -> (int) token.value())
                .toList();
        boolean more = piece.tokens().subList(m.next(), piece.tokens().size()).stream()
                .anyMatch(token -> token.isWord() && !BESIDE.contains(token.word()));
        if (said.size() != 1 || more) {
            return Optional.empty();
        }
        double ec = m.value() / said.get(0);
        return Optional.of(
                Physical.tooLarge(ec)
                        ? piece.refused("“" + piece.plain() + "” is beyond anything measured here")
                        : new Read.Value(new Read.Amount(ec), "mS/cm at 25 °C")
                                .noted(piece.about(), "by a factor of " + said.get(0), ""));
    }
}
