package famulus.server.library;

import famulus.core.message.OwnText;

/**
 * The plain text of a letter or designed message that somebody keeps by hand, in the place of the one that is derived.
 *
 * @param words in the merge language
 * @param of what the message said when it was last looked at, as a digest
 */
public record KeptPlainText(String words, String of) {
    public KeptPlainText {
        words = words == null ? "" : words;
        of = of == null ? "" : of;
    }

    /** As the core reads it. */
    public OwnText read() {
        return new OwnText(words, of);
    }

    /** As it is kept. */
    public static KeptPlainText of(OwnText text) {
        return new KeptPlainText(text.words(), text.of());
    }
}
