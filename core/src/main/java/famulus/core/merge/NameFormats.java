package famulus.core.merge;

import com.ibm.icu.lang.UCharacter;
import java.util.Locale;
import java.util.Set;

/** Puts names as people write them, whatever was typed. */
final class NameFormats {
    /** Words inside a surname that stay small when they were stored small. */
    private static final Set<String> PARTICLES = Set.of(
            "von", "van", "de", "der", "den", "des", "del", "della", "di", "da", "do", "dos", "du", "la", "le", "ten",
            "ter", "zu", "zum", "zur", "af", "av", "y", "e", "bin", "al");

    private NameFormats() {}

    /**
     * {@code o'NEILL-smith} becomes {@code O'Neill-Smith}. A part that is all capitals or all small is rewritten; one
     * in mixed case, such as {@code McAllen}, was written with care and stays.
     */
    static String name(String stored, Locale locale) {
        StringBuilder name = new StringBuilder(stored.length());
        int start = 0;
        for (int i = 0; i <= stored.length(); i++) {
            if (i == stored.length() || !isNamePart(stored.codePointAt(i))) {
                name.append(part(stored.substring(start, i), locale));
                if (i < stored.length()) {
                    name.append(stored.charAt(i));
                }
                start = i + 1;
            }
        }
        return name.toString();
    }

    private static boolean isNamePart(int c) {
        return Character.isLetterOrDigit(c)
                || Character.getType(c) == Character.NON_SPACING_MARK
                || Character.getType(c) == Character.COMBINING_SPACING_MARK
                || Character.getType(c) == Character.SURROGATE;
    }

    private static String part(String part, Locale locale) {
        boolean small = part.equals(part.toLowerCase(locale));
        boolean capitals = part.equals(part.toUpperCase(locale));
        if (part.isEmpty() || (!small && !capitals) || (small && PARTICLES.contains(part))) {
            return part;
        }
        int first = part.offsetByCodePoints(0, 1);
        return part.substring(0, first).toUpperCase(locale)
                + part.substring(first).toLowerCase(locale);
    }

    /** First letter of each word, each with a point, as in {@code I. O.-B.} */
    static String initials(String stored, Locale locale) {
        StringBuilder initials = new StringBuilder();
        boolean atStart = true;
        for (int i = 0; i < stored.length(); i += Character.charCount(stored.codePointAt(i))) {
            int c = stored.codePointAt(i);
            if (Character.isLetter(c) && atStart) {
                if (!initials.isEmpty() && initials.charAt(initials.length() - 1) != '-') {
                    initials.append(' ');
                }
                initials.append(UCharacter.toUpperCase(locale, Character.toString(c)))
                        .append('.');
                atStart = false;
            } else if (Character.isWhitespace(c)) {
                atStart = true;
            } else if (c == '-' && !initials.isEmpty()) {
                initials.append('-');
                atStart = true;
            }
        }
        return initials.toString();
    }

    /** First letter a capital; the rest as stored, unless all of it was in capitals. */
    static String sentence(String stored, Locale locale) {
        if (stored.isEmpty()) {
            return stored;
        }
        String rest = stored.equals(stored.toUpperCase(locale)) ? stored.toLowerCase(locale) : stored;
        int first = rest.offsetByCodePoints(0, 1);
        return rest.substring(0, first).toUpperCase(locale) + rest.substring(first);
    }
}
