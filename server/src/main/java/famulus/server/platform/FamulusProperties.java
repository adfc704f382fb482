package famulus.server.platform;

import java.time.Instant;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * The application's own settings, all under {@code famulus}.
 *
 * @param data folder that holds the database; {@code memory} keeps nothing
 * @param demo whether to run with the made-up company and the demo inboxes
 * @param now the instant the clock starts from; absent for the machine's own time
 * @param demoMailPort port of the demo inboxes' mail server; 0 takes any that is free
 * @param mailDomain the part after {@code @} in the identifiers of messages; empty for the house's domain
 * @param publicAddress where readers of messages reach us, such as {@code https://post.example.com}; empty for nowhere,
 *     in the demo this machine
 * @param takeBackSeconds how long a message waits before it leaves, of whoever has not chosen otherwise
 * @param statementSeconds how long a single statement may run before it is stopped and refused in words
 */
@ConfigurationProperties("famulus")
public record FamulusProperties(
        @DefaultValue("memory") String data,
        @DefaultValue("false") boolean demo,
        Instant now,
        @DefaultValue("0") int demoMailPort,
        @DefaultValue("") String mailDomain,
        @DefaultValue("") String publicAddress,
        @DefaultValue("10") int takeBackSeconds,
        @DefaultValue("20") int statementSeconds) {

    /** Whether the data are in memory, and go with the process. */
    public boolean inMemory() {
        return data.equals("memory");
    }
}
