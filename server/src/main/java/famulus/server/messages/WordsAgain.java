package famulus.server.messages;

import famulus.core.field.About;
import famulus.core.message.MessageSource;
import famulus.core.message.body.BodyJson;
import famulus.core.message.personal.FieldsAgain;
import famulus.core.message.personal.FieldsAgain.Written;
import famulus.core.message.personal.PersonalMessage;
import famulus.core.message.personal.Personalised;
import famulus.server.desk.ProofService.Proof;
import famulus.server.library.Draft;
import famulus.server.library.DraftReader;
import famulus.server.library.KeptPlainText;
import famulus.server.library.Template;
import famulus.server.library.TemplateService;
import famulus.server.library.VariantService;
import famulus.server.messages.MessageDraftService.Beginning;
import famulus.server.messages.MessageDraftService.BegunWords;
import famulus.server.platform.Ids;
import famulus.server.platform.Refusal;
import famulus.server.records.CrmKind;
import famulus.server.records.PeopleContext;
import famulus.server.records.PeopleContext.For;
import famulus.server.team.Colleague;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Makes of a message that was sent another one to somebody else, or a template. */
@Service
public class WordsAgain {
    private final LeavingPlans plans;
    private final MessageDraftService drafts;
    private final KeptDraftService kept;
    private final TemplateService templates;
    private final VariantService variants;
    private final DraftReader reader;
    private final SenderRights senders;
    private final PeopleContext people;
    private final Ids ids;

    WordsAgain(
            LeavingPlans plans,
            MessageDraftService drafts,
            KeptDraftService kept,
            TemplateService templates,
            VariantService variants,
            DraftReader reader,
            SenderRights senders,
            PeopleContext people,
            Ids ids) {
        this.plans = plans;
        this.drafts = drafts;
        this.kept = kept;
        this.templates = templates;
        this.variants = variants;
        this.reader = reader;
        this.senders = senders;
        this.people = people;
        this.ids = ids;
    }

    /** Whether it is known what a message was made of. */
    public boolean knows(UUID message) {
        return plans.has(message);
    }

    /**
     * Begins a message that says to somebody what another one said, with their own values; it is a draft of whoever asks.
     *
     * @param message the one that was sent
     * @return the draft
     */
    public UUID toSomebody(UUID message, CrmKind kind, UUID person, Colleague asking) {
        LeavingPlan plan = plan(message);
        UUID deal = plan.message().deal();
        For to = new For(kind, person, deal != null && people.contactsOf(deal).contains(person) ? deal : null);
        UUID sender = senders.all(to, asking).stream()
                .map(Colleague::id)
                .filter(one -> one.equals(plan.message().sender()))
                .findFirst()
                .orElse(null);
        UUID template = usable(plan.template(), to, sender, asking);
        Draft words = written(plan);
        Beginning beginning = new Beginning(template, words.mode(), to, sender, Optional.empty());
        BegunWords begun = drafts.begin(words, beginning, asking);
        UUID draft = ids.next();
        kept.keep(
                draft,
                0,
                new MessageToSend(
                        ids.next(),
                        template,
                        kind,
                        person,
                        to.deal(),
                        null,
                        sender,
                        null,
                        Map.of(),
                        begun.words(),
                        draft,
                        SendingWishes.NONE),
                asking);
        return draft;
    }

    /**
     * Its template, where whoever asks may still use it for this person; null for a message that then stands by itself. It does
     * so too where the person is written to in another language than the message's.
     */
    private UUID usable(UUID template, For to, UUID senderId, Colleague asking) {
        if (template == null) {
            return null;
        }
        try {
            Colleague sender = senders.of(to, senderId, asking);
            UUID theirs = variants.forReader(template, () -> drafts.language(to, sender), asking, sender);
            return theirs.equals(template)
                    ? templates.forUse(template, asking, sender).id()
                    : null;
        } catch (Refusal gone) {
            return null;
        }
    }

    /**
     * What a message said, and to whom.
     *
     * @param words with fields in the places of its values, and the files that its template had
     * @param sender who it went out as; null for whoever wrote it
     */
    public record ToldWords(Draft words, For to, UUID sender) {}

    /** What a message said, as a template would begin with it. */
    public ToldWords told(UUID message) {
        LeavingPlan plan = plan(message);
        Draft words = written(plan);
        Set<UUID> ofTemplate =
                template(plan).stream().flatMap(then -> then.files().stream()).collect(Collectors.toSet());
        List<UUID> files = words.files().stream().filter(ofTemplate::contains).toList();
        MessageToSend sent = plan.message();
        return new ToldWords(words.carrying(files), new For(sent.kind(), sent.person(), sent.deal()), sent.sender());
    }

    /** What a message said, with fields in the places of its values. */
    public Draft words(UUID message) {
        return written(plan(message));
    }

    private LeavingPlan plan(UUID message) {
        return plans.of(message)
                .orElseThrow(() -> Refusal.because(
                        "not-kept", "What this message was made of isn’t kept. Write it from a template."));
    }

    private Optional<Template> template(LeavingPlan plan) {
        return plan.template() == null ? Optional.empty() : templates.kept(plan.template(), plan.templateVersion());
    }

    /** What a message said, with its fields. */
    private Draft written(LeavingPlan plan) {
        Draft words = plan.message().words();
        if (words == null) {
            return template(plan).map(Draft::of).orElseThrow(() -> Refusal.missing("This template"));
        }
        MessageSource source = reader.source(words);
        Written written = FieldsAgain.of(source, plan.texts(), plan.links());
        return words.worded(
                        words.about(),
                        written.subject(),
                        written.previewText(),
                        written.words(),
                        written.body().map(BodyJson::write).orElse(""))
                .keeping(written.own().map(KeptPlainText::of).orElse(null));
    }

    /** Keeps what a message was made of that went out long ago just as it was merged; for the demo's data. */
    public void keepMerged(UUID message, Template template, For to, Proof proof) {
        PersonalMessage merged = Personalised.of(proof.source(), proof.merged());
        About about = template.about();
        Draft words = Draft.of(template)
                .worded(
                        about,
                        merged.subject(),
                        merged.previewText(),
                        merged.words(),
                        merged.body().map(BodyJson::write).orElse(""))
                .keeping(merged.own().map(KeptPlainText::of).orElse(null));
        MessageToSend sent = new MessageToSend(
                message, template.id(), to.kind(), to.id(), to.deal(), null, null, null, Map.of(), words, null, null);
        plans.keep(
                message,
                new LeavingPlan(
                        sent, template.id(), template.version(), merged.texts(), merged.links(), List.of(), ""));
    }
}
