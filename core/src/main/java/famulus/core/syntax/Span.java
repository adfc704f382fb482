package famulus.core.syntax;

/**
 * A stretch of source text, counted in UTF-16 units as Java and browsers count them.
 *
 * @param start first unit of the stretch
 * @param end unit after the last one; never before {@code start}
 */
public record Span(int start, int end) {
    public Span {
        if (start < 0 || end < start) {
            throw new IllegalArgumentException("Not a span: " + start + " to " + end);
        }
    }

    /** Returns this span moved {@code by} units to the right. */
    public Span shifted(int by) {
        return new Span(start + by, end + by);
    }
}
