package famulus.core.merge;

import famulus.core.syntax.Span;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A text that is merged for nobody: every field prints as it is written, every branch of a choice with its tags. What it prints
 * can be merged again. E.g. {@code Dear {person.first_name},} prints itself.
 */
public final class AsWritten {
    private final String source;
    private final List<Piece> pieces = new ArrayList<>();

    private AsWritten(String source) {
        this.source = source;
    }

    /**
     * The pieces of a text.
     *
     * @param program the parsed text
     * @param source what it was parsed from
     */
    public static Merged of(Program program, String source) {
        AsWritten text = new AsWritten(source);
        text.add(program.nodes());
        return new Merged(text.pieces);
    }

    private void add(List<Node> nodes) {
        for (Node node : nodes) {
            switch (node) {
                case Node.Literal literal -> add(Origin.WRITTEN, literal.span());
                case Node.Broken broken -> add(Origin.WRITTEN, broken.span());
                case Node.Field field -> add(Origin.WRITTEN, field.span());
                case Node.Choice choice -> {
                    for (Node.Branch branch : choice.branches()) {
                        add(Origin.BRANCH, branch.tag());
                        add(branch.nodes());
                    }
                    add(Origin.CHOICE_END, choice.end());
                }
            }
        }
    }

    private void add(Origin origin, Span span) {
        String text = source.substring(span.start(), span.end());
        pieces.add(new Piece(text, origin, span, Optional.empty(), Optional.empty(), "", 0));
    }
}
