package famulus.server.folders;

import famulus.server.team.Colleague;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Folders by their names. */
@Component
public class FolderNames {
    /** The name of a folder. */
    record NameRow(UUID id, String name) {}

    private final FolderMapper mapper;

    FolderNames(FolderMapper mapper) {
        this.mapper = mapper;
    }

    /** The names of those that somebody sees, by their identifiers. What is personal has no name of its own. */
    public Map<UUID, String> seen(Colleague asking) {
        return mapper.names(asking.id()).stream().collect(Collectors.toMap(NameRow::id, NameRow::name));
    }
}
