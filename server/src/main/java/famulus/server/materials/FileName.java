package famulus.server.materials;

import java.text.Normalizer;
import java.util.Locale;

/**
 * The name of a file as it may go out: without a path, and without what is not seen. It is judged after it is cleaned, since
 * whoever saves the file cleans it too: {@code tool.exe. }, {@code tool.exe::$DATA} and {@code tool.ex\u200be} all are
 * {@code tool.exe} on some machine.
 */
final class FileName {
    private static final String NAMELESS = "file";

    private FileName() {}

    /** The name, cleaned; never empty. */
    static String cleaned(String name) {
        String seen = Normalizer.normalize(name, Normalizer.Form.NFC).replaceAll("[\\p{Cc}\\p{Cf}\\p{Co}\\p{Cn}]", "");
        String last = seen.substring(Math.max(seen.lastIndexOf('/'), seen.lastIndexOf('\\')) + 1);
        // What follows a colon names a stream of the file on one system, and is no part of a name on others.
        int colon = last.indexOf(':');
        String alone = colon < 0 ? last : last.substring(0, colon);
        String trimmed = alone.replaceAll("^[\\s\\p{Z}]+|[\\s\\p{Z}.]+$", "");
        return trimmed.isEmpty() ? NAMELESS : trimmed;
    }

    /** What a cleaned name ends in, in small letters; empty when it has no ending. */
    static String ending(String cleaned) {
        int dot = cleaned.lastIndexOf('.');
        return dot < 0 ? "" : cleaned.substring(dot + 1).toLowerCase(Locale.ROOT);
    }
}
