package famulus.server.team;

import java.io.Serializable;
import java.util.UUID;

/**
 * What a session keeps of whoever signed in; everything else is read afresh.
 *
 * @param access which access of theirs it is: a new password, or an end of their access, makes all sessions before it void
 */
public record SignedIn(UUID id, int access) implements Serializable {}
