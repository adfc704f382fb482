package famulus.core.proof;

import famulus.core.message.MessagePart;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * {@code gap} in a message that is about to leave: space before a comma, as where a missing value was deleted and nothing
 * written in its place. E.g. “Dear ,”.
 */
final class HoleCheck implements Check {
    private static final Pattern HOLE = Pattern.compile("(?<=\\p{L})[ \\t\\u00a0]+(?=,)");

    @Override
    public List<Note> read(ProofSubject subject) {
        if (!subject.sending()) {
            return List.of();
        }
        List<Note> notes = new ArrayList<>();
        for (MessagePart part : MessagePart.values()) {
            MergedPlaces merged = new MergedPlaces(
                    subject.merged().merged(part).pieces(),
                    piece -> !ofHouseStyle(subject, part, piece.span().start()));
            Matcher hole = HOLE.matcher(merged.text());
            while (hole.find()) {
                notes.add(new Note(
                        StopCode.GAP.code(),
                        Note.Level.STOP,
                        "A word is missing before this comma",
                        "Write it, or remove the space.",
                        part,
                        merged.span(hole.start(), hole.end() + 1),
                        List.of()));
            }
        }
        return notes;
    }

    private static boolean ofHouseStyle(ProofSubject subject, MessagePart part, int at) {
        return subject.source()
                .layout(part)
                .map(layout -> layout.text().ofHouseStyle(at))
                .orElse(false);
    }
}
