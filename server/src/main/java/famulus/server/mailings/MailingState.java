package famulus.server.mailings;

/** Where a mailing stands. */
public enum MailingState {
    /** It has not been started. */
    WRITING,
    /** Its messages leave, each at its time. */
    RUNNING,
    /** Somebody, or something, has had it wait. */
    PAUSED,
    /** Somebody has ended it before all had left. */
    STOPPED,
    /** Nothing of it is to leave any more. */
    DONE
}
