package famulus.server.messages;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

/**
 * A message as it will leave, to the byte. Nothing of it changes any more.
 *
 * @param messageId the identifier in its header, with angle brackets
 * @param template what it was written from; null for a message from nothing
 * @param envelope between whom it goes
 * @param at when it was frozen
 * @param firstWords what it begins with, on a line
 * @param source its bytes (RFC 5322)
 * @param pieces where each stretch of a plain message came from, as JSON of {@link KeptPiece}; empty for any other
 * @param pages the links of its reader; empty for a test
 */
public record FrozenMessage(
        UUID id,
        String messageId,
        TemplateVersion template,
        Envelope envelope,
        Instant at,
        String firstWords,
        byte[] source,
        Optional<String> pieces,
        Optional<LinkedContent> pages) {
    /** What a template said when it was used. */
    public record TemplateVersion(UUID id, int version) {}
}
