package famulus.server.outbox;

/** Where a message stands. */
public enum MessageState {
    /** To be sent, now or when the mail server takes it again. */
    WAITING,
    /** Held just before it was to leave, since something has changed; somebody has to look at it. */
    HELD,
    /** Handed to the mail server, whose answer is not known yet. */
    SENDING,
    /** Taken by the mail server. */
    SENT,
    /** Handed over, and no answer came: it may have been taken or not. It is not sent again by itself. */
    NOT_SURE,
    /** Turned away for good. */
    REFUSED,
    /** Taken back by somebody before it went. */
    CANCELLED
}
