package famulus.server.outbox;

import java.time.Duration;

/**
 * How long a mail server may take over each step before it counts as silent.
 *
 * @param connecting to answer a connection at all
 * @param greeting to greet (RFC 5321, 4.5.3.2.1)
 * @param command for MAIL, RCPT and all other commands (4.5.3.2.2 and 4.5.3.2.3)
 * @param data to ask for the data (4.5.3.2.4)
 * @param block to take a block of the data (4.5.3.2.5)
 * @param end to answer the final dot (4.5.3.2.6)
 */
record MailLimits(
        Duration connecting, Duration greeting, Duration command, Duration data, Duration block, Duration end) {

    /** The least that RFC 5321 asks a client to wait. */
    static final MailLimits STANDARD = new MailLimits(
            Duration.ofSeconds(30),
            Duration.ofMinutes(5),
            Duration.ofMinutes(5),
            Duration.ofMinutes(2),
            Duration.ofMinutes(3),
            Duration.ofMinutes(10));

    /**
     * How long to wait for the answer to a command.
     *
     * @param command as it goes over the line; empty while the greeting is awaited
     */
    Duration answerTo(String command) {
        String verb = command.split(" ", 2)[0];
        return switch (verb) {
            case "" -> greeting;
            case "DATA" -> data;
            case "." -> end;
            // Asked only to learn whether a kept connection is alive; a new one is made soon enough.
            case "NOOP" -> connecting;
            default -> this.command;
        };
    }
}
