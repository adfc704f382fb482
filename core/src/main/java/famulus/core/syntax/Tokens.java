package famulus.core.syntax;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Splits what stands between two braces into tokens. */
public final class Tokens {
    private static final String OPENING = "\"“”„«»";

    private final String source;
    private final int end;
    private final List<Token> tokens = new ArrayList<>();
    private int at;

    private Tokens(String source, int from, int end) {
        this.source = source;
        this.at = from;
        this.end = end;
    }

    /**
     * Splits {@code source} between {@code from} and {@code end}.
     *
     * @throws ParseFailure at a character that belongs to no token, or a quote that is never closed
     */
    public static List<Token> of(String source, int from, int end) throws ParseFailure {
        Tokens run = new Tokens(source, from, end);
        while (run.next()) {
            // Each turn adds one token.
        }
        run.tokens.add(new Token(Token.Kind.END, "", new Span(end, end)));
        return run.tokens;
    }

    private boolean next() throws ParseFailure {
        while (at < end && isSpace(source.charAt(at))) {
            at++;
        }
        if (at >= end) {
            return false;
        }
        int start = at;
        char c = source.charAt(at);
        Token.Kind mark = mark(c);
        if (mark != null) {
            at++;
            add(mark, String.valueOf(c), start);
        } else if (Character.isLetter(c)) {
            while (at < end && isWordPart(source.charAt(at))) {
                at++;
            }
            add(Token.Kind.WORD, source.substring(start, at).toLowerCase(Locale.ROOT), start);
        } else if (isDigit(c) || (c == '-' && at + 1 < end && isDigit(source.charAt(at + 1)))) {
            number(start);
        } else if (OPENING.indexOf(c) >= 0) {
            string(start);
        } else {
            throw new ParseFailure(
                    new Span(at, at + 1), "“" + c + "” does not belong in a field. Remove it, or put it in quotes.");
        }
        return true;
    }

    private static Token.Kind mark(char c) {
        return switch (c) {
            case '.' -> Token.Kind.POINT;
            case ',' -> Token.Kind.COMMA;
            case '(' -> Token.Kind.OPENING;
            case ')' -> Token.Kind.CLOSING;
            default -> null;
        };
    }

    private void number(int start) {
        at++;
        boolean point = false;
        while (at < end
                && (isDigit(source.charAt(at))
                        || (!point && source.charAt(at) == '.' && at + 1 < end && isDigit(source.charAt(at + 1))))) {
            point |= source.charAt(at) == '.';
            at++;
        }
        add(Token.Kind.NUMBER, source.substring(start, at), start);
    }

    private void string(int start) throws ParseFailure {
        String closing = closing(source.charAt(at++));
        StringBuilder text = new StringBuilder();
        while (at < end && closing.indexOf(source.charAt(at)) < 0) {
            boolean escape = source.charAt(at) == '\\'
                    && at + 1 < end
                    && ("{}\\\"".indexOf(source.charAt(at + 1)) >= 0 || closing.indexOf(source.charAt(at + 1)) >= 0);
            at += escape ? 1 : 0;
            text.append(source.charAt(at++));
        }
        if (at >= end) {
            throw new ParseFailure(new Span(start, end), "This quote is never closed. Add the closing quote.");
        }
        at++;
        add(Token.Kind.STRING, text.toString(), start);
    }

    /** Mail programs and phones turn straight quotes into the pairs of their language; all of them are read. */
    private static String closing(char opening) {
        return switch (opening) {
            case '"' -> "\"";
            case '„' -> "“”";
            case '«' -> "»";
            case '»' -> "«";
            default -> "”";
        };
    }

    private void add(Token.Kind kind, String text, int start) {
        tokens.add(new Token(kind, text, new Span(start, at)));
    }

    private static boolean isSpace(char c) {
        return Character.isWhitespace(c) || Character.isSpaceChar(c);
    }

    private static boolean isDigit(char c) {
        return c >= '0' && c <= '9';
    }

    private static boolean isWordPart(char c) {
        return Character.isLetterOrDigit(c) || c == '_';
    }
}
