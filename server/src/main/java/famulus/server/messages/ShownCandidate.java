package famulus.server.messages;

import famulus.core.audience.Candidate;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.UUID;

/**
 * Somebody a message could go to.
 *
 * @param key by which they are put back, or held back
 * @param person null for a deal without a main contact
 * @param deal null where the message is about none
 * @param address empty for none
 */
public record ShownCandidate(
        UUID key,
        @Schema(nullable = true) UUID person,
        @Schema(nullable = true) UUID deal,
        String name,
        String address) {
    public static ShownCandidate of(Candidate one) {
        return new ShownCandidate(
                one.key(),
                one.person().orElse(null),
                one.about().orElse(null),
                one.name(),
                one.address().orElse(""));
    }
}
