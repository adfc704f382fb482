package famulus.core.message.render;

import famulus.core.merge.AsWritten;
import famulus.core.merge.MergeSettings;
import famulus.core.message.body.BodyText;
import famulus.core.message.body.Design;
import famulus.core.message.body.HouseStyle;
import famulus.core.message.body.Mode;
import famulus.core.message.render.ToRender.DealLines;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.LinkedHashSet;
import java.util.Locale;
import java.util.Set;

/** Renders a message in the mode of its design. */
public final class Renderer {
    private Renderer() {}

    /**
     * The plain twin of a message as a text in the merge language, to be written on by hand: its fields as they are written. What
     * its style says around it is not in it, and of what depends on a record (an event's day, the lines of a deal) nothing.
     */
    public static String textAsWritten(Design design) {
        Design bare = new Design(design.mode(), design.body(), HouseStyle.BARE, "", "");
        BodyText text = BodyText.of(bare);
        ToRender message = new ToRender(
                bare,
                text,
                AsWritten.of(text.program(), text.source()),
                new MergeSettings(Locale.UK, ZoneOffset.UTC, Instant.EPOCH),
                "",
                "",
                DealLines.NONE,
                picture -> "",
                null);
        MergedBody words = new MergedBody(message);
        return new TextRenderer(message, words, new CalendarFiles(message, words)).render();
    }

    /** A letter or a designed message for paper, as HTML and CSS for paged media. */
    public static String onPaper(ToRender message, Paper paper) {
        return new PaperDocument(message, new MergedBody(message), paper).render();
    }

    /** A letter or a designed message, as HTML and as plain text; a plain one as text alone, with its small print. */
    public static Rendering render(ToRender message) {
        MergedBody words = new MergedBody(message);
        Set<String> pictures = new LinkedHashSet<>();
        CalendarFiles calendars = new CalendarFiles(message, words);
        String text = new TextRenderer(message, words, calendars).render();
        String html = message.design().mode() == Mode.PLAIN
                ? ""
                : new HtmlDocument(message, words, calendars, pictures).render();
        return new Rendering(html, text, pictures, calendars.all());
    }
}
