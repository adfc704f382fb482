package famulus.server.team;

import java.util.UUID;

/** Told within the transaction that adds a colleague, or changes their role, their teams or whether they work here. */
public record ColleagueChanged(UUID id) {}
