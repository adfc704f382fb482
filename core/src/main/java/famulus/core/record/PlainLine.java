package famulus.core.record;

import java.util.Optional;

/** Checks typed text: not too long, not empty where something is needed, no control characters. */
public final class PlainLine {
    private PlainLine() {}

    /**
     * Checks one line.
     *
     * @param text what was typed; null counts as empty
     * @param most how many characters (UTF-16 units) it may have
     * @param required whether it may be empty
     * @return what is wrong with it, in a sentence
     */
    public static Optional<String> refusal(String text, int most, boolean required) {
        return refusal(text, most, required, false);
    }

    /** Checks text of several lines. */
    public static Optional<String> refusalOfLines(String text, int most, boolean required) {
        return refusal(text, most, required, true);
    }

    private static Optional<String> refusal(String text, int most, boolean required, boolean lines) {
        if (text == null || text.isBlank()) {
            return required ? Optional.of("This can’t be empty.") : Optional.empty();
        }
        if (text.length() > most) {
            return Optional.of("This is " + text.length() + " characters long; at most " + most + " can be kept.");
        }
        boolean control = text.chars().anyMatch(c -> Character.isISOControl(c) && !(lines && isLineMark(c)));
        boolean separator = !lines && text.chars().anyMatch(c -> c == '\u2028' || c == '\u2029');
        if (control || separator) {
            return Optional.of(
                    lines
                            ? "There is a control character in this text. Type it again."
                            : "This is one line only, without control characters.");
        }
        return hasLoneSurrogate(text)
                ? Optional.of("There is half a character in this text. Type it again.")
                : Optional.empty();
    }

    private static boolean isLineMark(int c) {
        return c == '\n' || c == '\r' || c == '\t';
    }

    private static boolean hasLoneSurrogate(String text) {
        return text.codePoints().anyMatch(c -> c >= Character.MIN_SURROGATE && c <= Character.MAX_SURROGATE);
    }
}
