package famulus.server.messages;

import famulus.core.audience.Audience;
import famulus.core.audience.Reason;
import java.util.List;

/** Somebody who gets no message, and why. */
public record ShownLeftOut(ShownCandidate who, List<String> reasons, boolean mayBePutBack) {
    public static ShownLeftOut of(Audience.LeftOut one) {
        return new ShownLeftOut(
                ShownCandidate.of(one.candidate()),
                one.reasons().stream().map(Reason::sentence).toList(),
                one.mayBePutBack());
    }
}
