package famulus.server.messages;

import famulus.core.field.About;
import famulus.core.field.Path;
import famulus.core.message.MessageSource;
import famulus.core.message.body.BodyJson;
import famulus.core.message.body.Mode;
import famulus.core.message.body.WayOut;
import famulus.core.message.personal.EmptyMessage;
import famulus.core.message.personal.MergedText;
import famulus.core.message.personal.PersonalMessage;
import famulus.core.message.personal.Personalised;
import famulus.core.proof.Correspondence;
import famulus.server.desk.ManyProofs;
import famulus.server.desk.ManyProofs.ProofBeside;
import famulus.server.desk.ManyProofs.Reader;
import famulus.server.desk.ProofService;
import famulus.server.desk.ProofService.Given;
import famulus.server.desk.ProofService.Merge;
import famulus.server.desk.ProofService.PersonReading;
import famulus.server.desk.ProofService.Proof;
import famulus.server.library.Draft;
import famulus.server.library.DraftReader;
import famulus.server.library.KeptPlainText;
import famulus.server.library.Template;
import famulus.server.library.TemplateService;
import famulus.server.library.VariantService;
import famulus.server.materials.FileService;
import famulus.server.messages.CorrespondenceService.Writing;
import famulus.server.platform.Refusal;
import famulus.server.records.CrmKind;
import famulus.server.records.PeopleContext.For;
import famulus.server.records.SampleRecords;
import famulus.server.team.Colleague;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;

/**
 * Merges a template for one person, and makes of it a message of its own, whose words are its sender's to change. What leaves
 * is read and rendered from these words, wherever they come from.
 */
@Service
public class MessageDraftService {
    private final ProofService proofs;
    private final ManyProofs many;
    private final KeptDraftMapper kept;
    private final TemplateService templates;
    private final DraftReader drafts;
    private final VariantService variants;
    private final SenderRights senders;
    private final CorrespondenceService correspondence;
    private final FileService files;

    MessageDraftService(
            ProofService proofs,
            ManyProofs many,
            TemplateService templates,
            DraftReader drafts,
            VariantService variants,
            SenderRights senders,
            CorrespondenceService correspondence,
            FileService files,
            KeptDraftMapper kept) {
        this.kept = kept;
        this.correspondence = correspondence;
        this.files = files;
        this.variants = variants;
        this.proofs = proofs;
        this.many = many;
        this.templates = templates;
        this.drafts = drafts;
        this.senders = senders;
    }

    /**
     * A message, merged for its person.
     *
     * @param template what it is written from; empty for a message from nothing
     * @param files what is attached to it, by identifier
     * @param twin whether a plain one has an HTML twin
     */
    public record MessageDraft(
            Proof proof, Optional<Template> template, About about, Colleague sender, List<UUID> files, boolean twin) {}

    /**
     * A message begun.
     *
     * @param read the message as it stands
     * @param words what it says, for its sender to change; fields that had a value are words
     * @param texts its texts as they were merged, by key
     */
    record BegunWords(MessageDraft read, Draft words, Map<String, MergedText> texts) {}

    /**
     * What a message is begun from.
     *
     * @param template null for a message from nothing; of its variants the one in the person's language is taken
     * @param mode how a message from nothing is written
     * @param sender who it goes out as; null for whoever asks
     * @param at the moment it leaves; empty for now
     * @param mailing whether it is one of a mailing
     */
    record Beginning(UUID template, Mode mode, For to, UUID sender, Optional<Instant> at, boolean mailing) {
        /** One by itself. */
        Beginning(UUID template, Mode mode, For to, UUID sender, Optional<Instant> at) {
            this(template, mode, to, sender, at, false);
        }

        /** What a message that is written would be begun from now. */
        static Beginning of(MessageToSend message) {
            Mode mode = message.words() == null ? Mode.LETTER : message.words().mode();
            return new Beginning(
                    message.template(),
                    mode,
                    message.to(),
                    message.sender(),
                    message.leaves(),
                    message.wishes().ofMailing());
        }
    }

    /** Begins a message to a person. */
    BegunWords begin(Beginning beginning, Colleague asking) {
        return begin(null, beginning, asking);
    }

