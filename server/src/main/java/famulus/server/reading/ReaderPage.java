package famulus.server.reading;

import famulus.server.messages.SourceText;
import java.net.URI;
import java.net.URISyntaxException;
import org.springframework.web.util.HtmlUtils;

/** What readers of messages are shown, in their language. */
final class ReaderPage {
    /** For links of a message that was only looked at. */
    static final String PROOF = page(
            "en", "A link in a preview", "<p>This link is in a preview. In the message that is sent it works.</p>");

    /** For a key that opens nothing. */
    static final String NOTHING = page(
            "en",
            "Nothing here",
            "<p>This link does not lead anywhere (any more). If it came in a message, answer the message: a person"
                    + " reads it.</p>");

    private ReaderPage() {}

    /** For the way out of mailings on a page that was passed on. */
    static final String PASSED_ON = page(
            "en",
            "A page that was passed on",
            "<p>Only whoever got the message itself can unsubscribe, with the link in their message.</p>");

    /** A message as its own page: its HTML, or its text. */
    static String copy(SourceText read) {
        return read.html().isEmpty() ? words(read.subject(), read.text()) : read.html();
    }

    /** Plain words as a page. */
    static String words(String subject, String text) {
        return page(
                "", HtmlUtils.htmlEscape(subject, "UTF-8"), "<pre>" + HtmlUtils.htmlEscape(text, "UTF-8") + "</pre>");
    }

    static String page(String language, String title, String body) {
        return """
                <!DOCTYPE html>
                <html%s>
                <head>
                <meta charset="UTF-8">
                <meta name="viewport" content="width=device-width, initial-scale=1">
                <title>%s</title>
                <style>
                body { margin: 0; padding: 12vh 20px; background: #f4f1ea; color: #23211c;
                  font: 17px/1.5 Georgia, serif; }
                main { max-width: 32em; margin: auto; }
                h1 { font-size: 24px; font-weight: normal; }
                pre { white-space: pre-wrap; overflow-wrap: anywhere; font: inherit; }
                button { min-height: 44px; padding: 0 18px; border: 1px solid #23211c; background: #23211c; color: #fff;
                  font: inherit; font-size: 16px; cursor: pointer; }
                button.soft { background: none; color: #23211c; }
                form { margin: 0 0 22px; }
                form button { margin-top: 12px; }
                .said { margin: 0 0 22px; padding: 10px 14px; border-left: 3px solid #23211c; background: #fffdf8; }
                .said form { display: inline; margin: 0; }
                .said button { min-height: 36px; margin: 0 0 0 10px; padding: 0 12px; }
                fieldset { margin: 0 0 14px; padding: 0; border: 0; }
                legend { padding: 0 0 4px; }
                label { display: block; padding: 5px 0; }
                input { width: 20px; height: 20px; margin: 0 8px 0 0; vertical-align: -3px; accent-color: #23211c; }
                select { min-height: 40px; margin-left: 6px; padding: 0 8px; font: inherit; font-size: 16px; }
                </style>
                </head>
                <body><main><h1>%s</h1>%s</main></body>
                </html>
                """
                .formatted(language.isEmpty() ? "" : " lang=\"" + language + "\"", title, title, body);
    }

    /** An address as a header can hold it. */
    static String ascii(String address) {
        try {
            return new URI(address).toASCIIString();
        } catch (URISyntaxException loose) {
            StringBuilder strict = new StringBuilder();
            for (byte b : address.getBytes(java.nio.charset.StandardCharsets.UTF_8)) {
                boolean safe = b > 32 && b < 127 && "\"<>\\^`{|}".indexOf(b) < 0;
                strict.append(safe ? String.valueOf((char) b) : "%%%02X".formatted(b & 0xff));
            }
            return strict.toString();
        }
    }
}
