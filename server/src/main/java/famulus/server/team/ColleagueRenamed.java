package famulus.server.team;

import java.util.UUID;

/** Told within the transaction that gives a colleague another name. */
public record ColleagueRenamed(UUID id) {}
