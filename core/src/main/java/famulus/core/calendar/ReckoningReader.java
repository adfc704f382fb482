package famulus.core.calendar;

import famulus.core.field.Path;
import famulus.core.syntax.ParseFailure;
import famulus.core.syntax.Token;
import famulus.core.syntax.TokenCursor;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Reads a path and what is reckoned from it.
 *
 * <pre>
 * reckoning = path, { ( "plus" | "minus" ), number, unit } ;
 * path      = word, { ".", word } ;
 * unit      = "day" | "days" | "working day" | "working days" | "week" | "weeks" | "month" | "months" | "hour" | "hours" ;
 * </pre>
 */
public final class ReckoningReader {
    private static final int MOST_STEPS = 20;
    private static final int MOST_WORDS = 12;
    /** The largest number that may be added in any unit: years of hours, and still quick to walk in working days. */
    private static final int MOST = 10_000;

    private ReckoningReader() {}

    /**
     * Reads from the next token on, and stops at the first that does not belong.
     *
     * @throws ParseFailure with the place, when a word or a unit is missing
     */
    public static Reckoning read(TokenCursor tokens) throws ParseFailure {
        Path path = path(tokens);
        List<Reckoning.Step> steps = new ArrayList<>();
        while (tokens.peek().isWord("plus") || tokens.peek().isWord("minus")) {
            Token sign = tokens.take();
            if (steps.size() == MOST_STEPS) {
                throw new ParseFailure(sign.span(), "At most " + MOST_STEPS + " steps can be added up.");
            }
            steps.add(step(tokens, sign.isWord("minus")));
        }
        return new Reckoning(path, steps);
    }

    private static Reckoning.Step step(TokenCursor tokens, boolean minus) throws ParseFailure {
        Token number = tokens.take();
        if (number.kind() != Token.Kind.NUMBER || !number.text().matches("[0-9]{1,5}")) {
            throw new ParseFailure(
                    number.span(), "After “plus” and “minus” comes a whole number, such as “plus 5 working days”.");
        }
        int many = Integer.parseInt(number.text());
        if (many > MOST) {
            throw new ParseFailure(number.span(), "At most " + MOST + " can be added or taken away.");
        }
        Token next = tokens.peek();
        Optional<TimeUnit> unit = TimeUnit.read(tokens);
        return new Reckoning.Step(
                minus ? -many : many,
                unit.orElseThrow(() -> new ParseFailure(
                        next.span(), "After the number comes days, working days, weeks, months or hours.")));
    }

    private static Path path(TokenCursor tokens) throws ParseFailure {
        Token first = tokens.take();
        if (first.kind() != Token.Kind.WORD) {
            throw new ParseFailure(first.span(), "A field is missing here.");
        }
        List<String> words = new ArrayList<>(List.of(first.text()));
        while (tokens.peek().kind() == Token.Kind.POINT) {
            tokens.take();
            Token word = tokens.take();
            if (word.kind() != Token.Kind.WORD || words.size() == MOST_WORDS) {
                throw new ParseFailure(word.span(), "After the point comes the name of a field.");
            }
            words.add(word.text());
        }
        return new Path(words);
    }
}
