package elsom.core.canopy;

import java.util.BitSet;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * The share of a picture that is green: every pixel's excess green, 2g − r − b of its chromatic coordinates (Woebbecke, Meyer,
 * Von Bargen and Mortensen 1995), above a threshold; where none is given, the one that parts the pixels best (Otsu 1979).
 */
public final class Canopy {
    /** Excess green runs from −1 to 2; leaves seldom go above 1. */
    private static final double LOWEST = -0.5;

    private static final double HIGHEST = 1.0;
    private static final int BINS = 256;

    /** So dark a pixel has no colour that can be told. */
    private static final int DARK = 48;

    /** Where two heaps of pixels lie closer than this, one of them is no canopy: all soil, or all leaves. */
    private static final double LEAST_APART = 0.12;

    /** What is greener than this is a leaf when nothing parts the pixels. */
    private static final double USUAL = 0.10;

    private final double threshold;
    private final boolean parted;
    private final BitSet green;
    private final int pixels;

    private Canopy(double threshold, boolean parted, BitSet green, int pixels) {
        this.threshold = threshold;
        this.parted = parted;
        this.green = green;
        this.pixels = pixels;
    }

    /**
     * A white card in the picture.
     *
     * @param x and {@code y}: its middle as shares of width and height, 0 to 1
     */
    public record Card(double x, double y) {
        public Card {
            if (!(x >= 0 && x <= 1 && y >= 0 && y <= 1)) {
                throw new IllegalArgumentException("a card lies within the picture, got " + x + ", " + y);
            }
        }
    }

    /**
     * The canopy.
     *
     * @param threshold of excess green; empty to find it
     * @param card by which the light's colour is taken out; empty for none
     */
    public static Canopy of(Picture picture, OptionalDouble threshold, Optional<Card> card) {
        Light light = card.map(where -> Light.by(picture, where)).orElse(Light.NEUTRAL);
        double[] excess = new double[picture.pixels()];
        for (int i = 0; i < excess.length; i++) {
            excess[i] = excess(
                    picture.red(i) * light.red(), picture.green(i) * light.green(), picture.blue(i) * light.blue());
        }
        Split split = otsu(excess);
        double at = threshold.orElse(split.apart() < LEAST_APART ? USUAL : Math.max(split.threshold(), USUAL / 2));
        BitSet green = new BitSet(excess.length);
        for (int i = 0; i < excess.length; i++) {
            if (excess[i] > at) {
                green.set(i);
            }
        }
        return new Canopy(at, split.apart() >= LEAST_APART, green, excess.length);
    }

    /** Excess green of a pixel; 0 where it is too dark to tell. */
    static double excess(double red, double green, double blue) {
        double sum = red + green + blue;
        return sum < DARK ? 0 : (2 * green - red - blue) / sum;
    }

    /** Factors that make the card white. */
    private record Light(double red, double green, double blue) {
        static final Light NEUTRAL = new Light(1, 1, 1);
        /** Of the picture's width: the middle of the card, well inside its edges. */
        private static final double PATCH = 0.012;

        static Light by(Picture picture, Card card) {
            int reach = Math.max(1, (int) (PATCH * picture.width()));
            int middleX = (int) Math.min(picture.width() - 1.0, card.x() * picture.width());
            int middleY = (int) Math.min(picture.height() - 1.0, card.y() * picture.height());
            double red = 0;
            double green = 0;
            double blue = 0;
            for (int y = Math.max(0, middleY - reach); y <= Math.min(picture.height() - 1, middleY + reach); y++) {
                for (int x = Math.max(0, middleX - reach); x <= Math.min(picture.width() - 1, middleX + reach); x++) {
                    int pixel = y * picture.width() + x;
                    red += picture.red(pixel);
                    green += picture.green(pixel);
                    blue += picture.blue(pixel);
                }
            }
            double mean = (red + green + blue) / 3;
            return red == 0 || green == 0 || blue == 0 ? NEUTRAL : new Light(mean / red, mean / green, mean / blue);
        }
    }

    /** A threshold, and how far the means of the two heaps lie apart. */
    private record Split(double threshold, double apart) {}

    /** The threshold at which the variance between the two heaps is largest. */
    private static Split otsu(double[] values) {
        long[] heap = new long[BINS];
        for (double value : values) {
            double place = (value - LOWEST) / (HIGHEST - LOWEST) * BINS;
            heap[(int) Math.max(0, Math.min(BINS - 1.0, place))]++;
        }
        double all = 0;
        for (int i = 0; i < BINS; i++) {
            all += (double) i * heap[i];
        }
        double below = 0;
        double count = 0;
        double best = -1;
        Split split = new Split(USUAL, 0);
        for (int i = 0; i < BINS - 1; i++) {
            count += heap[i];
            below += (double) i * heap[i];
            double rest = values.length - count;
            if (count == 0 || rest == 0) {
                continue;
            }
            double apart = (all - below) / rest - below / count;
            double between = count * rest * apart * apart;
            if (between > best) {
                best = between;
                split = new Split(LOWEST + (i + 1) * (HIGHEST - LOWEST) / BINS, apart * (HIGHEST - LOWEST) / BINS);
            }
        }
        return split;
    }

    /** Share of the picture that is green, 0 to 1. */
    public double cover() {
        return (double) green.cardinality() / pixels;
    }

    public double threshold() {
        return threshold;
    }

    /** Whether green and other pixels lie well apart; where not, the picture may be all soil or all leaves. */
    public boolean parted() {
        return parted;
    }

    /** Whether a pixel counts as green; numbered row by row from the top. */
    public boolean green(int pixel) {
        return green.get(pixel);
    }
}
