package famulus.core.message.body;

/** What a template is written as. */
public enum Mode {
    /** Formatted text without a frame; looks typed by hand. */
    LETTER,
    /** Bands and blocks. */
    DESIGNED,
    /** Words and fields only. */
    PLAIN,
    /** HTML that was brought in: one block of own HTML, as wide as it likes. */
    SOURCE
}
