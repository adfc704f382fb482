package famulus.server.library;

import famulus.core.sharing.Right;
import famulus.server.folders.FolderRights;
import famulus.server.materials.HouseStyleService;
import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import famulus.server.team.Role;
import famulus.server.team.TeamService;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/**
 * Who may do what with a template, passage, signature, header or footer. Every way to one asks here, and so do lists, of a
 * few columns of each; what is counted by other things asks the same of the database, by the fragment {@code visible} of the mapper.
 *
 * <ul>
 *   <li><b>see</b>: whoever may use the folder it lies in, once it has been marked ready. Before, whose it is, whoever may change
 *       it, and assistants who may use the folder and write for whose it is. To all others it is not there, whether they guess
 *       its identifier or not.
 *   <li><b>use</b>: as it was when it was marked ready; whose it is, and who writes for them, as it is now.
 *   <li><b>change</b>: whose it is, and whoever may change what is in its folder; what belongs to a style, whoever may change
 *       that.
 *   <li><b>manage</b> (mark ready, delete, bring back, add a variant): whoever may change it.
 *   <li><b>move</b>: whoever may change it, into a folder where they may add something.
 * </ul>
 */
@Component
public class TemplateRights {
    private final HouseStyleService styles;
    private final TeamService team;
    private final FolderRights folders;

    TemplateRights(HouseStyleService styles, TeamService team, FolderRights folders) {
        this.folders = folders;
        this.styles = styles;
        this.team = team;
    }

    /** Whether somebody may know that it is there, and read it. */
    public boolean maySee(Template template, Colleague who) {
        if (template.ownerId().equals(who.id()) || mayChange(template, who)) {
            return true;
        }
        if (template.kind().wraps()) {
            return template.readyVersion() != null && styles.mayUse(template.houseStyle(), who);
        }
        return maySee(
                template.ownerId(),
                template.readyVersion() != null,
                folders.right(template.folder(), who),
                who,
                this::writesForOthers);
    }

    /**
     * The same of a line of a list.
     *
     * @param ready whether it has been marked ready
     * @param inFolder what whoever asks may do in its folder
     * @param writer whether somebody is one that assistants write for
     */
    static boolean maySee(UUID owner, boolean ready, Optional<Right> inFolder, Colleague who, Predicate<UUID> writer) {
        return mayChange(owner, inFolder, who)
                || inFolder.isPresent() && (ready || who.is(Role.ASSISTANT) && writer.test(owner));
    }

    /** Assistants write for reps and editors. */
    boolean writesForOthers(UUID owner) {
        return team.find(owner).filter(one -> one.is(Role.AGENT, Role.KEEPER)).isPresent();
    }

    /** Whether somebody may write from it as it is now; else from what was marked ready. */
    boolean mayUseAsItIs(Template template, Colleague asking, Colleague sender) {
        return template.ownerId().equals(asking.id()) || template.ownerId().equals(sender.id());
    }

    /** Whether somebody may change it. */
    public boolean mayChange(Template template, Colleague who) {
        return template.kind().wraps()
                ? styles.mayChange(template.houseStyle(), who)
                : mayChange(template.ownerId(), folders.right(template.folder(), who), who);
    }

    /** The same of a line of a list, whose right in the folder is known. */
    static boolean mayChange(UUID owner, Optional<Right> inFolder, Colleague who) {
        return owner.equals(who.id())
                || who.is(Role.ADMINISTRATOR)
                || inFolder.filter(right -> right.compareTo(Right.CHANGE) >= 0).isPresent();
    }

    /** Lets only those through who may see it; for all others it is not there. */
    Template mustBeSeen(Optional<Template> template, Colleague who) {
        return template.filter(one -> maySee(one, who)).orElseThrow(() -> Refusal.missing("This template"));
    }

    /** Lets only those through who may change it; who may not even see it is told that it is not there. */
    public void mustBeChangeable(Template template, Colleague who) {
        mustBeSeen(Optional.of(template), who);
        if (template.kind().wraps()) {
            styles.mustBeAllowed(template.houseStyle(), who);
        } else if (!mayChange(template, who)) {
            throw Refusal.forbidden(
                    "This is " + template.ownerName() + "’s template. Duplicate it to make it your own.");
        }
    }

    /** Who of the team may see it; asked where something is told to those only. */
    Set<UUID> seenBy(Template template) {
        if (template.readyVersion() != null && template.folder() != null) {
            Set<UUID> seen = new HashSet<>(folders.whoMay(Right.USE, template.folder()));
            seen.add(template.ownerId());
            return seen;
        }
        return team.all().stream()
                .filter(Colleague::active)
                .filter(who -> maySee(template, who))
                .map(Colleague::id)
                .collect(Collectors.toSet());
    }
}
