package famulus.server.records;

import java.util.UUID;

/** What was heard from somebody has changed. Told within the transaction that keeps it. */
public record PersonHeard(UUID person) {}
