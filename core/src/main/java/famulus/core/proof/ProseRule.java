package famulus.core.proof;

import java.util.List;

/** One thing looked for in what a message says, in a language that is known. Pure, as a {@link Check}. */
@FunctionalInterface
interface ProseRule {
    /**
     * Reads a message.
     *
     * @param texts subject, preview text and body, each in the order of the message; never empty
     * @return what there is to say; never null
     */
    List<Note> read(List<ProseText> texts, Circumstances around);
}
