package famulus.core.message.render;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The least HTML that says what a plain message says: its lines as they are, its addresses as links. */
public final class PlainTwin {
    /** An address in running text; a mark of punctuation behind it is not part of it. */
    private static final Pattern ADDRESS = Pattern.compile("https?://[^\\s<>\"]*[^\\s<>\"'.,;:!?)\\]]");

    private PlainTwin() {}

    /** A whole document. */
    public static String of(String text, String subject, Locale locale) {
        Html html = new Html();
        html.line("<!DOCTYPE html>")
                .open("html", "lang", locale.toLanguageTag())
                .endLine();
        html.open("head").raw("<meta charset=\"UTF-8\">").open("title").text(subject);
        html.close("title").close("head").endLine();
        html.open("body").open("div");
        lines(text, html);
        return html.close("div").close("body").endLine().close("html").endLine().toString();
    }

    private static void lines(String text, Html html) {
        Matcher address = ADDRESS.matcher(text);
        int done = 0;
        while (address.find()) {
            html.text(columns(text.substring(done, address.start())));
            html.open("a", "href", address.group()).text(address.group()).close("a");
            done = address.end();
        }
        html.text(columns(text.substring(done)));
    }

    /** Columns of spaces stay columns. */
    private static String columns(String text) {
        return text.replace("  ", "\u00a0 ");
    }
}
