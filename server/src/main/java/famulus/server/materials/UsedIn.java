package famulus.server.materials;

import famulus.server.materials.HouseStyleService.StyledTemplate;
import famulus.server.team.Colleague;
import java.util.List;
import java.util.Optional;
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
}
