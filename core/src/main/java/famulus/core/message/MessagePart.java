package famulus.core.message;

/** The texts of a message; whatever is asked of its words is asked of each of them. */
public enum MessagePart {
    SUBJECT,
    PREVIEW_TEXT,
    BODY,
    /** What its house style says around plain words. */
    AROUND,
    /** The plain text of a letter or designed message, where that is kept by hand. */
    PLAIN_TEXT
}
