package famulus.core.syntax;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Codes that another system would have filled in, by their shape: a name between doubled, paired or mirrored marks, whatever
 * system it was. What stands between single braces is the merge language’s own.
 */
public final class OtherCodes {
    /** A name that may have dots and dashes. */
    private static final String NAME = "[\\p{L}_][\\p{L}\\p{N}_.:-]{1,40}";

    private static final String CAPITALS = "[A-Z][A-Z0-9_]{2,40}";
    /** Between marks that people write for emphasis only a name that joins its words is a code. */
    private static final String JOINED = "[A-Z][A-Z0-9]*(?:_[A-Z0-9]+)+";

    private static final String JOINED_ANYHOW = "\\p{L}[\\p{L}\\p{N}]*(?:[_.][\\p{L}\\p{N}]+)+";

    private static final Pattern CODES = Pattern.compile(String.join(
            "|",
            "\\[\\[[^\\[\\]\\n]{1,60}]]",
            "\\[" + JOINED + "]",
            "<%[^%<>\\n]{1,60}%>",
            "<<[^<>\\n]{1,60}>>",
            "%%?" + CAPITALS + "%%?",
            "«[\\p{L}_]{2,40}»",
            "[$#@!]\\{[^{}\\n]{1,60}}",
            "#" + CAPITALS + "#",
            "\\$\\$?" + CAPITALS + "\\$\\$?",
            "@@" + NAME + "@@",
            "__" + JOINED + "__",
            "\\|\\|" + CAPITALS + "\\|\\|",
            "\\*\\|[^|\\n]{1,60}\\|\\*",
            "\\(\\(" + JOINED_ANYHOW + "\\)\\)",
            "~~?" + JOINED + "~~?"));

    /** Most texts have none of these, and need not be looked through. */
    private static final String BEGINS_A_CODE = "[%<«$#@!_|*(~";

    private OtherCodes() {}

    /**
     * A code in a text.
     *
     * @param words it, with its marks
     */
    public record Code(int start, int end, String words) {}

    /** All codes in a text, in their order. */
    public static List<Code> in(String text) {
        List<Code> found = new ArrayList<>();
        if (text.chars().anyMatch(character -> BEGINS_A_CODE.indexOf(character) >= 0)) {
            Matcher matcher = CODES.matcher(text);
            while (matcher.find()) {
                found.add(new Code(matcher.start(), matcher.end(), matcher.group()));
            }
        }
        return found;
    }
}
