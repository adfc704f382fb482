package famulus.core.proof;

import famulus.core.message.MessagePart;
import famulus.core.syntax.Problem;
import famulus.core.syntax.Span;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * A margin note: what the proofreader has to say about one place.
 *
 * @param code which check, such as {@code gap}
 * @param level whether the message may leave all the same
 * @param title names the thing, in a few words
 * @param remedy what to do about it, in a sentence
 * @param part which text it is about
 * @param span the place in that text as written
 * @param nearest names that may have been meant, best first; each can stand in place of the span
 * @param fix the one obvious way to mend it, if there is one
 * @param block the block it is about, when it is about one rather than about words; empty for none
 * @param message a message that was sent before and that it is about, if there is one
 */
public record Note(
        String code,
        Level level,
        String title,
        String remedy,
        MessagePart part,
        Span span,
        List<String> nearest,
        Optional<Problem.Fix> fix,
        String block,
        Optional<UUID> message) {
    public Note {
        nearest = List.copyOf(nearest);
        if (level == Level.STOP
                && StopCode.of(code).isEmpty()
                && QueryCode.of(code).isEmpty()) {
            throw new IllegalArgumentException("“" + code + "” stops, and is not among the codes that do");
        }
    }

    /** A note about words. */
    public Note(
            String code,
            Level level,
            String title,
            String remedy,
            MessagePart part,
            Span span,
            List<String> nearest,
            Optional<Problem.Fix> fix) {
        this(code, level, title, remedy, part, span, nearest, fix, "", Optional.empty());
    }

    /** The same about words of a block, or about the block. */
    Note inBlock(String which) {
        return new Note(code, level, title, remedy, part, span, nearest, fix, which, message);
    }

    /** A note about a block of the body; its place is that of a string of the block, or any when it has none. */
    static Note ofBlock(String code, Level level, String title, String remedy, Span span, String block) {
        return new Note(code, level, title, remedy, MessagePart.BODY, span, List.of()).inBlock(block);
    }

    /** A note that is dealt with by hand. */
    public Note(
            String code, Level level, String title, String remedy, MessagePart part, Span span, List<String> nearest) {
        this(code, level, title, remedy, part, span, nearest, Optional.empty());
    }

    /** The same about another text. */
    Note in(MessagePart other) {
        return new Note(code, level, title, remedy, other, span, nearest, fix, block, message);
    }

    /** The same, stopping what it would only ask about. */
    Note stopping() {
        return new Note(code, Level.STOP, title, remedy, part, span, nearest, fix, block, message);
    }

    /** The same about a message that was sent before. */
    Note about(UUID sent) {
        return new Note(code, level, title, remedy, part, span, nearest, fix, block, Optional.of(sent));
    }

    /** Whether the message can't leave before this is dealt with. */
    public boolean stops() {
        return level == Level.STOP;
    }

    /** How much a note weighs. */
    public enum Level {
        /** The message can't leave. */
        STOP,
        /** A question to the writer. */
        QUERY
    }
}
