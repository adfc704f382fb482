package famulus.core.message.personal;

import famulus.core.field.Path;
import famulus.core.merge.Piece;
import famulus.core.merge.WordsWriter;
import famulus.core.message.personal.MergedText.FilledValue;
import java.util.ArrayList;
import java.util.List;

/** Writes merged pieces as source in which values are words, and remembers where they stand. */
final class TextWriter {
    private final StringBuilder source = new StringBuilder();
    private final List<FilledValue> values = new ArrayList<>();
    private WordsWriter writer = new WordsWriter();

    /** Adds a stretch; returns its source. */
    String add(List<Piece> pieces) {
        int from = source.length();
        for (Piece piece : pieces) {
            int start = source.length();
            switch (piece.origin()) {
                case WRITTEN -> source.append(writer.words(piece.text()));
                case RECORD, FALLBACK, CHOSEN, ANSWERED -> {
                    source.append(writer.words(piece.text()));
                    values.add(new FilledValue(
                            start,
                            source.length(),
                            piece.written(),
                            piece.origin(),
                            piece.path().map(Path::toString).orElse(""),
                            piece.stored().orElse(""),
                            piece.fallback()));
                }
                case GAP, ASKED -> source.append(writer.field(piece.written()));
                case BROKEN -> source.append(writer.field(piece.text()));
                case BLANK, BRANCH, CHOICE_END, CHOICE_PASSED -> {}
            }
        }
        return source.substring(from);
    }

    /** Ends a paragraph. */
    void nextParagraph() {
        source.append('\n');
        writer = new WordsWriter();
    }

    MergedText text() {
        return new MergedText(source.toString(), values);
    }
}
