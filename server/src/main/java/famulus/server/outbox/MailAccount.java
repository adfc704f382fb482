package famulus.server.outbox;

import java.util.Map;
import java.util.Properties;

/**
 * Where and as whom mail is handed over.
 *
 * @param user who signs in; null to do without
 * @param settings further properties of the mail library, such as those for encryption
 */
record MailAccount(String host, int port, String user, String password, Map<String, String> settings) {

    MailAccount {
        settings = Map.copyOf(settings);
    }

    /** What the mail library needs for one connection. */
    Properties properties(MailLimits limits, HeldSocket socket) {
        Properties properties = new Properties();
        properties.putAll(settings);
        properties.put("mail.smtp.connectiontimeout", milliseconds(limits.connecting()));
        properties.put("mail.smtp.timeout", milliseconds(limits.greeting()));
        properties.put("mail.smtp.writetimeout", milliseconds(limits.block()));
        properties.put("mail.smtp.socketFactory", socket);
        properties.put("mail.smtp.socketFactory.fallback", "false");
        // What is said at the end changes nothing, so nobody waits for it.
        properties.put("mail.smtp.quitwait", "false");
        return properties;
    }

    private static String milliseconds(java.time.Duration time) {
        return Long.toString(time.toMillis());
    }
}
