package famulus.core.merge;

import java.util.List;

/** Ends the reading of one field; never leaves this package. */
final class ParseFailure extends Exception {
    private static final long serialVersionUID = 1L;
    private final transient Problem problem;

    ParseFailure(Span span, String sentence) {
        this(span, sentence, List.of());
    }

    ParseFailure(Span span, String sentence, List<String> nearest) {
        super(sentence, null, false, false);
        this.problem = new Problem(Problem.Code.FIELD_BROKEN, span, sentence, nearest);
    }

    Problem problem() {
        return problem;
    }
}
