package famulus.server.reading;

import famulus.server.messages.SourceText;
import java.net.URI;
import java.net.URISyntaxException;
import java.util.Map;
import org.springframework.web.util.HtmlUtils;

/** What readers of messages are shown, in their language. */
final class ReaderPage {
    private record Texts(String title, String question, String yes, String done, String back) {}

    private static final Texts ENGLISH = new Texts(
            "Messages from %s",
            "Stop group e-mails from %s? Messages written to you personally" + " may still come.",
            "Unsubscribe",
            "You will get no more group e-mails from %s.",
            "Resubscribe");

    private static final Map<String, Texts> BY_LANGUAGE = Map.of(
            "de",
            new Texts(
                    "Nachrichten von %s",
                    "Möchten Sie keine Nachrichten mehr, die %s an mehrere auf einmal schickt? Eine Nachricht, die Ihnen"
                            + " allein gilt, kann weiterhin kommen.",
                    "Keine mehr davon",
                    "Sie bekommen keine Nachrichten mehr, die %s an mehrere auf einmal schickt.",
                    "Das war ein Versehen: ich möchte sie"),
            "fr",
            new Texts(
                    "Messages de %s",
                    "Voulez-vous ne plus recevoir les messages que %s envoie à plusieurs personnes à la fois ? Un message"
                            + " qui s’adresse à vous seul peut encore venir.",
                    "Ne plus les recevoir",
                    "Vous ne recevrez plus les messages que %s envoie à plusieurs personnes à la fois.",
                    "C’était une erreur : je les veux"));

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

    /** Asks, or says what is settled, with the way back. */
    static String choice(String language, String house, boolean wantsNoRounds) {
        Texts said = BY_LANGUAGE.getOrDefault(language, ENGLISH);
        String tongue = BY_LANGUAGE.containsKey(language) ? language : "en";
        String name = HtmlUtils.htmlEscape(house, "UTF-8");
        String words = wantsNoRounds ? said.done() : said.question();
        String button = wantsNoRounds
                ? "<input type=\"hidden\" name=\"back\" value=\"yes\"><button class=\"soft\">" + said.back()
                : "<button>" + said.yes();
        return page(
                tongue,
                said.title().formatted(name),
                "<p>" + words.formatted(name) + "</p><form method=\"post\">" + button + "</button></form>");
    }

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

    private static String page(String language, String title, String body) {
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
