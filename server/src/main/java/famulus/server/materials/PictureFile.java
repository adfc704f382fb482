package famulus.server.materials;

import famulus.server.platform.Refusal;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Iterator;
import java.util.Locale;
import java.util.Map;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;

/**
 * A picture file, known by its content whatever it is called. WebP and SVG become PNG, which every mail program shows; of a
 * moving WebP that is its first picture.
 *
 * @param mediaType image/png, image/jpeg or image/gif
 * @param moving whether it has more than one picture, shown one after another
 */
record PictureFile(String mediaType, int width, int height, boolean moving, byte[] content) {
    static final int LARGEST = 5_000_000;
    private static final int LONGEST_SIDE = 6000;
    private static final long MOST_PIXELS = 24_000_000;
    private static final Map<String, String> TYPES =
            Map.of("png", "image/png", "jpeg", "image/jpeg", "gif", "image/gif", "webp", "image/webp");

    /**
     * Looks at a file: its size is read from its head before any of it is unpacked, so that a small file can't become a
     * huge picture.
     */
    static PictureFile read(byte[] content) {
        if (content.length == 0) {
            throw Refusal.field("file", "This file is empty.");
        }
        if (content.length > LARGEST) {
            throw Refusal.field("file", "This file is larger than 5 MB. Make it smaller first.");
        }
        if (SvgDrawing.is(content)) {
            return png(SvgDrawing.draw(content));
        }
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(content))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            ImageReader reader = readers.hasNext() ? readers.next() : null;
            String type =
                    reader == null ? null : TYPES.get(reader.getFormatName().toLowerCase(Locale.ROOT));
            if (type == null) {
                throw Refusal.field(
                        "file", "This is not a picture that mail programs show. Use PNG, JPEG, GIF, WebP or SVG.");
            }
            reader.setInput(in);
            int width = reader.getWidth(0);
            int height = reader.getHeight(0);
            if (width > LONGEST_SIDE || height > LONGEST_SIDE || (long) width * height > MOST_PIXELS) {
                throw Refusal.field(
                        "file", "This picture has " + width + " × " + height + " pixels. 6000 on a side is the most.");
            }
            BufferedImage first = reader.read(0);
            boolean moving = type.equals("image/gif") && reader.getNumImages(true) > 1;
            reader.dispose();
            if (first == null) {
                throw Refusal.field("file", "This picture can't be read.");
            }
            return type.equals("image/webp") ? png(first) : new PictureFile(type, width, height, moving, content);
        } catch (IOException | IllegalArgumentException | IndexOutOfBoundsException broken) {
            throw Refusal.field("file", "This picture is damaged: it can't be read to its end.");
        }
    }

    /** What mail programs don't show is kept as what they do. */
    private static PictureFile png(BufferedImage points) {
        try {
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            ImageIO.write(points, "png", bytes);
            return new PictureFile("image/png", points.getWidth(), points.getHeight(), false, bytes.toByteArray());
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
    }
}
