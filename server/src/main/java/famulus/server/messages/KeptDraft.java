package famulus.server.messages;

import famulus.core.message.personal.MergedText;
import java.time.Instant;
import java.util.Map;
import java.util.UUID;

/**
 * A message that somebody is writing, as it was kept last.
 *
 * @param message what its sender has written
 * @param texts its texts as they were merged when it was begun, by key
 * @param templateVersion what its template was then; null for a message from nothing
 * @param version counts what was kept
 * @param sentAs the message on its way that it has become; null while it is written
 */
record KeptDraft(
        UUID id,
        UUID writtenBy,
        MessageToSend message,
        Map<String, MergedText> texts,
        Integer templateVersion,
        int version,
        UUID sentAs,
        Instant createdAt,
        Instant changedAt) {}
