package famulus.core.message.render;

import famulus.core.message.body.Mode;
import java.util.LinkedHashSet;
import java.util.Set;

/** Renders a message in the mode of its design. */
public final class Renderer {
    private Renderer() {}

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
