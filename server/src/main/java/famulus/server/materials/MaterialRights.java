package famulus.server.materials;

import famulus.core.sharing.Right;
import famulus.server.folders.FolderRights;
import famulus.server.folders.FolderService;
import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import famulus.server.team.Role;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;

/**
 * Who may do what with a picture, file or style of Materials. Every way to one asks here; the queries of lists say the same of
 * the database.
 *
 * <ul>
 *   <li><b>see</b>: who brought it, and whoever may use the folder it lies in. To all others it is not there; who may use a
 *       template that has it uses it within that, see {@link UsableMaterials}.
 *   <li><b>change</b>, move and delete: who brought it, administrators, and whoever may change what is in its folder.
 * </ul>
 */
@Component
public class MaterialRights {
    private final FolderRights folders;
    private final FolderService places;

    MaterialRights(FolderRights folders, FolderService places) {
        this.folders = folders;
        this.places = places;
    }

    boolean maySee(Placed one, Colleague who) {
        return own(one, who) || folders.may(Right.USE, one.folder(), who);
    }

    boolean mayChange(Placed one, Colleague who) {
        return own(one, who) || folders.may(Right.CHANGE, one.folder(), who);
    }

    private static boolean own(Placed one, Colleague who) {
        return who.id().equals(one.owner()) || who.is(Role.ADMINISTRATOR);
    }

    /**
     * Lets only those through who may change it; for who may not even see it, it is not there.
     *
     * @param what a word for it, such as “picture”
     */
    void mustBeChangeable(Optional<Placed> one, String what, Colleague who) {
        Placed seen = one.filter(placed -> placed.folder() != null)
                .filter(placed -> maySee(placed, who))
                .orElseThrow(() -> Refusal.missing("This " + what));
        if (!mayChange(seen, who)) {
            throw Refusal.forbidden("You may use this " + what + ", not change it.");
        }
    }

    /**
     * The folder something goes to: where all find it, which everybody may add to, or the one that is chosen; refused where
     * nothing may be added.
     */
    UUID place(UUID chosen, Colleague by) {
        if (chosen == null || chosen.equals(FolderRights.EVERYONE)) {
            return FolderRights.EVERYONE;
        }
        places.mustMay(Right.CHANGE, chosen, by);
        return chosen;
    }

    /** Who may see it; asked where something is told to those only. */
    Set<UUID> seenBy(Placed one) {
        Set<UUID> seen =
                one.folder() == null ? new HashSet<>() : new HashSet<>(folders.whoMay(Right.USE, one.folder()));
        Optional.ofNullable(one.owner()).ifPresent(seen::add);
        return seen;
    }
}
