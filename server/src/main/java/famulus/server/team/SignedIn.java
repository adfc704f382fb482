package famulus.server.team;

import java.io.Serializable;
import java.util.UUID;

/** What a session keeps of whoever signed in; everything else is read afresh. */
public record SignedIn(UUID id) implements Serializable {}
