package famulus.server.materials;

import famulus.server.materials.HouseStyleService.StyledTemplate;
import famulus.server.team.Colleague;
import java.util.List;
import java.util.UUID;

/** Where materials are used; answered by the library, which knows its templates. */
public interface UsedIn {
    /** The names of all templates that show a picture or feed, or have it somewhere in their design. */
    List<String> designs(UUID id);

    /** The names of all templates that a file is attached to. */
    List<String> alongWith(UUID file);

    /**
     * The templates in a house style that somebody may see, but for plain ones.
     *
     * @param usual whether it is the one that templates have that have chosen none
     */
    List<StyledTemplate> styled(UUID style, boolean usual, Colleague asking);
}
