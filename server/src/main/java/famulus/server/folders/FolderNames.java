package famulus.server.folders;

import famulus.server.folders.FolderMapper.AccessRow;
import famulus.server.folders.FolderMapper.FolderRow;
import famulus.server.team.Colleague;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Folders by their names. */
@Component
public class FolderNames {
    private final FolderMapper mapper;

    FolderNames(FolderMapper mapper) {
        this.mapper = mapper;
    }

    /** Those that somebody sees and whose name fits. What is personal has no name of its own. */
    public List<UUID> called(Predicate<String> fits, Colleague asking) {
        Set<UUID> seen =
                mapper.accessOf(asking.id()).stream().map(AccessRow::folderId).collect(Collectors.toSet());
        return mapper.all().stream()
                .filter(row -> !row.personal() && seen.contains(row.id()) && fits.test(row.name()))
                .map(FolderRow::id)
                .toList();
    }
}
