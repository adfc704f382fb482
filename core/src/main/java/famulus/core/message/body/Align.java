package famulus.core.message.body;

/** Horizontal alignment; start is left in a language read from the left. */
public enum Align {
    START,
    CENTRE,
    END
}
