package famulus.server.messages;

import famulus.core.audience.Candidate;
import famulus.core.message.body.Mode;
import famulus.server.library.Template;
import famulus.server.messages.AudienceService.Meant;
import famulus.server.messages.MessageDraftService.Beginning;
import famulus.server.messages.MessageDraftService.BegunWords;
import famulus.server.messages.SendingWishes.ToSeveral;
import famulus.server.platform.Ids;
import famulus.server.platform.PublicAddress;
import famulus.server.platform.Refusal;
import famulus.server.records.CrmKind;
import famulus.server.records.PeopleContext.For;
import famulus.server.team.Colleague;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.IntConsumer;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Begins a draft to each of several people from one template, for its writer to look through one by one. */
@Service
public class DraftsForMany {
    /** Nobody looks through more at a time. */
    static final int MOST = 50;

    private final AudienceService audiences;
    private final MessageDraftService drafts;
    private final KeptDraftService kept;
    private final PublicAddress address;
    private final Ids ids;

    DraftsForMany(
            AudienceService audiences,
            MessageDraftService drafts,
            KeptDraftService kept,
            PublicAddress address,
            Ids ids) {
        this.address = address;
        this.audiences = audiences;
        this.drafts = drafts;
        this.kept = kept;
        this.ids = ids;
    }

    /**
     * Begins a draft to each who gets the message; all of them or none.
     *
     * @param template of its variants each gets the one in their language
     * @param done told how many have been begun
     * @return the drafts, in the order of names
     */
    @Transactional
    public List<UUID> begin(Meant meant, UUID template, Colleague by, IntConsumer done) {
        List<Candidate> in = audiences.audience(meant, by).in();
        if (in.isEmpty()) {
            throw Refusal.because("nobody", "Nobody is left to write to.");
        }
        if (in.size() > MOST) {
            throw Refusal.because(
                    "too-many",
                    "These are " + in.size() + " people. Choose " + MOST
                            + " at most: each message is yours to look through before it leaves.");
        }
        List<UUID> begun = new ArrayList<>();
        Map<UUID, String> reasons = AudienceService.reasons(meant.putBack());
        boolean several = choosable(meant.choice().kind());
        for (Candidate candidate : in) {
            SendingWishes wishes =
                    several ? SendingWishes.NONE.to(new ToSeveral(meant.topic(), reasons.get(candidate.key()))) : null;
            begun.add(begin(candidate, meant.choice().kind(), template, wishes, by));
            done.accept(begun.size());
        }
        return begun;
    }

    /**
     * Whether those who get it can choose by it what they get. Where nobody could reach the page on which they do, each is a
     * message of its own, as one about a deal of its reader is.
     */
    public boolean choosable(CrmKind kind) {
        return AudienceService.toSeveral(kind) && address.pages().isPresent();
    }

    private UUID begin(Candidate candidate, CrmKind chosen, UUID template, SendingWishes wishes, Colleague by) {
        For to = AudienceService.to(candidate, chosen);
        BegunWords words = drafts.begin(new Beginning(template, Mode.LETTER, to, null, Optional.empty()), by);
        words.read().template().ifPresent(from -> TemplateFit.mustFit(from, to));
        UUID draft = ids.next();
        UUID from = words.read().template().map(Template::id).orElse(null);
        MessageToSend message = new MessageToSend(
                ids.next(), from, to.kind(), to.id(), to.deal(), null, null, null, null, words.words(), draft, wishes);
        kept.keep(draft, 0, message.complete(), by);
        return draft;
    }
}
