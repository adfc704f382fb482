package famulus.server.reading;

import java.util.UUID;

/**
 * A reader has done something with a message, or what they did is judged otherwise now. Told within the transaction that keeps it;
 * {@link ReadingService#became} says what is known.
 */
public record MessageRead(UUID message) {}
