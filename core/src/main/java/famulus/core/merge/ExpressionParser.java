package famulus.core.merge;

import famulus.core.calendar.ReckoningReader;
import famulus.core.syntax.NearestNames;
import famulus.core.syntax.ParseFailure;
import famulus.core.syntax.Problem;
import famulus.core.syntax.Span;
import famulus.core.syntax.Token;
import famulus.core.syntax.TokenCursor;
import famulus.core.syntax.Tokens;
import java.math.BigDecimal;
import java.time.DateTimeException;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Reads the inside of one field. */
final class ExpressionParser {
    private static final Set<String> KEYWORDS = Set.of("else", "as", "nothing", "or");
    /** Longest number that is still read as one; longer runs of digits are a slip of the hand. */
    private static final int LONGEST_NUMBER = 30;

    private final TokenCursor tokens;

    private ExpressionParser(TokenCursor tokens) {
        this.tokens = tokens;
    }

    /** Returns a field, or a broken node that says what is wrong, for the braces at {@code span}. */
    static Node parse(String source, Span span) {
        try {
            TokenCursor tokens = new TokenCursor(Tokens.of(source, span.start() + 1, span.end() - 1));
            return new Node.Field(new ExpressionParser(tokens).expression(span), span);
        } catch (ParseFailure failure) {
            return new Node.Broken(source.substring(span.start(), span.end()), failure.problem(), span);
        }
    }

    private Expression expression(Span whole) throws ParseFailure {
        if (tokens.peek().kind() == Token.Kind.END) {
            throw new ParseFailure(
                    whole, "There is nothing between these braces. Name a field, or write \\{ for a plain brace.");
        }
        List<Expression.Term> terms = new ArrayList<>();
        terms.add(term());
        while (tokens.takeIf("else")) {
            terms.add(term());
        }
        if (tokens.peek().kind() != Token.Kind.END) {
            throw new ParseFailure(
                    tokens.peek().span(),
                    "After a field comes “else”, “as” or the closing brace, not “"
                            + tokens.peek().text() + "”.");
        }
        return new Expression(terms);
    }

    private Expression.Term term() throws ParseFailure {
        Span start = tokens.peek().span();
        Operand operand = operand();
        Optional<Format> format = Optional.empty();
        if (tokens.takeIf("as")) {
            format = Optional.of(format());
        }
        return new Expression.Term(operand, format, new Span(start.start(), tokens.lastEnd()));
    }

    private Operand operand() throws ParseFailure {
        Token token = tokens.peek();
        return switch (token.kind()) {
            case STRING -> new Operand.Text(tokens.take().text());
            case NUMBER -> number(tokens.take());
            case WORD -> word(token);
            default -> throw new ParseFailure(token.span(), "A field, a text in quotes or “nothing” is missing here.");
        };
    }

    private Operand word(Token token) throws ParseFailure {
        boolean path = tokens.peekAfter().kind() == Token.Kind.POINT;
        if (!path && tokens.takeIf("nothing")) {
            return new Operand.Nothing();
        }
        if (!path && tokens.takeIf("write")) {
            return writeIn();
        }
        if (token.isWord("ask") && tokens.peekAfter().kind() == Token.Kind.STRING) {
            throw new ParseFailure(new Problem(
                            Problem.Code.FIELD_BROKEN,
                            token.span(),
                            "A blank to write in is no longer written “ask”. It is written “write in” now.",
                            List.of())
                    .mendedBy(new Problem.Fix("Use write in", token.span(), "write in")));
        }
        if (KEYWORDS.contains(token.text())) {
            throw new ParseFailure(token.span(), "A field is missing before “" + token.text() + "”.");
        }
        return new Operand.Reference(ReckoningReader.read(tokens));
    }

    /** The rest of {@code write in "what we agreed"}, from the second word on. */
    private Operand writeIn() throws ParseFailure {
        Span in = tokens.peek().span();
        if (!tokens.takeIf("in")) {
            throw new ParseFailure(in, "A blank to write in begins with “write in”.");
        }
        Token hint = tokens.take();
        if (hint.kind() != Token.Kind.STRING || hint.text().isBlank()) {
            throw new ParseFailure(
                    hint.span(), "After “write in” comes a hint for the sender in quotes, such as “what we agreed”.");
        }
        return new Operand.WriteIn(hint.text().strip());
    }

    private static Operand number(Token token) throws ParseFailure {
        if (token.text().length() > LONGEST_NUMBER) {
            throw new ParseFailure(token.span(), "This number is too long. Put it in quotes to print it as it is.");
        }
        return new Operand.Figure(new BigDecimal(token.text()));
    }

    private Format format() throws ParseFailure {
        Token first = tokens.peek();
        if (first.kind() == Token.Kind.STRING) {
            return quotedFormat(tokens.take());
        }
        StringBuilder words = new StringBuilder();
        while (!tokens.peek().isWord("else")
                && (tokens.peek().kind() == Token.Kind.WORD || tokens.peek().kind() == Token.Kind.NUMBER)) {
            words.append(words.isEmpty() ? "" : " ").append(tokens.take().text());
        }
        if (words.isEmpty()) {
            throw new ParseFailure(first.span(), "After “as” comes a format, such as “long date”.");
        }
        Span span = new Span(first.span().start(), tokens.lastEnd());
        if (words.toString().matches("[0-9] decimals?")) {
            return new Format.Decimals(words.charAt(0) - '0');
        }
        return FormatName.written(words.toString())
                .map(name -> (Format) new Format.Named(name))
                .orElseThrow(() -> new ParseFailure(
                        span,
                        "There is no format called “" + words + "”.",
                        NearestNames.of(
                                words.toString(),
                                Arrays.stream(FormatName.values())
                                        .map(FormatName::written)
                                        .toList())));
    }

    private Format quotedFormat(Token text) throws ParseFailure {
        if (tokens.takeIf("or")) {
            Token other = tokens.take();
            if (other.kind() != Token.Kind.STRING) {
                throw new ParseFailure(other.span(), "After “or” comes the text for no, in quotes.");
            }
            return new Format.YesOrNo(text.text(), other.text());
        }
        try {
            DateTimeFormatter.ofPattern(text.text()).format(ZonedDateTime.parse("2026-05-04T09:00:00Z"));
            return new Format.Pattern(text.text());
        } catch (IllegalArgumentException | DateTimeException wrong) {
            throw new ParseFailure(
                    text.span(), "“" + text.text() + "” is not a date pattern. Try one such as “d MMMM yyyy”.");
        }
    }
}
