package famulus.core.merge;

import famulus.core.condition.Condition;
import famulus.core.condition.ConditionParser;
import famulus.core.syntax.ParseFailure;
import famulus.core.syntax.Problem;
import famulus.core.syntax.Span;
import famulus.core.syntax.TokenCursor;
import famulus.core.syntax.Tokens;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * A mark of a choice, before it is known to which choice it belongs.
 *
 * @param source as written, braces included
 * @param guard when the branch that it opens prints; of no meaning for the end
 */
record Tag(Kind kind, String source, Guard guard, Span span) {
    enum Kind {
        WHEN,
        OTHERWISE,
        END
    }

    /** Reads what stands between two braces as a tag; empty when it begins like a field. */
    static Optional<Tag> read(String source, Span span) {
        String inside = source.substring(span.start() + 1, span.end() - 1).strip();
        String word = inside.split("[^\\p{L}_.]", 2)[0].toLowerCase(Locale.ROOT);
        String whole = source.substring(span.start(), span.end());
        return switch (word) {
            case "when" -> Optional.of(new Tag(Kind.WHEN, whole, when(source, span, 1), span));
            case "otherwise" -> Optional.of(new Tag(Kind.OTHERWISE, whole, otherwise(source, span), span));
            case "end" -> Optional.of(new Tag(Kind.END, whole, end(source, span), span));
            default -> Optional.empty();
        };
    }

    /** The tag as something that can't be read. */
    Node.Broken broken(String sentence) {
        return new Node.Broken(source, new Problem(Problem.Code.FIELD_BROKEN, span, sentence, List.of()), span);
    }

    /** The tag as something that can't be read, with the one obvious way to mend it. */
    Node.Broken broken(String sentence, Problem.Fix fix) {
        Node.Broken broken = broken(sentence);
        return new Node.Broken(broken.source(), broken.problem().mendedBy(fix), span);
    }

    private static Guard when(String source, Span span, int words) {
        try {
            TokenCursor tokens = new TokenCursor(Tokens.of(source, span.start() + 1, span.end() - 1));
            for (int i = 0; i < words; i++) {
                tokens.take();
            }
            Condition condition = ConditionParser.read(tokens);
            return new Guard.When(condition);
        } catch (ParseFailure failure) {
            return new Guard.Unreadable(source.substring(span.start(), span.end()), failure.problem());
        }
    }

    private static Guard otherwise(String source, Span span) {
        try {
            TokenCursor tokens = new TokenCursor(Tokens.of(source, span.start() + 1, span.end() - 1));
            tokens.take();
            if (tokens.atEnd()) {
                return new Guard.Otherwise();
            }
            if (!tokens.peek().isWord("when")) {
                throw new ParseFailure(tokens.peek().span(), "After “otherwise” comes “when” or the closing brace.");
            }
            return when(source, span, 2);
        } catch (ParseFailure failure) {
            return new Guard.Unreadable(source.substring(span.start(), span.end()), failure.problem());
        }
    }

    private static Guard end(String source, Span span) {
        String inside = source.substring(span.start() + 1, span.end() - 1).strip();
        return inside.equalsIgnoreCase("end")
                ? new Guard.Otherwise()
                : new Guard.Unreadable(
                        source.substring(span.start(), span.end()),
                        new Problem(
                                Problem.Code.FIELD_BROKEN,
                                span,
                                "Nothing can follow “end”. Close the brace after it.",
                                List.of()));
    }
}