    /**
     * Begins a message to a person with other words than its template's.
     *
     * @param words to be merged for the person; null for those of its template
     */
    BegunWords begin(Draft words, Beginning beginning, Colleague asking) {
        For to = beginning.to();
        Colleague sender = allowed(to, beginning.sender(), beginning.mailing(), asking);
        Optional<Template> template = template(beginning.template(), to, asking, sender);
        About about = about(template, to);
        Draft written =
                words != null ? words : template.map(Draft::of).orElseGet(() -> nothing(about, beginning.mode()));
        Given sending = new Given(Map.of(), Map.of(), true, beginning.at())
                .with(
                        names(written),
                        correspondence.with(
                                new Writing(to.id(), template.map(Template::id).orElse(null), false, null), asking),
                        languages(template, asking));
        PersonReading reading = proofs.readingFor(drafts.source(written), about, to, sender, sending);
        PersonalMessage message = personal(reading.merge());
        Draft personal = written.worded(
                        about,
                        message.subject(),
                        message.previewText(),
                        message.words(),
                        message.body().map(BodyJson::write).orElse(""))
                .keeping(message.own().map(KeptPlainText::of).orElse(null));
        Proof proof = reading.proof(drafts.source(personal));
        return new BegunWords(
                new MessageDraft(proof, template, about, sender, written.files(), twin(written)),
                personal,
                message.texts());
    }

    /** A message as its sender has written it, read afresh; one that has no words of its own is as its template is merged. */
    public MessageDraft read(MessageToSend message, Colleague asking) {
        return beside(message, asking).draft();
    }

    /** What a message says; of one that is one of several, with what lets its reader choose, and why they get it. */
    private MessageSource source(MessageToSend message, Wanted wanted) {
        return message.wishes().several() == null
                ? drafts.source(wanted.words())
                : source(message, wanted, Locale.of(proofs.language(message.to(), wanted.sender())));
    }

    private MessageSource source(MessageToSend message, Wanted wanted, Locale reader) {
        MessageSource source = drafts.source(wanted.words());
        if (message.wishes().several() == null) {
            return source;
        }
        List<Path> said = source.parse().paths();
        return source.styled(style ->
                WayOut.in(style, reader, !said.contains(Path.of(WayOut.WHY)), !said.contains(Path.of(WayOut.LINK))));
    }

    private MessageDraft read(MessageToSend message, Wanted wanted, Given given) {
        return wanted.read(proofs.proof(source(message, wanted), wanted.about(), message.to(), wanted.sender(), given));
    }

    /** What is given for a message, and what is known around it. */
    private Given given(MessageToSend message, Wanted wanted, Colleague asking) {
        return givenToAny(message, wanted, asking)
                .after(correspondence.with(writing(message, wanted), asking), Optional.empty());
    }

    /** The same, whoever its reader is. */
    private Given givenToAny(MessageToSend message, Wanted wanted, Colleague asking) {
        return new Given(
                Map.of(),
                message.answers(),
                true,
                message.leaves(),
                Optional.of(names(wanted.words())),
                Optional.empty(),
                languages(wanted.template(), asking));
    }

    private static Writing writing(MessageToSend message, Wanted wanted) {
        return new Writing(
                message.person(),
                wanted.template().map(Template::id).orElse(null),
                message.after() != null,
                message.id());
    }

    /**
     * A message beside what it would be begun with now.
     *
     * @param begun what its template gives now
     */
    public record MessageBeside(MessageDraft draft, PersonalMessage begun) {
        /** Its texts, by key. */
        Map<String, MergedText> texts() {
            return begun.texts();
        }
    }

    /** A message as its sender has written it, beside what it would be begun with now; the person is asked for once. */
    MessageBeside beside(MessageToSend message, Colleague asking) {
        Wanted wanted = wanted(message, asking);
        return beside(List.of(message), wanted, source(message, wanted), asking).values().stream()
                .findFirst()
                .orElseThrow(() -> Refusal.missing("This " + message.kind().word()));
    }

