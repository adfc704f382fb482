package famulus.server.folders;

import famulus.core.sharing.Right;
import famulus.core.sharing.Share;
import famulus.server.team.Role;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.UUID;

/**
 * A share of a folder.
 *
 * @param role null but for a role
 * @param id of a team or colleague; null for neither
 */
public record FolderShare(With with, @Schema(nullable = true) Role role, @Schema(nullable = true) UUID id, Right may) {
    /** Whom a folder is shared with. */
    public enum With {
        EVERYBODY,
        ROLE,
        TEAM,
        COLLEAGUE
    }

    /** A share as the rules know it. */
    static FolderShare of(Share share) {
        return switch (share.with()) {
            case Share.Everybody all -> new FolderShare(With.EVERYBODY, null, null, share.right());
            case Share.OfRole role -> new FolderShare(With.ROLE, Role.valueOf(role.role()), null, share.right());
            case Share.OfTeam team -> new FolderShare(With.TEAM, null, team.team(), share.right());
            case Share.One one -> new FolderShare(With.COLLEAGUE, null, one.colleague(), share.right());
        };
    }
}
