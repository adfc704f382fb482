package famulus.server.messages;

import famulus.core.field.About;
import famulus.core.message.MessageSource;
import famulus.server.desk.ProofService;
import famulus.server.desk.ProofService.Given;
import famulus.server.desk.ProofService.Proof;
import famulus.server.library.DraftReader;
import famulus.server.library.Template;
import famulus.server.library.TemplateService;
import famulus.server.library.VariantService;
import famulus.server.platform.Refusal;
import famulus.server.records.CrmKind;
import famulus.server.records.PeopleContext.For;
import famulus.server.records.SampleRecords;
import famulus.server.team.Colleague;
import famulus.server.team.Role;
import famulus.server.team.TeamService;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Merges a template for one person, for a message that is about to be written and sent. */
@Service
public class MessageDraftService {
    private final ProofService proofs;
    private final TemplateService templates;
    private final DraftReader drafts;
    private final VariantService variants;
    private final TeamService team;

    MessageDraftService(
            ProofService proofs,
            TemplateService templates,
            DraftReader drafts,
            VariantService variants,
            TeamService team) {
        this.variants = variants;
        this.proofs = proofs;
        this.templates = templates;
        this.drafts = drafts;
        this.team = team;
    }

    /**
     * A message begun.
     *
     * @param template what it is written from; empty for a message from nothing
     */
    public record MessageDraft(Proof proof, Optional<Template> template, About about, Colleague sender) {}

    /**
     * Merges a message for a person.
     *
     * @param templateId null for a message from nothing; of its variants the one in the person's language is taken
     * @param senderId who it goes out as; null for whoever asks
     * @param given what the sender gives for this message only
     */
    public MessageDraft begin(UUID templateId, For to, UUID senderId, Given given, Colleague asking) {
        if (!to.kind().isPerson()) {
            throw Refusal.because("no-person", "Choose the person to write to.");
        }
        SampleRecords.refuse(to);
        Colleague sender = sender(senderId, asking);
        Optional<Template> template = Optional.ofNullable(templateId)
                .map(id -> variants.forReader(id, proofs.language(to, sender), asking, sender))
                .map(id -> templates.forUse(id, asking, sender));
        About about = template.map(Template::about)
                .orElse(to.kind() == CrmKind.LEAD ? About.LEAD : to.deal() == null ? About.CONTACT : About.DEAL);
        MessageSource source = template.map(drafts::source).orElse(new MessageSource("", "", ""));
        return new MessageDraft(proofs.proof(source, about, to, sender, given), template, about, sender);
    }

    /** Merges a template for a person as it would leave, to be looked at by colleagues; it goes out as whoever asks. */
    public MessageDraft test(UUID templateId, For to, Colleague asking) {
        SampleRecords.refuse(to);
        Template template = templates.get(templateId, asking);
        Proof proof = proofs.proof(drafts.source(template), template.about(), to, asking, Given.NOTHING);
        return new MessageDraft(proof, Optional.of(template), template.about(), asking);
    }

    /** Agents write as themselves; assistants as any agent or editor. */
    private Colleague sender(UUID senderId, Colleague asking) {
        if (senderId == null || senderId.equals(asking.id())) {
            return asking;
        }
        asking.mustBe("Only an assistant writes for somebody else.", Role.ASSISTANT);
        return team.find(senderId)
                .filter(Colleague::active)
                .filter(sender -> sender.is(Role.AGENT, Role.KEEPER))
                .orElseThrow(() -> Refusal.field("sender", "Messages go out as a rep or an editor."));
    }
}
