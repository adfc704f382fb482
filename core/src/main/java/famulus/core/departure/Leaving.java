package famulus.core.departure;

/** How words leave their writer. */
public enum Leaving {
    /** As a message to a person. */
    SEND,
    /** As a test to colleagues, merged for a person. */
    TEST,
    /** As a template that colleagues may use from now on; what one person lacks says nothing of it. */
    READY
}
