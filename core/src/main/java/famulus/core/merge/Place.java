package famulus.core.merge;

/** Where merged text is put; settles how values are made safe there. */
public enum Place {
    /** Running plain text: line breaks of a value stay, control characters go. */
    BODY {
        @Override
        String safe(String value) {
            return clean(value, '\n');
        }
    },
    /** A header of a message, or one line in a list: never more than one line. */
    HEADER {
        @Override
        String safe(String value) {
            return clean(value, ' ');
        }
    };

    /** Returns {@code value} as it may be printed here. */
    abstract String safe(String value);

    private static String clean(String value, char lineBreak) {
        return isClean(value) ? value : cleaned(value, lineBreak);
    }

    /** Nearly every value is; it then need not be copied. */
    private static boolean isClean(String value) {
        for (int i = 0; i < value.length(); i++) {
            char c = value.charAt(i);
            if (c < ' ' || (c >= '\u007F' && (Character.isISOControl(c) || isLineBreak(c)))) {
                return false;
            }
        }
        return true;
    }

    private static String cleaned(String value, char lineBreak) {
        StringBuilder clean = new StringBuilder(value.length());
        for (int i = 0; i < value.length(); i++) {
            char c = value.charAt(i);
            if (c == '\r' && i + 1 < value.length() && value.charAt(i + 1) == '\n') {
                continue;
            }
            if (isLineBreak(c)) {
                clean.append(lineBreak);
            } else if (c == '\t') {
                clean.append(lineBreak == '\n' ? '\t' : ' ');
            } else if (!Character.isISOControl(c)) {
                clean.append(c);
            }
        }
        return clean.toString();
    }

    private static boolean isLineBreak(char c) {
        return c == '\n' || c == '\r' || c == '\u0085' || c == '\u2028' || c == '\u2029' || c == '\u000B' || c == '\f';
    }
}
