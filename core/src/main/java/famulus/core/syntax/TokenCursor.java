package famulus.core.syntax;

import java.util.List;

/** Goes through tokens from left to right. At the end it stays at the end token, however often it is asked. */
public final class TokenCursor {
    private final List<Token> tokens;
    private int at;

    /** A cursor before the first of {@code tokens}, the last of which is an end token. */
    public TokenCursor(List<Token> tokens) {
        this.tokens = tokens;
    }

    /** The next token, left where it is. */
    public Token peek() {
        return tokens.get(at);
    }

    /** The token after the next one, left where it is. */
    public Token peekAfter() {
        return tokens.get(Math.min(at + 1, tokens.size() - 1));
    }

    /** The next token, gone past. */
    public Token take() {
        Token token = tokens.get(at);
        if (token.kind() != Token.Kind.END) {
            at++;
        }
        return token;
    }

    /** Goes past the next token if it is this word. */
    public boolean takeIf(String word) {
        boolean found = peek().isWord(word);
        if (found) {
            at++;
        }
        return found;
    }

    /** Goes past the next tokens if they are these words, one after another. */
    public boolean takeIf(List<String> words) {
        if (at + words.size() >= tokens.size()) {
            return false;
        }
        for (int i = 0; i < words.size(); i++) {
            if (!tokens.get(at + i).isWord(words.get(i))) {
                return false;
            }
        }
        at += words.size();
        return true;
    }

    /** Whether nothing is left. */
    public boolean atEnd() {
        return peek().kind() == Token.Kind.END;
    }

    /** Where the token that was taken last ends; where the first begins, if none was. */
    public int lastEnd() {
        return at == 0
                ? tokens.getFirst().span().start()
                : tokens.get(at - 1).span().end();
    }
}
