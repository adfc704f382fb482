package famulus.server.messages;

import java.util.List;
import java.util.stream.Collectors;

/** What a message begins with, as a line of a list shows it. */
final class FirstWords {
    private static final int LONGEST = 160;
    /** A picture's description, an address by itself, or a line drawn across. */
    private static final String NO_WORDS = "\\[[^\\]]*\\](\\s+https?://\\S+)?|https?://\\S+|[^\\p{L}\\p{N}]+";

    private FirstWords() {}

    /**
     * The first words of a text, on one line. Pictures, and a greeting by itself, say nothing of a message, so they are
     * passed over. E.g. {@code Dear Ines,\n\nThank you for Monday.} begins with {@code Thank you for Monday.}
     */
    static String of(String text) {
        List<String> lines =
                text.lines().map(String::strip).filter(line -> !line.isEmpty()).toList();
        String said = lines.stream()
                .dropWhile(line -> line.matches(NO_WORDS) || line.endsWith(","))
                .collect(Collectors.joining(" "));
        String line = (said.isEmpty() ? String.join(" ", lines) : said).replaceAll("\\s+", " ");
        if (line.length() <= LONGEST) {
            return line;
        }
        int cut = line.lastIndexOf(' ', LONGEST - 1);
        int end = cut > LONGEST / 2 ? cut : LONGEST - 1;
        return line.substring(0, Character.isHighSurrogate(line.charAt(end - 1)) ? end - 1 : end) + "…";
    }
}
