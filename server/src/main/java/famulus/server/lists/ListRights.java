package famulus.server.lists;

import famulus.core.sharing.Right;
import famulus.server.folders.FolderRights;
import famulus.server.lists.RecordListMapper.ListRow;
import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import famulus.server.team.Role;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * Who may do what with a list of records. Every way to one asks here; the query of all of them says the same of the database.
 *
 * <ul>
 *   <li><b>see</b>: whose it is, administrators, and whoever may use the folder it lies in. To all others it is not there.
 *   <li><b>change</b>, and delete: whose it is, administrators, and whoever may change what is in its folder.
 * </ul>
 */
@Component
class ListRights {
    private final FolderRights folders;

    ListRights(FolderRights folders) {
        this.folders = folders;
    }

    boolean maySee(ListRow list, Colleague who) {
        return own(list, who) || folders.may(Right.USE, list.folderId(), who);
    }

    boolean mayChange(ListRow list, Colleague who) {
        return own(list, who) || folders.may(Right.CHANGE, list.folderId(), who);
    }

    private static boolean own(ListRow list, Colleague who) {
        return list.ownerId().equals(who.id()) || who.is(Role.ADMINISTRATOR);
    }

    /** Lets only those through who may see it; for all others it is not there. */
    ListRow mustBeSeen(Optional<ListRow> list, Colleague who) {
        return list.filter(one -> maySee(one, who)).orElseThrow(() -> Refusal.missing("This list"));
    }

    /** Lets only those through who may change it. */
    ListRow mustBeChangeable(Optional<ListRow> list, Colleague who) {
        ListRow seen = mustBeSeen(list, who);
        if (!mayChange(seen, who)) {
            throw Refusal.forbidden("You may use “" + seen.name() + "”, not change it. Save it under another name.");
        }
        return seen;
    }
}
