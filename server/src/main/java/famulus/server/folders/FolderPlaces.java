package famulus.server.folders;

import famulus.core.sharing.Right;
import famulus.server.team.Colleague;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Where the folders that somebody sees come in a list, and what they may do in each: read at once for all of them. */
@Component
public class FolderPlaces {
    private final FolderMapper mapper;

    FolderPlaces(FolderMapper mapper) {
        this.mapper = mapper;
    }

    /** A folder as the database has it for somebody. */
    record PlaceRow(UUID id, int place, UUID whoseId, int may) {}

    /** The folders somebody sees. */
    public static final class Places {
        private final Map<UUID, PlaceRow> seen;
        private final UUID whose;

        private Places(Map<UUID, PlaceRow> seen, UUID whose) {
            this.seen = seen;
            this.whose = whose;
        }

        /** What they may do in a folder; empty where it is not there for them. */
        public Optional<Right> right(UUID folder) {
            return Optional.ofNullable(folder).map(seen::get).map(row -> FolderRights.right(row.may()));
        }

        /**
         * A number that grows in the order in which folders are read: first what they see without its folder, then their own
         * ones, the company's, and last what is personal to others.
         */
        public long rank(UUID folder) {
            PlaceRow row = folder == null ? null : seen.get(folder);
            if (row == null) {
                return -1;
            }
            long group = row.whoseId() == null ? 1 : row.whoseId().equals(whose) ? 0 : 2;
            return (group << Integer.SIZE) + row.place();
        }
    }

    /** The folders somebody sees. */
    public Places of(Colleague asking) {
        return new Places(
                mapper.places(asking.id()).stream().collect(Collectors.toMap(PlaceRow::id, Function.identity())),
                asking.id());
    }
}
