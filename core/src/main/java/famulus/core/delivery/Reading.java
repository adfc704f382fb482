package famulus.core.delivery;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;

/**
 * A sign that a message was read: its picture was fetched, or a link followed.
 *
 * @param link which link; empty when the message was shown
 * @param program what the fetching program says of itself; empty when it says nothing
 * @param ahead whether the program said that nobody has asked for it yet
 */
public record Reading(Instant at, String link, String program, boolean ahead) {
    /** Nobody has a message open sooner after it was handed over; filters have. */
    private static final Duration TOO_SOON = Duration.ofSeconds(2);
    /** Nobody follows two different links sooner after each other; what tries every link does. */
    private static final Duration TOO_CLOSE = Duration.ofSeconds(1);

    private static final Pattern CALLS_ITSELF_A_MACHINE = Pattern.compile(
            "bot\\b|bot/|crawl|spider|scan|preview|prefetch|proxy|fetch|monitor|headless|curl|wget|python|java/|okhttp"
                    + "|go-http|libwww");

    /**
     * Tells for each reading of one message whether a machine did it: a filter that looks at what arrives, or a service
     * that fetches ahead. What a machine did says nothing of the reader.
     *
     * @param handedOver when the mail server took the message
     * @param readings in the order of time
     * @return as many answers, in the same order
     */
    public static List<Boolean> byMachine(Instant handedOver, List<Reading> readings) {
        List<Boolean> answers = new ArrayList<>();
        for (int i = 0; i < readings.size(); i++) {
            Reading one = readings.get(i);
            answers.add(one.saysSo()
                    || one.at().isBefore(handedOver.plus(TOO_SOON))
                    || (i > 0 && one.triesAll(readings.get(i - 1)))
                    || (i + 1 < readings.size() && one.triesAll(readings.get(i + 1))));
        }
        return answers;
    }

    private boolean saysSo() {
        return ahead
                || program.isBlank()
                || CALLS_ITSELF_A_MACHINE
                        .matcher(program.toLowerCase(Locale.ROOT))
                        .find();
    }

    private boolean triesAll(Reading next) {
        return !link.isEmpty()
                && !next.link.isEmpty()
                && !link.equals(next.link)
                && Duration.between(at, next.at).abs().compareTo(TOO_CLOSE) < 0;
    }
}
