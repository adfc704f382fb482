package famulus.core.condition;

import famulus.core.calendar.Reckoning;
import famulus.core.calendar.ReckoningReader;
import famulus.core.syntax.ParseFailure;
import famulus.core.syntax.Span;
import famulus.core.syntax.Token;
import famulus.core.syntax.TokenCursor;
import famulus.core.syntax.Tokens;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;

/**
 * Reads the written form of conditions. The grammar, in the notation of ISO/IEC 14977:
 *
 * <pre>
 * condition  = part, { "or", part } ;
 * part       = one, { "and", one } ;
 * one        = "not", one | "(", condition, ")" | comparison ;
 * comparison = reckoning, verb ;                    (reckoning as in ReckoningReader)
 * verb       = ( "is" | "is not" | "is more than" | "is less than" | "is at least" | "is at most" | "is before"
 *              | "is after" | "contains" | "does not contain" | "starts with" ), measure
 *            | ( "is one of" | "is not one of" ), "(", measure, { ",", measure }, ")"
 *            | "is between", measure, "and", measure
 *            | ( "is within" | "is within the next" | "is within the last" ), number, ( "day" | "days" )
 *            | "is more than", number, ( "day" | "days" ), "ago"
 *            | "is empty" | "is filled" ;
 * measure    = string | number, [ currency ] | "yes" | "no" | reckoning ;
 * currency   = three letters ;
 * </pre>
 */
public final class ConditionParser {
    /** So many brackets may be open at once; deeper ones are a slip, or an attack on the machine. */
    private static final int DEEPEST = 40;

    private static final int LONGEST_NUMBER = 20;

    private final TokenCursor tokens;
    private int depth;

    private ConditionParser(TokenCursor tokens) {
        this.tokens = tokens;
    }

    /**
     * Reads a condition that stands by itself.
     *
     * @throws ParseFailure with the place and a sentence for the writer
     */
    public static Condition parse(String written) throws ParseFailure {
        TokenCursor tokens = new TokenCursor(Tokens.of(written, 0, written.length()));
        Condition condition = read(tokens);
        if (!tokens.atEnd()) {
            throw unexpected(tokens.peek());
        }
        return condition;
    }

    /**
     * Reads a condition from the next token on, to the end of the tokens.
     *
     * @throws ParseFailure with the place and a sentence for the writer
     */
    public static Condition read(TokenCursor tokens) throws ParseFailure {
        if (tokens.atEnd()) {
            throw new ParseFailure(
                    tokens.peek().span(), "A condition is missing here, such as “deal.stage is \"Won\"”.");
        }
        Condition condition = new ConditionParser(tokens).any();
        if (!tokens.atEnd()) {
            throw unexpected(tokens.peek());
        }
        return condition;
    }

    private static ParseFailure unexpected(Token token) {
        return new ParseFailure(
                token.span(), "After a comparison comes “and”, “or” or the end, not “" + token.text() + "”.");
    }

    private Condition any() throws ParseFailure {
        List<Condition> parts = new ArrayList<>(List.of(every()));
        while (tokens.takeIf("or")) {
            parts.add(every());
        }
        return parts.size() == 1 ? parts.getFirst() : new Condition.Any(parts, around(parts));
    }

    private Condition every() throws ParseFailure {
        List<Condition> parts = new ArrayList<>(List.of(one()));
        while (tokens.takeIf("and")) {
            parts.add(one());
        }
        return parts.size() == 1 ? parts.getFirst() : new Condition.Every(parts, around(parts));
    }

    private Condition one() throws ParseFailure {
        Token first = tokens.peek();
        if (++depth > DEEPEST) {
            throw new ParseFailure(
                    first.span(),
                    "Conditions are nested too deep here. At most " + DEEPEST + " can be inside one another.");
        }
        try {
            if (tokens.takeIf("not")) {
                Condition part = one();
                return new Condition.Not(part, new Span(first.span().start(), tokens.lastEnd()));
            }
            if (first.kind() == Token.Kind.OPENING) {
                tokens.take();
                Condition inside = any();
                if (tokens.take().kind() != Token.Kind.CLOSING) {
                    throw new ParseFailure(first.span(), "This bracket is never closed. Close it with ).");
                }
                return inside;
            }
            return comparison();
        } finally {
            depth--;
        }
    }

