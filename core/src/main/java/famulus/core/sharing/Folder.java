package famulus.core.sharing;

import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * A folder.
 *
 * @param parent the folder it is in; empty for one at the top
 * @param owner who made it; empty for one of the company
 * @param shares who may do what in it besides its owner; empty for one that is shared as its parent is
 */
public record Folder(UUID id, Optional<UUID> parent, String name, Optional<UUID> owner, Optional<List<Share>> shares) {
    public Folder {
        shares = shares.map(List::copyOf);
    }
}
