package famulus.server.materials;

import com.github.weisj.jsvg.SVGDocument;
import com.github.weisj.jsvg.parser.LoaderContext;
import com.github.weisj.jsvg.parser.SVGLoader;
import com.github.weisj.jsvg.parser.resources.ResourcePolicy;
import com.github.weisj.jsvg.view.ViewBox;
import famulus.server.platform.Refusal;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;

/**
 * Draws an SVG down to points, since mail programs show none. A drawing that runs a script or refers to anything outside
 * itself is refused, not drawn without it.
 */
final class SvgDrawing {
    /** Twice what a message is wide. */
    private static final int WIDEST = 1200;

    private static final int TALLEST = 3000;
    private static final int LONGEST = 2_000_000;
    private static final Pattern BEGINS = Pattern.compile("\\A\\uFEFF?\\s*(<\\?xml|<!--|<!DOCTYPE\\s+svg|<svg)");
    private static final Pattern PLAIN_DOCTYPE = Pattern.compile("<!DOCTYPE\\s+svg[^\\[<>]*>");
    private static final Pattern OUTSIDE = Pattern.compile(
            "<script|<foreignObject|<!DOCTYPE|<!ENTITY|@import|\\bon[a-z]+\\s*=|javascript:"
                    + "|(?:href|src)\\s*=\\s*[\"'](?!#|data:image/(?:png|jpe?g|gif);)"
                    + "|url\\(\\s*[\"']?(?!#|data:image/(?:png|jpe?g|gif);)",
            Pattern.CASE_INSENSITIVE);

    private SvgDrawing() {}

    /** Whether a file is an SVG, by how it begins. */
    static boolean is(byte[] content) {
        String text = new String(content, StandardCharsets.UTF_8);
        return BEGINS.matcher(text).find() && text.contains("<svg");
    }

    /** The drawing in points; refused when it can't be drawn alone, or only with more time or memory than it is given. */
    static BufferedImage draw(byte[] content) {
        String text = PLAIN_DOCTYPE
                .matcher(new String(content, StandardCharsets.UTF_8))
                .replaceFirst("");
        if (text.length() > LONGEST) {
            throw Refusal.field("file", "This drawing is larger than 2 MB. Save it as a PNG picture instead.");
        }
        if (OUTSIDE.matcher(text).find()) {
            throw Refusal.field(
                    "file", "This drawing has a script in it, or refers to something outside. Save it without that.");
        }
        try {
            SvgProcess.Outcome outcome = SvgProcess.draw(text.getBytes(StandardCharsets.UTF_8));
            if (outcome.damaged()) {
                throw Refusal.field("file", "This drawing is damaged: it can't be read to its end.");
            }
            return outcome.points()
                    .orElseThrow(() -> Refusal.field(
                            "file", "This drawing takes too long to draw. Save it as a PNG picture instead."));
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
    }

    /**
     * Draws, for as long as it takes; called in a process of its own.
     *
     * @throws IllegalArgumentException when it can't be read
     */
    static BufferedImage points(byte[] content) {
        LoaderContext alone = LoaderContext.builder()
                .externalResourcePolicy(ResourcePolicy.DENY_ALL)
                .build();
        SVGDocument drawing = new SVGLoader().load(new ByteArrayInputStream(content), null, alone);
        if (drawing == null) {
            throw new IllegalArgumentException("No drawing");
        }
        float width = Math.max(1, drawing.size().width);
        float height = Math.max(1, drawing.size().height);
        float scale = Math.min(2, Math.min(WIDEST / width, TALLEST / height));
        int across = Math.max(1, Math.round(width * scale));
        int down = Math.max(1, Math.round(height * scale));
        BufferedImage points = new BufferedImage(across, down, BufferedImage.TYPE_INT_ARGB);
        Graphics2D graphics = points.createGraphics();
        graphics.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        drawing.render(null, graphics, new ViewBox(0, 0, across, down));
        graphics.dispose();
        return points;
    }
}
