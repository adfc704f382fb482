package famulus.core.audience;

/**
 * Why somebody does not get a message that goes to several.
 *
 * @param sentence for a person to read
 */
public record Reason(Kind kind, String sentence) {
    /** What keeps a message from somebody. */
    public enum Kind {
        /** A deal without a main contact. */
        NOBODY(false),
        NO_ADDRESS(false),
        BAD_ADDRESS(false),
        /** The last message to the address was refused. */
        REFUSED(false),
        DO_NOT_EMAIL(false),
        /** They want none of these messages. */
        UNSUBSCRIBED(false),
        /** They want nothing about this topic. */
        TOPIC(false),
        /** They want them less often. */
        TOO_OFTEN(false),
        /** Somebody else who gets it has the same address. */
        SAME_ADDRESS(false),
        WRITTEN_RECENTLY(true),
        ON_LIST(true);

        private final boolean yields;

        Kind(boolean yields) {
            this.yields = yields;
        }

        /** Whether somebody may be put back in spite of it: what they, or the law, have a say in does not yield. */
        public boolean yields() {
            return yields;
        }
    }
}
