package famulus.server.messages;

import java.nio.charset.StandardCharsets;
import java.util.Base64;

/**
 * Text that looks like an encoded word (RFC 2047) and is none. The mail library encodes only what is not ASCII; left as it is,
 * mail programs would decode it into something else than was written.
 */
final class EncodedWord {
    /** An encoded word has 75 characters at most; base64 makes 4 of 3 bytes. */
    private static final int MOST_BYTES = 42;

    private EncodedWord() {}

    /** Whether a text has to be encoded although it is ASCII. */
    static boolean looksLikeOne(String text) {
        return text.contains("=?");
    }

    /** The text as encoded words in UTF-8, each on a line of its own. */
    static String of(String text) {
        StringBuilder words = new StringBuilder();
        StringBuilder part = new StringBuilder();
        for (int at = 0; at < text.length(); at += Character.charCount(text.codePointAt(at))) {
            String character = Character.toString(text.codePointAt(at));
            if (bytes(part + character).length > MOST_BYTES) {
                add(part, words);
            }
            part.append(character);
        }
        add(part, words);
        return words.toString();
    }

    private static void add(StringBuilder part, StringBuilder words) {
        words.append(words.isEmpty() ? "" : "\r\n ")
                .append("=?UTF-8?B?")
                .append(Base64.getEncoder().encodeToString(bytes(part.toString())))
                .append("?=");
        part.setLength(0);
    }

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }
}
