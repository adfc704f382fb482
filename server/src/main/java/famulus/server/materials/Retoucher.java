package famulus.server.materials;

import famulus.core.message.body.Retouching;
import famulus.core.message.render.PictureCopy;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import javax.imageio.ImageIO;

/** Makes the copies of pictures that messages show: cut, made smaller, brighter or darker, tinted, with a play mark. */
final class Retoucher {
    /** The part of the shorter side that a play mark takes. */
    private static final double MARK = 0.34;

    private static final Color DISC = new Color(20, 24, 30, 190);

    private Retoucher() {}

    /**
     * The bytes of a copy, in the format of the picture; a GIF that does not move becomes a PNG when it is changed. What
     * needs no change, and what can't be read, stays as it is.
     */
    static PictureService.PictureContent copy(String mediaType, byte[] content, PictureCopy copy) {
        try {
            BufferedImage whole = ImageIO.read(new ByteArrayInputStream(content));
            if (whole == null) {
                return new PictureService.PictureContent(mediaType, content);
            }
            BufferedImage cut = cut(whole, copy.retouching());
            boolean narrower = copy.most() > 0 && cut.getWidth() > copy.most();
            if (cut == whole && !narrower && !copy.retouching().colours() && !copy.play()) {
                return new PictureService.PictureContent(mediaType, content);
            }
            int width = narrower ? copy.most() : cut.getWidth();
            int height = Math.max(1, Math.round((float) cut.getHeight() * width / cut.getWidth()));
            BufferedImage drawn = drawn(cut, width, height);
            colour(drawn, copy.retouching());
            if (copy.play()) {
                mark(drawn);
            }
            boolean photograph = mediaType.equals("image/jpeg");
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            ImageIO.write(drawn, photograph ? "jpeg" : "png", bytes);
            return new PictureService.PictureContent(photograph ? mediaType : "image/png", bytes.toByteArray());
        } catch (IOException broken) {
            return new PictureService.PictureContent(mediaType, content);
        }
    }

    private static BufferedImage cut(BufferedImage whole, Retouching retouching) {
        if (!retouching.cuts()) {
            return whole;
        }
        int left = whole.getWidth() * retouching.left() / 100;
        int top = whole.getHeight() * retouching.top() / 100;
        int right = whole.getWidth() * retouching.right() / 100;
        int bottom = whole.getHeight() * retouching.bottom() / 100;
        return whole.getSubimage(
                left, top, Math.max(1, whole.getWidth() - left - right), Math.max(1, whole.getHeight() - top - bottom));
    }

    private static BufferedImage drawn(BufferedImage picture, int width, int height) {
        boolean clear = picture.getColorModel().hasAlpha();
        BufferedImage drawn =
                new BufferedImage(width, height, clear ? BufferedImage.TYPE_INT_ARGB : BufferedImage.TYPE_INT_RGB);
        Graphics2D drawing = drawn.createGraphics();
        drawing.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
        drawing.drawImage(picture, 0, 0, width, height, null);
        drawing.dispose();
        return drawn;
    }

    /** Draws a play mark in the middle: a light triangle on a dark disc, seen on any picture. */
    private static void mark(BufferedImage picture) {
        double size = Math.min(picture.getWidth(), picture.getHeight()) * MARK;
        double x = picture.getWidth() / 2.0;
        double y = picture.getHeight() / 2.0;
        Graphics2D drawing = picture.createGraphics();
        drawing.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        drawing.setColor(DISC);
        drawing.fill(new Ellipse2D.Double(x - size / 2, y - size / 2, size, size));
        drawing.setColor(Color.WHITE);
        Path2D triangle = new Path2D.Double();
        triangle.moveTo(x - size * 0.14, y - size * 0.23);
        triangle.lineTo(x + size * 0.26, y);
        triangle.lineTo(x - size * 0.14, y + size * 0.23);
        triangle.closePath();
        drawing.fill(triangle);
        drawing.dispose();
    }

    private static void colour(BufferedImage picture, Retouching retouching) {
        if (!retouching.colours()) {
            return;
        }
        int[] row = new int[picture.getWidth()];
        for (int y = 0; y < picture.getHeight(); y++) {
            picture.getRGB(0, y, row.length, 1, row, 0, row.length);
            for (int x = 0; x < row.length; x++) {
                row[x] = coloured(row[x], retouching);
            }
            picture.setRGB(0, y, row.length, 1, row, 0, row.length);
        }
    }

    /** One point: first its brightness, then the tint. How clear it is stays. */
    static int coloured(int point, Retouching retouching) {
        int red = brighter(point >> 16 & 0xff, retouching.brightness());
        int green = brighter(point >> 8 & 0xff, retouching.brightness());
        int blue = brighter(point & 0xff, retouching.brightness());
        if (!retouching.tint().isEmpty() && retouching.strength() > 0) {
            int tint = Integer.parseInt(retouching.tint().substring(1), 16);
            // How light a point looks, by ITU-R BT.601.
            int light = Math.round(0.299f * red + 0.587f * green + 0.114f * blue);
            red = mixed(red, tinted(light, tint >> 16 & 0xff), retouching.strength());
            green = mixed(green, tinted(light, tint >> 8 & 0xff), retouching.strength());
            blue = mixed(blue, tinted(light, tint & 0xff), retouching.strength());
        }
        return point & 0xff000000 | red << 16 | green << 8 | blue;
    }

    private static int brighter(int part, int brightness) {
        return brightness > 0 ? part + (255 - part) * brightness / 100 : part * (100 + brightness) / 100;
    }

    /** Dark points run from black to the tint, light ones from the tint to white. */
    private static int tinted(int light, int tint) {
        return light < 128 ? tint * light / 128 : tint + (255 - tint) * (light - 128) / 127;
    }

    private static int mixed(int own, int other, int strength) {
        return (own * (100 - strength) + other * strength) / 100;
    }
}
