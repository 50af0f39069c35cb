package elsom.web.photo;

import elsom.web.platform.Refusal;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Iterator;
import java.util.stream.IntStream;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;

/**
 * A photo as it is kept: a JPEG of at most 1,600 pixels a side, written anew from its pixels, so that nothing of the file, where
 * it was taken among it, comes along.
 */
final class PhotoFile {
    private final int width;
    private final int height;
    private final byte[] jpeg;

    private PhotoFile(int width, int height, byte[] jpeg) {
        this.width = width;
        this.height = height;
        this.jpeg = jpeg;
    }

    int width() {
        return width;
    }

    int height() {
        return height;
    }

    byte[] jpeg() {
        return jpeg.clone();
    }

    /** By content, not by name: other kinds have decoders that a mutated file can keep busy. */
    private static boolean begins(byte[] file, int[] with) {
        return file.length >= with.length && IntStream.range(0, with.length).allMatch(i -> (file[i] & 0xff) == with[i]);
    }

    private static final int[] JPEG = {0xff, 0xd8, 0xff};
    private static final int[] PNG = {0x89, 'P', 'N', 'G'};
    private static final String NO_PHOTO =
            "That is no photo that can be read here. Accepted: a JPEG or PNG; on a phone, choose"
                    + " the most compatible format in the camera's settings.";
    static final int LARGEST_SIDE = 1600;
    private static final long MOST_PIXELS = 120_000_000L;

    /**
     * Reads a photo; a large one is never whole in memory.
     *
     * @throws Refusal when it is no JPEG or PNG, or has more pixels than a camera's
     */
    static PhotoFile of(byte[] file) {
        if (!begins(file, JPEG) && !begins(file, PNG)) {
            throw new Refusal(NO_PHOTO);
        }
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(file))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                throw new Refusal(NO_PHOTO);
            }
            ImageReader reader = readers.next();
            try {
                reader.setInput(in, true, true);
                return read(reader);
            } finally {
                reader.dispose();
            }
        } catch (Refusal refused) {
            throw refused;
        } catch (IOException | RuntimeException broken) {
            // A decoder meets broken bytes with any fault of its own.
            throw new Refusal("That photo can't be read: the file is broken or cut short. Send it again.");
        }
    }

    private static PhotoFile read(ImageReader reader) throws IOException {
        long width = reader.getWidth(0);
        long height = reader.getHeight(0);
        if (width * height > MOST_PIXELS) {
            throw new Refusal("That picture has " + width * height / 1_000_000 + " megapixels; at most "
                    + MOST_PIXELS / 1_000_000 + " can be read. Make it smaller first.");
        }
        int step = (int) Math.max(1, Math.max(width, height) / LARGEST_SIDE);
        ImageReadParam thinned = reader.getDefaultReadParam();
        thinned.setSourceSubsampling(step, step, 0, 0);
        BufferedImage read = reader.read(0, thinned);
        double scale = Math.min(1, (double) LARGEST_SIDE / Math.max(read.getWidth(), read.getHeight()));
        BufferedImage plain = new BufferedImage(
                (int) Math.max(1, Math.round(scale * read.getWidth())),
                (int) Math.max(1, Math.round(scale * read.getHeight())),
                BufferedImage.TYPE_INT_RGB);
        Graphics2D drawing = plain.createGraphics();
        drawing.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
        drawing.drawImage(read, 0, 0, plain.getWidth(), plain.getHeight(), null);
        drawing.dispose();
        ByteArrayOutputStream jpeg = new ByteArrayOutputStream();
        if (!ImageIO.write(plain, "jpeg", jpeg)) {
            throw new IOException("no JPEG writer");
        }
        return new PhotoFile(plain.getWidth(), plain.getHeight(), jpeg.toByteArray());
    }

    /** The pixels of a kept photo. */
    static BufferedImage pixels(byte[] jpeg) {
        try {
            return ImageIO.read(new ByteArrayInputStream(jpeg));
        } catch (IOException unreadable) {
            throw new UncheckedIOException("a kept photo can't be read", unreadable);
        }
    }
}
