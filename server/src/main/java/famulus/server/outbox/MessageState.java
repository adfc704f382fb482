package famulus.server.outbox;

/** Where a message stands. */
public enum MessageState {
    /** To be sent, now or when the mail server takes it again. */
    WAITING,
    /** Handed to the mail server, whose answer is not known yet. */
    SENDING,
    /** Taken by the mail server. */
    SENT,
    /** Turned away for good. */
    REFUSED
}
