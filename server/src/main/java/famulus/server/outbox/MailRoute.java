package famulus.server.outbox;

/** Where mail is handed over when not to the mail server of the configuration: the demo's mail server. */
public interface MailRoute {
    /** Host to connect to, without sign-in or encryption. */
    String host();

    /** Its port at this moment. */
    int port();
}