    private Condition comparison() throws ParseFailure {
        int start = tokens.peek().span().start();
        Reckoning subject = ReckoningReader.read(tokens);
        Verb verb = verb();
        List<Measure> values =
                switch (verb.takes()) {
                    case NOTHING -> List.of();
                    case ONE -> List.of(measure());
                    case TWO -> two();
                    case SEVERAL -> several();
                    case DAYS -> List.of(days(verb));
                };
        return new Condition.Comparison(subject, verb, values, new Span(start, tokens.lastEnd()));
    }

    private Verb verb() throws ParseFailure {
        for (Verb verb : Verb.values()) {
            if (verb != Verb.IS_MORE_THAN_AGO
                    && tokens.takeIf(List.of(verb.written().split(" ")))) {
                return verb == Verb.IS_MORE_THAN && tokens.peekAfter().text().matches("days?")
                        ? Verb.IS_MORE_THAN_AGO
                        : verb;
            }
        }
        Token next = tokens.peek();
        String found = next.kind() == Token.Kind.END ? "nothing" : "“" + next.text() + "”";
        throw new ParseFailure(
                next.span(),
                "After a value comes how it is compared, such as “is”, “is more than”, “contains” or “is filled”, not "
                        + found + ".");
    }

    private List<Measure> two() throws ParseFailure {
        Measure low = measure();
        if (!tokens.takeIf("and")) {
            throw new ParseFailure(tokens.peek().span(), "After “between” come two values with “and” between them.");
        }
        return List.of(low, measure());
    }

    private List<Measure> several() throws ParseFailure {
        Token opening = tokens.take();
        if (opening.kind() != Token.Kind.OPENING) {
            throw new ParseFailure(opening.span(), "After “one of” come values in brackets, with commas between.");
        }
        List<Measure> values = new ArrayList<>(List.of(measure()));
        while (tokens.peek().kind() == Token.Kind.COMMA) {
            tokens.take();
            values.add(measure());
        }
        if (tokens.take().kind() != Token.Kind.CLOSING) {
            throw new ParseFailure(opening.span(), "This bracket is never closed. Close it with ).");
        }
        return values;
    }

    private Measure days(Verb verb) throws ParseFailure {
        Token number = tokens.take();
        if (number.kind() != Token.Kind.NUMBER || !number.text().matches("[0-9]{1,5}")) {
            throw new ParseFailure(number.span(), "A whole number of days is missing here.");
        }
        if (!tokens.takeIf("days") && !tokens.takeIf("day")) {
            throw new ParseFailure(tokens.peek().span(), "After the number comes “days”.");
        }
        if (!verb.after().isEmpty() && !tokens.takeIf(verb.after().strip())) {
            throw new ParseFailure(tokens.peek().span(), "After “days” comes “ago”.");
        }
        return new Measure.Figure(new BigDecimal(number.text()), "");
    }

    private Measure measure() throws ParseFailure {
        Token next = tokens.peek();
        return switch (next.kind()) {
            case STRING -> new Measure.Text(tokens.take().text());
            case NUMBER -> figure();
            case WORD ->
                (next.isWord("yes") || next.isWord("no"))
                        ? new Measure.Answer(tokens.take().isWord("yes"))
                        : new Measure.Other(ReckoningReader.read(tokens));
            default ->
                throw new ParseFailure(
                        next.span(),
                        "Something to compare with is missing here: a text in quotes, a number or a field.");
        };
    }

    private Measure figure() throws ParseFailure {
        Token number = tokens.take();
        if (number.text().length() > LONGEST_NUMBER) {
            throw new ParseFailure(number.span(), "This number is too long.");
        }
        boolean currency = tokens.peek().kind() == Token.Kind.WORD
                && tokens.peek().text().matches("[a-z]{3}")
                && !tokens.peek().isWord("and");
        return new Measure.Figure(
                new BigDecimal(number.text()), currency ? tokens.take().text().toUpperCase(Locale.ROOT) : "");
    }

    private static Span around(List<Condition> parts) {
        return Stream.of(parts.getFirst().span(), parts.getLast().span())
                .reduce((first, last) -> new Span(first.start(), last.end()))
                .orElseThrow();
    }
}
