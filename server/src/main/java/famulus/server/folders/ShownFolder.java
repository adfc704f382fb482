package famulus.server.folders;

import famulus.core.sharing.Right;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.UUID;

/**
 * A folder as whoever asks sees it.
 *
 * @param parent the folder it lies in, where they see that
 * @param deep how many folders above it they see
 * @param personal whether it is where somebody's new templates go
 * @param mine whether it is theirs
 * @param fixed whether it keeps its name and place
 * @param sharing who may do what in it, in a sentence
 * @param may what they may do
 * @param own whether it has shares of its own, rather than those of the folder above
 * @param shares these, to whoever manages it; none for others
 */
public record ShownFolder(
        UUID id,
        @Schema(nullable = true) UUID parent,
        int deep,
        String name,
        boolean personal,
        boolean mine,
        boolean fixed,
        String sharing,
        Right may,
        boolean own,
        List<FolderShare> shares) {}
