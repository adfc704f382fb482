package famulus.core.merge;

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

    private final List<Token> tokens;
    private int at;

    private ExpressionParser(List<Token> tokens) {
        this.tokens = tokens;
    }

    /** Returns a field, or a broken node that says what is wrong, for the braces at {@code span}. */
    static Node parse(String source, Span span) {
        try {
            List<Token> tokens = Tokens.of(source, span.start() + 1, span.end() - 1);
            return new Node.Field(new ExpressionParser(tokens).expression(span), span);
        } catch (ParseFailure failure) {
            return new Node.Broken(source.substring(span.start(), span.end()), failure.problem(), span);
        }
    }

    private Expression expression(Span whole) throws ParseFailure {
        if (peek().kind() == Token.Kind.END) {
            throw new ParseFailure(
                    whole, "There is nothing between these braces. Name a field, or write \\{ for a plain brace.");
        }
        List<Expression.Term> terms = new ArrayList<>();
        terms.add(term());
        while (peek().isWord("else")) {
            at++;
            terms.add(term());
        }
        if (peek().kind() != Token.Kind.END) {
            throw new ParseFailure(
                    peek().span(),
                    "After a field comes “else”, “as” or the closing brace, not “" + peek().text() + "”.");
        }
        return new Expression(terms);
    }

    private Expression.Term term() throws ParseFailure {
        Span start = peek().span();
        Operand operand = operand();
        Optional<Format> format = Optional.empty();
        if (peek().isWord("as")) {
            at++;
            format = Optional.of(format());
        }
        return new Expression.Term(
                operand,
                format,
                new Span(start.start(), tokens.get(at - 1).span().end()));
    }

    private Operand operand() throws ParseFailure {
        Token token = take();
        return switch (token.kind()) {
            case STRING -> new Operand.Words(token.text());
            case NUMBER -> number(token);
            case WORD -> {
                if (token.isWord("nothing")) {
                    yield new Operand.Nothing();
                }
                yield new Operand.Reference(path(token));
            }
            default -> throw new ParseFailure(token.span(), "A field, a text in quotes or “nothing” is missing here.");
        };
    }

    private static Operand number(Token token) throws ParseFailure {
        if (token.text().length() > LONGEST_NUMBER) {
            throw new ParseFailure(token.span(), "This number is too long. Put it in quotes to print it as it stands.");
        }
        return new Operand.Figure(new BigDecimal(token.text()));
    }

    private Path path(Token first) throws ParseFailure {
        if (KEYWORDS.contains(first.text())) {
            throw new ParseFailure(first.span(), "A field is missing before “" + first.text() + "”.");
        }
        List<String> words = new ArrayList<>(List.of(first.text()));
        while (peek().kind() == Token.Kind.POINT) {
            at++;
            Token word = take();
            if (word.kind() != Token.Kind.WORD) {
                throw new ParseFailure(word.span(), "After the point comes the name of a field.");
            }
            words.add(word.text());
        }
        return new Path(words);
    }

    private Format format() throws ParseFailure {
        Token first = peek();
        if (first.kind() == Token.Kind.STRING) {
            return quotedFormat(take());
        }
        StringBuilder words = new StringBuilder();
        while (!peek().isWord("else") && (peek().kind() == Token.Kind.WORD || peek().kind() == Token.Kind.NUMBER)) {
            words.append(words.isEmpty() ? "" : " ").append(take().text());
        }
        Span span = new Span(
                first.span().start(), tokens.get(Math.max(at - 1, 0)).span().end());
        if (words.isEmpty()) {
            throw new ParseFailure(first.span(), "After “as” comes a format, such as “long date”.");
        }
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
        if (peek().isWord("or")) {
            at++;
            Token other = take();
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
                    text.span(), "“" + text.text() + "” is no date pattern. Try one such as “d MMMM yyyy”.");
        }
    }

    private Token peek() {
        return tokens.get(at);
    }

    private Token take() {
        Token token = tokens.get(at);
        if (token.kind() != Token.Kind.END) {
            at++;
        }
        return token;
    }
}
