package famulus.core.html;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Hides the fields of the merge language from what reads HTML: a field may hold quotes and signs that mean something else
 * there. Style sheets, scripts and comments are not looked at, since braces mean something of their own in them.
 */
final class Shield {
    /** Noncharacters of Unicode, which no text has: what a value holds, private characters included, is never taken for one. */
    private static final char OPEN = '\uFDD0';

    private static final char CLOSE = '\uFDD1';
    private static final Pattern SIGNS = Pattern.compile("[\\uFDD0-\\uFDEF]");
    private static final Pattern PARTS = Pattern.compile(
            "(?<quiet><!--.*?(?:-->|\\z)|<(?<name>style|script)\\b.*?(?:</\\k<name>\\s*>|\\z))|(?<field>\\\\*\\{[^{}<>\\n\\r]*\\})",
            Pattern.DOTALL | Pattern.CASE_INSENSITIVE);
    private static final Pattern HIDDEN = Pattern.compile(OPEN + "(\\d{1,6})" + CLOSE);

    private final List<String> fields = new ArrayList<>();

    /** The same text with a sign in the place of each field. */
    String hide(String html) {
        Matcher parts = PARTS.matcher(withoutSigns(html));
        StringBuilder hidden = new StringBuilder(html.length());
        while (parts.find()) {
            String field = parts.group("field");
            if (field == null || field.startsWith("\\")) {
                parts.appendReplacement(hidden, Matcher.quoteReplacement(parts.group()));
            } else {
                parts.appendReplacement(hidden, "" + OPEN + fields.size() + CLOSE);
                fields.add(field);
            }
        }
        return parts.appendTail(hidden).toString();
    }

    /** The text with its fields again; quotes of a field that stands in a tag are such as don't end its attribute. */
    String show(String hidden) {
        Matcher signs = HIDDEN.matcher(hidden);
        StringBuilder shown = new StringBuilder(hidden.length());
        while (signs.find()) {
            String field = fields.get(Integer.parseInt(signs.group(1)));
            boolean inTag = hidden.lastIndexOf('<', signs.start()) > hidden.lastIndexOf('>', signs.start());
            signs.appendReplacement(shown, Matcher.quoteReplacement(inTag ? typographic(field) : field));
        }
        return signs.appendTail(shown).toString();
    }

    /** A text without what stands for fields here; nothing a person could have written is lost. */
    static String withoutSigns(String text) {
        return SIGNS.matcher(text).replaceAll("");
    }

    private static String typographic(String field) {
        StringBuilder text = new StringBuilder(field.length());
        boolean opened = false;
        for (char c : field.toCharArray()) {
            if (c == '"') {
                opened = !opened;
                text.append(opened ? '“' : '”');
            } else {
                text.append(c == '\'' ? '’' : c);
            }
        }
        return text.toString();
    }

    /** Whether an attribute's value begins with a field. */
    static boolean beginsWithField(String value) {
        return !value.isEmpty() && value.charAt(0) == OPEN;
    }

    /** Whether a value has a field in it. */
    static boolean hasField(String value) {
        return value.indexOf(OPEN) >= 0;
    }

    /** Stretches of HTML in which braces are no fields: style sheets, scripts and comments; begin and end by turns. */
    static int[] quiet(String html) {
        List<Integer> stretches = new ArrayList<>();
        Matcher parts = PARTS.matcher(html);
        while (parts.find()) {
            if (parts.group("quiet") != null) {
                stretches.add(parts.start());
                stretches.add(parts.end());
            }
        }
        return stretches.stream().mapToInt(Integer::intValue).toArray();
    }
}
