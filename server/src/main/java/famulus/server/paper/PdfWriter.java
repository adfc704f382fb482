package famulus.server.paper;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.TextDirection;
import com.openhtmltopdf.outputdevice.helper.ExternalResourceControlPriority;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.util.XRLog;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.helper.W3CDom;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.springframework.stereotype.Component;

/** Writes HTML for paged media as PDF: tagged (PDF/UA, ISO 14289), its fonts in it, and nothing fetched for it. */
@Component
class PdfWriter {
    /** Sides that depend on the direction of writing, which the library knows by their old names only. */
    private static final Map<String, String> TO_THE_RIGHT = Map.of(
            "text-align:start", "text-align:left",
            "text-align:end", "text-align:right",
            "inline-start", "left",
            "inline-end", "right");

    private static final Map<String, String> TO_THE_LEFT = Map.of(
            "text-align:start", "text-align:right",
            "text-align:end", "text-align:left",
            "inline-start", "right",
            "inline-end", "left");

    static {
        // It tells every rule of a style that it doesn't know.
        XRLog.setLoggingEnabled(false);
    }

    /** Writes a document whose pictures are within it (RFC 2397). */
    byte[] write(String html) {
        Document document = Jsoup.parse(html);
        boolean toTheLeft = document.selectFirst("html").attr("dir").equals("rtl");
        document.select("[style]").forEach(element -> sided(element, toTheLeft ? TO_THE_LEFT : TO_THE_RIGHT));
        ByteArrayOutputStream pdf = new ByteArrayOutputStream();
        PdfRendererBuilder builder = new PdfRendererBuilder();
        PaperFonts.into(builder);
        builder.useUnicodeBidiSplitter(WritingDirection.Splitter::new);
        builder.useUnicodeBidiReorderer(new WritingDirection.Reorderer());
        builder.defaultTextDirection(toTheLeft ? TextDirection.RTL : TextDirection.LTR);
        builder.usePdfUaAccessibility(true);
        builder.withProducer("Famulus");
        builder.useExternalResourceAccessControl(
                (address, kind) -> address != null && address.startsWith("data:"),
                ExternalResourceControlPriority.RUN_AFTER_RESOLVING_URI);
        builder.withW3cDocument(new W3CDom().fromJsoup(document), "");
        builder.toStream(pdf);
        try {
            builder.run();
        } catch (IOException e) {
            throw new UncheckedIOException("A paper could not be written", e);
        }
        return pdf.toByteArray();
    }

    private static void sided(Element element, Map<String, String> sides) {
        String style = element.attr("style");
        for (Map.Entry<String, String> side : sides.entrySet()) {
            style = style.replace(side.getKey(), side.getValue());
        }
        element.attr("style", style);
    }
}
