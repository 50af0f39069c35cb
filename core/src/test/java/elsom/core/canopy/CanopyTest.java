package elsom.core.canopy;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Drawn trays of known cover: leaves and soil that scatter in colour and brightness, a white card, three lights. */
class CanopyTest {
    private static final int SIDE = 240;
    private static final Canopy.Card CARD = new Canopy.Card(0.05, 0.05);

    /** A tray with so much of it under leaves, a card in its corner, in light of a colour. */
    private static Picture tray(double cover, double red, double green, double blue, long seed) {
        Random random = new Random(seed);
        int[] rgb = new int[SIDE * SIDE];
        int card = SIDE / 10;
        int open = rgb.length - card * card;
        int leaves = (int) Math.round(cover * rgb.length);
        int left = leaves;
        int seen = 0;
        for (int i = 0; i < rgb.length; i++) {
            boolean white = i % SIDE < card && i / SIDE < card;
            if (white) {
                rgb[i] = colour(random, 235, 235, 235, 4, red, green, blue);
                continue;
            }
            boolean leaf = random.nextInt(open - seen++) < left;
            left -= leaf ? 1 : 0;
            double shade = 0.6 + 0.4 * random.nextDouble();
            rgb[i] = leaf
                    ? colour(random, 95 * shade, 150 * shade, 60 * shade, 4, red, green, blue)
                    : colour(random, 110 * shade, 90 * shade, 70 * shade, 4, red, green, blue);
        }
        return new Picture(SIDE, SIDE, rgb);
    }

    private static int colour(
            Random random, double r, double g, double b, double scatter, double red, double green, double blue) {
        return level(r * red + scatter * random.nextGaussian()) << 16
                | level(g * green + scatter * random.nextGaussian()) << 8
                | level(b * blue + scatter * random.nextGaussian());
    }

    private static int level(double value) {
        return (int) Math.max(0, Math.min(255, Math.round(value)));
    }

    @ParameterizedTest
    @CsvSource({
        // daylight, evening sun, a blue-white lamp
        "0.08, 1, 1, 1",
        "0.35, 1, 1, 1",
        "0.80, 1, 1, 1",
        "0.08, 1, 0.85, 0.6",
        "0.35, 1, 0.85, 0.6",
        "0.80, 1, 0.85, 0.6",
        "0.08, 0.75, 0.95, 1",
        "0.35, 0.75, 0.95, 1",
        "0.80, 0.75, 0.95, 1"
    })
    void coverIsFoundInThreeLightsWithinTwoPercent(double cover, double red, double green, double blue) {
        Canopy found = Canopy.of(tray(cover, red, green, blue, 5), OptionalDouble.empty(), Optional.of(CARD));
        assertThat(found.cover()).isCloseTo(cover, within(0.02));
        assertThat(found.parted()).isTrue();
    }

    @Test
    void bareSoilAndAFullCanopyAreNotPartedIntoHalves() {
        assertThat(Canopy.of(tray(0, 1, 1, 1, 6), OptionalDouble.empty(), Optional.of(CARD))
                        .cover())
                .isLessThan(0.03);
        assertThat(Canopy.of(tray(0.99, 1, 1, 1, 6), OptionalDouble.empty(), Optional.of(CARD))
                        .cover())
                .isGreaterThan(0.95);
    }

    @Test
    void aHigherThresholdLeavesLessAndTheMaskIsTheCover() {
        Picture tray = tray(0.35, 1, 1, 1, 7);
        double before = 1;
        for (double threshold = -0.4; threshold < 0.9; threshold += 0.1) {
            Canopy canopy = Canopy.of(tray, OptionalDouble.of(threshold), Optional.empty());
            assertThat(canopy.cover()).isLessThanOrEqualTo(before);
            before = canopy.cover();
        }
        Canopy found = Canopy.of(tray, OptionalDouble.empty(), Optional.empty());
        int green = 0;
        for (int i = 0; i < SIDE * SIDE; i++) {
            green += found.green(i) ? 1 : 0;
        }
        assertThat((double) green / (SIDE * SIDE)).isEqualTo(found.cover());
    }

    /** By hand: (2·150 − 95 − 60) / 305. */
    @Test
    void excessGreenIsOfChromaticCoordinates() {
        assertThat(Canopy.excess(95, 150, 60)).isCloseTo(145.0 / 305, within(1e-12));
        assertThat(Canopy.excess(190, 300, 120)).as("however bright").isCloseTo(145.0 / 305, within(1e-12));
        assertThat(Canopy.excess(5, 30, 5)).as("too dark to tell").isZero();
    }

    @Test
    void whatIsNoPictureIsRefused() {
        assertThatThrownBy(() -> new Picture(2, 2, new int[3])).hasMessageContaining("2 × 2");
        assertThatThrownBy(() -> new Canopy.Card(1.2, 0)).hasMessageContaining("within the picture");
    }
}
