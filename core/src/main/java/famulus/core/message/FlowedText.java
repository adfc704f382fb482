package famulus.core.message;

/**
 * Plain text for the wire, by RFC 3676 ({@code text/plain; format=flowed}): long lines are broken at a space, and the
 * space left at the end tells the reader's program that the line goes on.
 */
public final class FlowedText {
    /** Columns per line, the trailing space included. */
    public static final int WIDTH = 72;

    private FlowedText() {}

    /**
     * Wraps a text.
     *
     * @param text lines broken by {@code \n}, {@code \r\n} or {@code \r}
     * @return the wrapped text, lines broken by {@code \r\n}; a word longer than a line stays whole
     */
    public static String of(String text) {
        StringBuilder flowed = new StringBuilder(text.length() + text.length() / 32);
        String[] lines = text.split("\r\n|\n|\r", -1);
        for (int i = 0; i < lines.length; i++) {
            if (i > 0) {
                flowed.append("\r\n");
            }
            line(lines[i], flowed);
        }
        return flowed.toString();
    }

    /** Reads flowed text back: joins what was wrapped and takes stuffed spaces out. */
    public static String read(String flowed) {
        StringBuilder text = new StringBuilder(flowed.length());
        String[] lines = flowed.split("\r\n|\n", -1);
        for (int i = 0; i < lines.length; i++) {
            String line = lines[i].startsWith(" ") ? lines[i].substring(1) : lines[i];
            boolean goesOn = line.endsWith(" ") && !line.equals("-- ") && i + 1 < lines.length;
            text.append(line);
            if (!goesOn && i + 1 < lines.length) {
                text.append('\n');
            }
        }
        return text.toString();
    }

    private static void line(String line, StringBuilder flowed) {
        // The line before a signature is the one line that keeps its trailing space (RFC 3676, 4.3).
        String rest = line.equals("-- ") ? line : line.stripTrailing();
        while (rest.codePointCount(0, rest.length()) > WIDTH - 1) {
            int space = breakAt(rest);
            if (space < 0) {
                break;
            }
            stuffed(rest.substring(0, space + 1), flowed);
            flowed.append("\r\n");
            rest = rest.substring(space + 1);
        }
        stuffed(rest, flowed);
    }

    /** Last space that leaves the line short enough and is followed by a word; else the first one that is. */
    private static int breakAt(String line) {
        int limit = line.offsetByCodePoints(0, WIDTH - 1);
        for (int i = limit; i > 0; i--) {
            if (isBreak(line, i)) {
                return i;
            }
        }
        for (int i = limit + 1; i < line.length(); i++) {
            if (isBreak(line, i)) {
                return i;
            }
        }
        return -1;
    }

    private static boolean isBreak(String line, int at) {
        return at < line.length() - 1
                && line.charAt(at) == ' '
                && line.charAt(at + 1) != ' '
                && !line.substring(0, at).isBlank()
                && !line.substring(0, at + 1).equals("-- ");
    }

    /** A line that begins like a quotation, a space or an old mailbox mark gets one space in front (RFC 3676, 4.4). */
    private static void stuffed(String line, StringBuilder flowed) {
        if (line.startsWith(" ") || line.startsWith(">") || line.startsWith("From ")) {
            flowed.append(' ');
        }
        flowed.append(line);
    }
}
