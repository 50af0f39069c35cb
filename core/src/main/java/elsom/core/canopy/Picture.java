package elsom.core.canopy;

/** Pixels of a picture, each red, green and blue from 0 to 255. */
public final class Picture {
    private final int width;
    private final int height;
    private final int[] rgb;

    /**
     * A picture.
     *
     * @param rgb row by row from the top, 0xRRGGBB; what stands above the lowest 24 bits is left out of account
     * @throws IllegalArgumentException unless there are as many pixels as width times height, and one at least
     */
    public Picture(int width, int height, int[] rgb) {
        if (width < 1 || height < 1 || rgb.length != width * height) {
            throw new IllegalArgumentException(
                    "a picture of " + width + " × " + height + " can't have " + rgb.length + " pixels");
        }
        this.width = width;
        this.height = height;
        this.rgb = rgb.clone();
    }

    public int width() {
        return width;
    }

    public int height() {
        return height;
    }

    int pixels() {
        return rgb.length;
    }

    int red(int pixel) {
        return rgb[pixel] >> 16 & 0xff;
    }

    int green(int pixel) {
        return rgb[pixel] >> 8 & 0xff;
    }

    int blue(int pixel) {
        return rgb[pixel] & 0xff;
    }
}