    /**
     * The same for many, to whom the same is said: everything but their readers is alike in them, and these are written to in one
     * language. Read and parsed once, with the values of all gathered at once; whoever is missing, or may not be written to by
     * whoever asks, is left out.
     */
    Map<UUID, MessageBeside> besideEach(List<MessageToSend> alike, Locale language, Colleague asking) {
        List<MessageToSend> free =
                alike.stream().filter(message -> mayWrite(message, asking)).toList();
        if (free.isEmpty()) {
            return Map.of();
        }
        Wanted wanted = wanted(free.getFirst(), asking);
        return beside(free, wanted, source(free.getFirst(), wanted, language), asking);
    }

    private Map<UUID, MessageBeside> beside(
            List<MessageToSend> alike, Wanted wanted, MessageSource source, Colleague asking) {
        MessageToSend any = alike.getFirst();
        MessageSource origin = drafts.source(wanted.template()
                .map(Draft::of)
                .orElseGet(() -> nothing(wanted.about(), Beginning.of(any).mode())));
        List<Correspondence> before = correspondence.all(
                alike.stream().map(message -> writing(message, wanted)).toList(), asking);
        List<Reader> readers = new ArrayList<>();
        for (int i = 0; i < alike.size(); i++) {
            readers.add(new Reader(alike.get(i).to(), before.get(i), Optional.empty()));
        }
        Map<For, ProofBeside> read =
                many.beside(source, origin, wanted.about(), readers, wanted.sender(), givenToAny(any, wanted, asking));
        Map<UUID, MessageBeside> all = new HashMap<>();
        alike.stream()
                .filter(message -> read.containsKey(message.to()))
                .forEach(message -> all.put(message.id(), wanted.read(read.get(message.to()))));
        return all;
    }

    private boolean mayWrite(MessageToSend message, Colleague asking) {
        try {
            allowed(message.to(), message.sender(), message.wishes().ofMailing(), asking);
            return true;
        } catch (Refusal refusal) {
            return false;
        }
    }

    /** What a message is read from. */
    private record Wanted(Optional<Template> template, About about, Draft words, Colleague sender) {
        private MessageDraft read(Proof proof) {
            return new MessageDraft(proof, template, about, sender, words.files(), twin(words));
        }

        private MessageBeside read(ProofBeside both) {
            return new MessageBeside(read(both.proof()), personal(both.other()));
        }
    }

    private Wanted wanted(MessageToSend message, Colleague asking) {
        For to = message.to();
        Colleague sender = allowed(to, message.sender(), message.wishes().ofMailing(), asking);
        Optional<Template> template = stillThere(message, asking, sender);
        boolean begun =
                template.isEmpty() && message.words() != null && message.words().about() != null;
        About about = begun ? message.words().about() : about(template, to);
        Draft words = message.words() == null
                ? template.map(Draft::of).orElseGet(() -> nothing(about, Mode.PLAIN))
                : message.words();
        return new Wanted(template, about, words, sender);
    }

    private List<Locale> languages(Optional<Template> template, Colleague asking) {
        return template.map(one -> variants.written(one.id(), asking)).orElse(List.of());
    }

    private List<String> names(Draft words) {
        return files.some(words.files()).stream()
                .map(FileService.KeptFile::name)
                .toList();
    }

    private static PersonalMessage personal(Merge merge) {
        return Personalised.of(merge.source(), merge.merged());
    }

    /** The language each is written to in, by ISO 639; whoever is missing is left out. */
    public Map<For, String> languages(List<For> to, Colleague sender) {
        return many.languages(to, sender);
    }

    /** The language somebody is written to in, by ISO 639. */
    public String language(For to, Colleague sender) {
        return proofs.language(to, sender);
    }

    /**
     * What a message is begun with, at a moment.
     *
     * @param then its template, as it was when the message was begun from it; empty for a message from nothing
     */
    PersonalMessage begun(Optional<Template> then, MessageToSend message, Colleague sender, Instant at) {
        Given sending = new Given(Map.of(), Map.of(), true, Optional.of(at));
        For to = message.to();
        About about = about(then, to);
        Draft written = then.map(Draft::of)
                .orElseGet(() -> nothing(about, Beginning.of(message).mode()));
        return personal(proofs.merge(drafts.source(written), about, to, sender, sending));
    }

