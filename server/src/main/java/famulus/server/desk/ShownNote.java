package famulus.server.desk;

import famulus.core.message.MessagePart;
import famulus.core.proof.Note;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.UUID;

/** A margin note; {@code level} is STOP or QUERY, {@code block} the block it is about, empty for words.
 *  {@code words} tells it from others of its code; {@code waved} is null unless it was let pass; {@code message} is null unless
 *  it is about one that was sent before. */
public record ShownNote(
        String code,
        Note.Level level,
        String title,
        String remedy,
        MessagePart part,
        int start,
        int end,
        List<String> nearest,
        @Schema(nullable = true) ShownFix fix,
        String block,
        String words,
        @Schema(nullable = true) ShownWave waved,
        @Schema(nullable = true) UUID message) {
    /** Why a query was let pass, and by whom. */
    public record ShownWave(String reason, String by) {}

    /** A change of the draft that mends what a note is about. */
    public record ShownFix(String label, int start, int end, String text) {}
}
