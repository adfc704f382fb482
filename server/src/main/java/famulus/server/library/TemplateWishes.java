package famulus.server.library;

import famulus.core.calendar.SendingHours;
import famulus.core.record.EmailAddress;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What a template wishes for the way its messages go. A message begins with it; whoever writes it can change its envelope.
 *
 * @param cc addresses that get a copy and are seen
 * @param bcc addresses that get a copy and are not seen
 * @param replyTo where answers go; null for where the sender’s usually go
 * @param fromOwner whether it is from the owner of the record, where whoever writes may write for them
 * @param hour when it leaves; null for at once
 * @param countLinks whether a plain message has an HTML twin, so that its links can be counted where the company counts them
 */
public record TemplateWishes(
        @Schema(nullable = true) List<String> cc,
        @Schema(nullable = true) List<String> bcc,
        @Schema(nullable = true) String replyTo,
        boolean fromOwner,
        @Schema(nullable = true) SendingHours.Kind hour,
        boolean countLinks) {
    private static final int MOST = 10;

    /** No wishes. */
    public static final TemplateWishes NONE = new TemplateWishes(List.of(), List.of(), null, false, null, false);

    public TemplateWishes {
        cc = EmailAddress.typed(cc);
        bcc = EmailAddress.typed(bcc);
        replyTo = replyTo == null || replyTo.isBlank() ? null : replyTo.strip();
    }

    /** Why they can't be kept, in a sentence; empty where they can. */
    Optional<String> refusal() {
        if (cc.size() + bcc.size() > MOST) {
            return Optional.of("A template has " + MOST + " addresses for copies at most.");
        }
        return Stream.of(cc.stream(), bcc.stream(), Stream.ofNullable(replyTo))
                .flatMap(one -> one)
                .flatMap(one -> EmailAddress.refusal(one).map(why -> one + ": " + why).stream())
                .findFirst();
    }
}
