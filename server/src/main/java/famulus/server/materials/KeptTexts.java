package famulus.server.materials;

import famulus.core.message.body.Inserts.Insert;
import java.util.Optional;

/** What passages say now; whoever keeps them tells it here. */
public interface KeptTexts {
    /** What a passage says, as it was marked ready; absent when it is not there, or has never been. */
    Optional<Insert> passage(String id);
}
