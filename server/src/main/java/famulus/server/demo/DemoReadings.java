package famulus.server.demo;

import famulus.server.reading.ReadingService;
import famulus.server.reading.ReadingService.ReadingEvent;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;

/** What made-up readers did with what they got: most open it, some follow a link, one wants no rounds. */
final class DemoReadings {
    private final ReadingService deliveries;
    private final Seeded chance;
    private final Instant now;
    private boolean somebodyLeft;

    DemoReadings(ReadingService deliveries, Seeded chance, Instant now) {
        this.deliveries = deliveries;
        this.chance = chance;
        this.now = now;
    }

    /**
     * Has a message read, or not.
     *
     * @param stays whether the reader is none of those who want no rounds
     */
    void read(UUID message, UUID person, Instant sent, boolean stays) {
        List<String> links = deliveries.links(message);
        Instant opened = sent.plus(Duration.ofMinutes(chance.between(3, 2000)));
        if (links.isEmpty() || !chance.inHundred(60) || opened.isAfter(now)) {
            return;
        }
        deliveries.keepRead(message, person, ReadingEvent.OPENED, opened, null, program(message));
        if (chance.inHundred(40)) {
            Instant clicked = opened.plusSeconds(chance.between(20, 90));
            String link = chance.one(links);
            deliveries.keepRead(message, person, ReadingEvent.CLICKED, clicked, link, program(message));
        } else if (!somebodyLeft && !stays) {
            somebodyLeft = true;
            deliveries.keepUnsubscribed(message, person, opened.plusSeconds(40));
        }
    }

    /** What programs say of themselves: six of ten run on computers, three on phones, one on a tablet. */
    private static String program(UUID message) {
        return switch (Math.floorMod(message.hashCode(), 10)) {
            case 0, 1, 2, 3, 4, 5 -> "Mozilla/5.0 (X11; Linux x86_64)";
            case 6, 7, 8 -> "Mozilla/5.0 (Android 14; Mobile)";
            default -> "Mozilla/5.0 (Android 14; Tablet)";
        };
    }
}