    /**
     * The words of a message in which every field that has a value now is these words: what was filled in since, or given for
     * this message alone.
     *
     * @param given values for this message, by path, and answers to its blanks
     */
    Draft settled(MessageToSend message, Given given, Colleague asking) {
        MessageDraft draft = read(message, wanted(message, asking), given);
        PersonalMessage settled =
                Personalised.of(draft.proof().source(), draft.proof().merged());
        return message.words()
                .worded(
                        draft.about(),
                        settled.subject(),
                        settled.previewText(),
                        settled.words(),
                        settled.body().map(BodyJson::write).orElse(""))
                .keeping(settled.own().map(KeptPlainText::of).orElse(null));
    }

    /**
     * The same message with fields that have become words, for somebody to change; it begins as whoever sends it would begin it.
     */
    public MessageToSend inTheirWords(MessageToSend message, Colleague asking) {
        BegunWords begun = begin(message.words(), Beginning.of(message), asking);
        return message.in(begun.words());
    }

    /**
     * The same message with values that its person lacks, for this message alone.
     *
     * @param values by path; refused where one does not fit its field
     */
    public MessageToSend filled(MessageToSend message, Map<String, String> values, Colleague asking) {
        return message.in(settled(message, new Given(values, message.answers(), true, message.leaves()), asking));
    }

    /** Merges a template for a person as it would leave, to be looked at by colleagues; it goes out as whoever asks. */
    public MessageDraft test(UUID templateId, For to, Colleague asking) {
        SampleRecords.refuse(to);
        Template template = templates.get(templateId, asking);
        Proof proof = proofs.proof(drafts.source(template), template.about(), to, asking, Given.NOTHING);
        return new MessageDraft(
                proof, Optional.of(template), template.about(), asking, template.files(), twin(Draft.of(template)));
    }

    /** What a message can take fields from; a template for anyone is one for whoever it goes to. */
    private static About about(Optional<Template> template, For to) {
        About person = to.kind() == CrmKind.LEAD ? About.LEAD : About.CONTACT;
        About nothing = to.deal() == null ? person : About.DEAL;
        return template.map(Template::about)
                .map(about -> about == About.PERSON ? person : about)
                .orElse(nothing);
    }

    private static Draft nothing(About about, Mode mode) {
        boolean plain = mode == Mode.PLAIN;
        return new Draft(
                "",
                "",
                about,
                "",
                "",
                plain ? EmptyMessage.words() : "",
                mode,
                plain ? "" : BodyJson.write(EmptyMessage.body()),
                null,
                "",
                "",
                List.of(),
                null);
    }

    /** The template that a message to somebody is written from; empty for one from nothing. */
    Optional<Template> template(UUID id, For to, Colleague asking) {
        return template(id, to, asking, asking);
    }

    private Optional<Template> template(UUID id, For to, Colleague asking, Colleague sender) {
        return Optional.ofNullable(id)
                .map(one -> variants.forReader(one, () -> proofs.language(to, sender), asking, sender))
                .map(one -> templates.forUse(one, asking, sender));
    }

    /** The template of a message; empty as well for a draft that was begun before its template went: its words stand by themselves. */
    private Optional<Template> stillThere(MessageToSend message, Colleague asking, Colleague sender) {
        try {
            return template(message.template(), message.to(), asking, sender);
        } catch (Refusal gone) {
            boolean begunBefore = message.words() != null
                    && message.draft() != null
                    && kept.begunFrom(message.draft(), message.template(), asking.id());
            if (begunBefore) {
                return Optional.empty();
            }
            throw gone;
        }
    }

    private static boolean twin(Draft words) {
        return words.mode() == Mode.PLAIN && words.wishes().countLinks();
    }

    /** Who it goes out as, where it may go at all. */
    private Colleague allowed(For to, UUID senderId, boolean mailing, Colleague asking) {
        if (!to.kind().isPerson()) {
            throw Refusal.because("no-person", "Choose the person to write to.");
        }
        SampleRecords.refuse(to);
        return senders.of(to, senderId, mailing, asking);
    }
}
