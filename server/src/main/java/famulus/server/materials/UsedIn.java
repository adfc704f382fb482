package famulus.server.materials;

import famulus.server.materials.HouseStyleService.StyledTemplate;
import famulus.server.team.Colleague;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/** Where materials are used; answered by the library, which knows its templates. */
public interface UsedIn {
    /**
     * Where a picture or feed is shown, or is somewhere in a design, in words after “in”: by name the templates that somebody
     * may see, and how many more there are; empty for nowhere.
     */
    Optional<String> designs(UUID id, Colleague asking);

    /** The same of the templates that a file is attached to. */
    Optional<String> alongWith(UUID file, Colleague asking);

    /**
     * The templates in a house style that somebody may see, but for plain ones.
     *
     * @param usual whether it is the one that templates have that have chosen none
     */
    List<StyledTemplate> styled(UUID style, boolean usual, Colleague asking);

    /**
     * Those of some pictures, files, passages and signatures that stand in a template somebody may see: in it itself, in a
     * passage or signature it has, or in what messages are signed with.
     */
    Set<UUID> within(Collection<UUID> some, Colleague asking);

    /** Whether a template that somebody may see is in a style. */
    boolean styled(UUID style, Colleague asking);
}
