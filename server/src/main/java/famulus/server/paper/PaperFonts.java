package famulus.server.paper;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import famulus.core.message.body.HouseStyle.FontFamily;
import java.io.InputStream;
import java.util.Objects;

/**
 * The fonts that papers are set in. They ship with the application, and each stands in for a family that a style asks for;
 * what a family has no sign for is taken from the plain one, which has Greek, Cyrillic, Hebrew and Arabic too.
 */
final class PaperFonts {
    private static final int USUAL = 400;
    private static final int BOLD = 700;

    private PaperFonts() {}

    /** Offers them to a document; only the signs that it has go into it. */
    static void into(PdfRendererBuilder builder) {
        for (FontFamily family : FontFamily.values()) {
            // The first of those it names; the generic one at the end is where a missing sign is looked for.
            String[] names = family.css().replace("'", "").split(",\\s*");
            switch (family) {
                case SANS -> sans(builder, "DejaVuSansCondensed", names[0]);
                case HUMANIST -> sans(builder, "DejaVuSans", names[0]);
                case SERIF -> add(builder, "DejaVuSerif", "-Italic", "-BoldItalic", names[0]);
                case TYPEWRITER -> sans(builder, "DejaVuSansMono", names[0]);
            }
            sans(builder, "DejaVuSans", names[names.length - 1]);
        }
    }

    private static void sans(PdfRendererBuilder builder, String file, String family) {
        add(builder, file, "-Oblique", "-BoldOblique", family);
    }

    private static void add(PdfRendererBuilder builder, String file, String italic, String boldItalic, String family) {
        builder.useFont(() -> font(file), family, USUAL, FontStyle.NORMAL, true);
        builder.useFont(() -> font(file + "-Bold"), family, BOLD, FontStyle.NORMAL, true);
        builder.useFont(() -> font(file + italic), family, USUAL, FontStyle.ITALIC, true);
        builder.useFont(() -> font(file + boldItalic), family, BOLD, FontStyle.ITALIC, true);
    }

    private static InputStream font(String file) {
        return Objects.requireNonNull(PaperFonts.class.getResourceAsStream("/paper/" + file + ".ttf"), file);
    }
}
