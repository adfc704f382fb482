package famulus.server.folders;

import famulus.server.folders.FolderService.TypedFolder;
import famulus.server.folders.FolderService.TypedSharing;
import famulus.server.team.Colleague;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The folders of templates. */
@RestController
@RequestMapping("/api/folders")
class FolderController {
    private final FolderService folders;
    private final FolderList list;

    FolderController(FolderService folders, FolderList list) {
        this.folders = folders;
        this.list = list;
    }

    /** The folders whoever asks sees, and the one that was just made. */
    record AddedFolder(UUID id, List<ShownFolder> folders) {}

    /** A folder to add; {@code parent} is null for one at the top, {@code shares} for one that nobody is given. */
    record NewFolder(
            String name, @Schema(nullable = true) UUID parent, @Schema(nullable = true) List<FolderShare> shares) {}

    @GetMapping
    List<ShownFolder> folders(Colleague asking) {
        return list.all(asking);
    }

    @PostMapping
    AddedFolder add(Colleague asking, @RequestBody NewFolder folder) {
        UUID id = folders.add(
                new TypedFolder(folder.name(), folder.parent()),
                folder.shares() == null ? List.of() : folder.shares(),
                asking);
        return new AddedFolder(id, list.all(asking));
    }

    @PutMapping("/{id}")
    List<ShownFolder> change(Colleague asking, @PathVariable UUID id, @RequestBody TypedFolder folder) {
        folders.change(id, folder, asking);
        return list.all(asking);
    }

    @PutMapping("/{id}/sharing")
    List<ShownFolder> share(Colleague asking, @PathVariable UUID id, @RequestBody TypedSharing sharing) {
        folders.share(id, sharing, asking);
        return list.all(asking);
    }

    @DeleteMapping("/{id}")
    List<ShownFolder> remove(Colleague asking, @PathVariable UUID id) {
        folders.remove(id, asking);
        return list.all(asking);
    }
}
