package famulus.core.merge;

/** Why a piece says what it says. */
public enum Origin {
    /** Stands so in the template. */
    WRITTEN,
    /** A stored value, or the day of sending. */
    RECORD,
    /** The value was missing; a later term of the chain printed. */
    FALLBACK,
    /** Given by the sender for this one message. */
    CHOSEN,
    /** Blank on purpose. */
    BLANK,
    /** Neither value nor fallback. */
    GAP,
    /** Could not be read; printed as it was written. */
    BROKEN
}
