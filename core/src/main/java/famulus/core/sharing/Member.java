package famulus.core.sharing;

import java.util.Set;
import java.util.UUID;

/**
 * A colleague, as far as sharing is concerned.
 *
 * @param administrator whether they manage every folder
 * @param teams the teams they are in
 */
public record Member(UUID id, String role, boolean administrator, Set<UUID> teams) {
    public Member {
        teams = Set.copyOf(teams);
    }
}
