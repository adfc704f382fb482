package famulus.core.message;

/** The texts of a message that a writer writes. */
public enum MessagePart {
    SUBJECT,
    PREVIEW_TEXT,
    BODY
}
