package famulus.core.syntax;

/** Writes texts in quotes, so that {@link Tokens} reads the same text again. */
public final class Quoted {
    private Quoted() {}

    /** The text between straight quotes; quotes, backslashes and braces of its own are escaped. */
    public static String of(String text) {
        StringBuilder quoted = new StringBuilder("\"");
        for (char c : text.toCharArray()) {
            if (c == '"' || c == '\\' || c == '{' || c == '}') {
                quoted.append('\\');
            }
            quoted.append(c);
        }
        return quoted.append('"').toString();
    }
}
