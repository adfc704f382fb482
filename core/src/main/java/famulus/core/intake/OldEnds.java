package famulus.core.intake;

import famulus.core.prose.Prose;
import famulus.core.prose.WrittenLanguage;
import java.util.Arrays;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A message parted from what hangs on its end: the signature of whoever wrote it, and the messages quoted below.
 *
 * @param words what it says, up to its closing words
 * @param signature what follows “Kind regards” or a line of two hyphens; empty for none
 * @param thread what is quoted; empty for nothing
 */
public record OldEnds(String words, String signature, String thread) {
    /** As RFC 3676 parts a signature: two hyphens and a space. Many programs lose the space. */
    private static final Pattern HYPHENS = Pattern.compile("^-- ?$", Pattern.MULTILINE);
    /** A signature has so many lines at most, and so long ones. */
    private static final int MOST_LINES = 14;

    private static final int LONGEST_LINE = 120;

    /** Parts a message. Nothing is lost: the three together are the text, but for blanks between them. */
    public static OldEnds of(String text) {
        String lines = text.replace("\r\n", "\n").replace('\r', '\n');
        int quoted = Prose.quoted(lines);
        String said = lines.substring(0, quoted).stripTrailing();
        int signature = signature(said);
        return new OldEnds(
                said.substring(0, signature).stripTrailing(),
                said.substring(signature).replaceFirst("^-- ?\n", "").strip(),
                lines.substring(quoted).strip());
    }

    private static int signature(String said) {
        Matcher hyphens = HYPHENS.matcher(said);
        if (hyphens.find() && brief(said, hyphens.end())) {
            return hyphens.start();
        }
        int from = said.length();
        while (from > 0) {
            int begin = said.lastIndexOf('\n', from - 1) + 1;
            if (closes(said.substring(begin, from)) && brief(said, from)) {
                return from;
            }
            from = begin - 1;
        }
        return said.length();
    }

    /** Whether a line says nothing but closing words. */
    private static boolean closes(String line) {
        String words = line.strip().replaceFirst("[,.!]+$", "");
        return Arrays.stream(WrittenLanguage.values())
                .anyMatch(language -> language.pattern("closing").matcher(words).matches());
    }

    /** Whether what follows a place can be a signature, and is no second half of a message. */
    private static boolean brief(String said, int from) {
        var lines = said.substring(from).lines().filter(line -> !line.isBlank()).toList();
        return lines.size() <= MOST_LINES && lines.stream().allMatch(line -> line.length() <= LONGEST_LINE);
    }
}
