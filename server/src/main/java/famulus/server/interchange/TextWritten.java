package famulus.server.interchange;

/** What a text that is brought in is written as. */
public enum TextWritten {
    HTML,
    MARKDOWN,
    /** Words alone: an empty line parts paragraphs. */
    WORDS
}
