package famulus.core.syntax;

import java.util.List;

/** Ends the reading of one field or condition; never leaves the core. */
public final class ParseFailure extends Exception {
    private static final long serialVersionUID = 1L;
    private final transient Problem problem;

    /** Fails at a place. */
    public ParseFailure(Span span, String sentence) {
        this(span, sentence, List.of());
    }

    /** Fails at a place, with names that may have been meant. */
    public ParseFailure(Span span, String sentence, List<String> nearest) {
        super(sentence, null, false, false);
        this.problem = new Problem(Problem.Code.FIELD_BROKEN, span, sentence, nearest);
    }

    /** Fails with a problem that says how it is mended. */
    public ParseFailure(Problem problem) {
        super(problem.sentence(), null, false, false);
        this.problem = problem;
    }

    /** What is wrong, and where. */
    public Problem problem() {
        return problem;
    }
}
