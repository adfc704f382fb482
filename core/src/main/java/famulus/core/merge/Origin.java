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
    /** Put in by the sender, where the template asks for it. */
    ANSWERED,
    /** Asked of the sender, who has not put it in yet. */
    ASKED,
    /** Prints nothing: here the branch of a choice begins that was taken. */
    BRANCH,
    /** Prints nothing: here a choice ends of which a branch was taken. */
    CHOICE_END,
    /** Prints nothing: here a choice ends of which no branch was taken. */
    CHOICE_PASSED,
    /** Blank on purpose. */
    BLANK,
    /** Neither value nor fallback. */
    GAP,
    /** Could not be read; printed as it was written. */
    BROKEN
}
