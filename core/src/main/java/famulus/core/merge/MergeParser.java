package famulus.core.merge;

import famulus.core.syntax.Problem;
import famulus.core.syntax.Span;
import java.util.List;
import java.util.Set;

/**
 * Reads the written form of a text into a {@link Program}, in one pass and in time linear to its length.
 *
 * <p>Never throws: what can't be read becomes a {@link Node.Broken} with its place, and the rest is read on. The
 * grammar, in the notation of ISO/IEC 14977:
 *
 * <pre>
 * text       = { literal | field | choice } ;
 * literal    = any characters but "{" ; "\{" stands for a brace, "\\{" for a backslash before a field ;
 * field      = "{", expression, "}" ;                    (on one line)
 * choice     = "{when", condition, "}", text, { "{otherwise when", condition, "}", text },
 *              [ "{otherwise}", text ], "{end}" ; (condition as in ConditionParser)
 * expression = term, { "else", term } ;
 * term       = operand, [ "as", format ] ;
 * operand    = reckoning | string | number | "nothing" | "write", "in", string ;   (reckoning as in ReckoningReader)
 * format     = a name of FormatName | digit, "decimals" | string | string, "or", string ;
 * string     = a text in straight or typographic quotes; \" \\ \{ \} stand for these characters ;
 * </pre>
 */
public final class MergeParser {
    private static final Set<String> MOMENTS = Set.of("today", "now");

    private final String source;
    private final ChoiceBuilder nodes = new ChoiceBuilder();
    private final StringBuilder literal = new StringBuilder();
    private final int[] cuts;
    private final int[] quiet;
    private int nextCut;
    private int nextQuiet;
    private int literalStart;

    private MergeParser(String source, int[] cuts, int[] quiet) {
        this.quiet = quiet;
        this.source = source;
        this.cuts = cuts;
    }

    /**
     * Parses a text.
     *
     * @param source any text; line breaks of every sort are read as {@code \n} or kept as they are
     * @return its program; {@link Program#problems()} says what could not be read
     */
    public static Program parse(String source) {
        return parse(source, new int[0]);
    }

    /**
     * Parses a text that is made of several strings put together.
     *
     * @param cuts where a string begins, in order: a literal ends there, so that it can be told whose it is
     */
    public static Program parse(String source, int[] cuts) {
        return parse(source, cuts, new int[0]);
    }

    /**
     * Parses a text some of which is not looked at, such as the style sheets of HTML: braces are characters there.
     *
     * @param quiet where such stretches begin and end by turns, in order
     */
    public static Program parse(String source, int[] cuts, int[] quiet) {
        return new MergeParser(source, cuts, quiet).run();
    }

    private Program run() {
        int at = 0;
        while (at < source.length()) {
            while (nextCut < cuts.length && cuts[nextCut] <= at) {
                endLiteral(at);
                nextCut++;
            }
            char c = source.charAt(at);
            if (isQuiet(at)) {
                literal.append(c);
                at++;
            } else if (c == '\\') {
                at = backslashes(at);
            } else if (c == '{') {
                at = field(at);
            } else {
                literal.append(c);
                at++;
            }
        }
        endLiteral(at);
        return new Program(source, nodes.finish(source.length()));
    }

    private boolean isQuiet(int at) {
        while (nextQuiet < quiet.length && quiet[nextQuiet + 1] <= at) {
            nextQuiet += 2;
        }
        return nextQuiet < quiet.length && quiet[nextQuiet] <= at;
    }

    /** Backslashes mean something only right before an opening brace: two are one, an odd one makes the brace plain. */
    private int backslashes(int from) {
        int at = from;
        while (at < source.length() && source.charAt(at) == '\\') {
            at++;
        }
        int count = at - from;
        if (at == source.length() || source.charAt(at) != '{') {
            literal.repeat('\\', count);
            return at;
        }
        literal.repeat('\\', count / 2);
        if (count % 2 == 1) {
            literal.append('{');
            return at + 1;
        }
        return at;
    }

    private int field(int from) {
        endLiteral(from);
        int end = from + 1;
        boolean closed = false;
        while (end < source.length() && !closed) {
            char c = source.charAt(end);
            if (c == '{' || c == '\n' || c == '\r') {
                break;
            }
            boolean escape = c == '\\' && end + 1 < source.length() && "{}\"\\".indexOf(source.charAt(end + 1)) >= 0;
            closed = c == '}';
            end += escape ? 2 : 1;
        }
        Span span = new Span(from, end);
        if (closed) {
            Tag.read(source, span).ifPresentOrElse(nodes::add, () -> nodes.add(ExpressionParser.parse(source, span)));
        } else {
            nodes.add(new Node.Broken(
                    source.substring(from, end),
                    new Problem(
                                    Problem.Code.FIELD_BROKEN,
                                    span,
                                    "This brace is never closed. Close it with }, or write \\{ for a plain brace.",
                                    List.of())
                            .mendedBy(unclosed(span)),
                    span));
        }
        literalStart = end;
        return end;
    }

    /** What reads as a field or a tag once it is closed is closed; any other brace is made plain. */
    private Problem.Fix unclosed(Span span) {
        String closed = source.substring(span.start(), span.end()).stripTrailing() + "}";
        int end = span.start() + closed.length() - 1;
        boolean tag = Tag.read(closed, new Span(0, closed.length())).isPresent();
        return tag || isField(closed)
                ? new Problem.Fix("Close it", new Span(end, end), "}")
                : new Problem.Fix("Make it a plain brace", new Span(span.start(), span.start()), "\\");
    }

    private static boolean isField(String closed) {
        return ExpressionParser.parse(closed, new Span(0, closed.length())) instanceof Node.Field field
                && field.expression()
                        .leadingPath()
                        .filter(path -> path.words().size() == 1)
                        .filter(path -> !MOMENTS.contains(path.root()))
                        .isEmpty();
    }

    private void endLiteral(int at) {
        if (!literal.isEmpty()) {
            nodes.add(new Node.Literal(literal.toString(), new Span(literalStart, at)));
            literal.setLength(0);
        }
        literalStart = at;
    }
}
