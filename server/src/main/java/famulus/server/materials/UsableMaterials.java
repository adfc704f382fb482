package famulus.server.materials;

import famulus.core.message.body.HouseStyleJson;
import famulus.server.materials.HouseStyleService.KeptStyle;
import famulus.server.team.Colleague;
import famulus.server.team.Role;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;

/**
 * What somebody may use of Materials: what they see there, and what is in the templates and styles they may use, wherever it
 * lies.
 */
@Component
public class UsableMaterials {
    private final PictureMapper pictures;
    private final FileMapper files;
    private final HouseStyleService styles;
    private final UsedIn usedIn;

    UsableMaterials(PictureMapper pictures, FileMapper files, HouseStyleService styles, UsedIn usedIn) {
        this.pictures = pictures;
        this.files = files;
        this.styles = styles;
        this.usedIn = usedIn;
    }

    /** Those of some pictures and files that are there, but not for somebody. */
    public Set<UUID> hidden(Collection<UUID> some, Colleague who) {
        if (some.isEmpty() || who.is(Role.ADMINISTRATOR)) {
            return Set.of();
        }
        Set<UUID> hidden = new HashSet<>(pictures.unseen(some, who));
        hidden.addAll(files.unseen(some, who));
        if (!hidden.isEmpty()) {
            hidden.removeAll(usedIn.within(hidden, who));
            hidden.removeIf(id -> inStyles(id, who));
        }
        return hidden;
    }

    private boolean inStyles(UUID picture, Colleague who) {
        List<KeptStyle> showing = styles.all().stream()
                .filter(style -> HouseStyleJson.write(style.style()).contains(picture.toString()))
                .toList();
        return showing.stream().anyMatch(style -> styles.mayUse(style.id(), who));
    }

    /** Whether somebody may look at a picture or file. */
    boolean mayRead(UUID id, Colleague who) {
        return hidden(Set.of(id), who).isEmpty();
    }
}
