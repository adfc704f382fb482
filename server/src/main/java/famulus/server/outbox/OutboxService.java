package famulus.server.outbox;

import famulus.core.departure.Leaving;
import famulus.core.departure.Stretch;
import famulus.core.departure.TypedWords;
import famulus.core.field.Path;
import famulus.core.merge.Merged;
import famulus.core.merge.Origin;
import famulus.core.merge.Piece;
import famulus.core.message.MessagePart;
import famulus.core.message.MessageSource.Layout;
import famulus.core.message.body.BodyText;
import famulus.core.message.body.BodyText.Slot;
import famulus.core.message.render.Rendering;
import famulus.core.proof.Note;
import famulus.core.record.EmailAddress;
import famulus.core.record.PlainLine;
import famulus.server.contents.WireSources;
import famulus.server.cupboard.FileService;
import famulus.server.cupboard.FileService.FileContent;
import famulus.server.cupboard.PictureService;
import famulus.server.cupboard.PictureService.PictureContent;
import famulus.server.desk.DepartureService;
import famulus.server.desk.MessageDraftService;
import famulus.server.desk.MessageDraftService.MessageDraft;
import famulus.server.desk.ProofService.Given;
import famulus.server.desk.RenderingService;
import famulus.server.library.Template;
import famulus.server.library.TemplateService;
import famulus.server.library.TemplateUseService;
import famulus.server.library.TemplateVersionService.Reason;
import famulus.server.outbox.DeliveryService.Addressed;
import famulus.server.outbox.MimeWriter.About;
import famulus.server.outbox.MimeWriter.AttachedFile;
import famulus.server.outbox.MimeWriter.InlinePicture;
import famulus.server.outbox.MimeWriter.Mailbox;
import famulus.server.outbox.MimeWriter.Words;
import famulus.server.outbox.OutboxMapper.OutboxRow;
import famulus.server.platform.Events;
import famulus.server.platform.FamulusProperties;
import famulus.server.platform.Refusal;
import famulus.server.platform.RepeatedRequests;
import famulus.server.records.CrmKind;
import famulus.server.records.PeopleContext.For;
import famulus.server.records.PeopleContext.Person;
import famulus.server.records.PersonAddress;
import famulus.server.records.PersonSummaries;
import famulus.server.team.Colleague;
import famulus.server.team.Role;
import famulus.server.team.TeamService;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import tools.jackson.databind.json.JsonMapper;

/** Takes messages to be sent, keeps them whole and shows what became of them. */
@Service
public class OutboxService {
    private static final int LONGEST_SUBJECT = 900;
    private static final int LONGEST_BODY = 300_000;
    private static final int MOST_OPEN = 300;
    private static final int MOST_SHOWN = 100;
    private static final List<MessageState> OPEN =
            List.of(MessageState.WAITING, MessageState.SENDING, MessageState.NOT_SURE, MessageState.REFUSED);
    private static final List<MessageState> SETTLED = List.of(MessageState.SENT, MessageState.CANCELLED);
    private static final int MOST_REFERENCES = 20;

    private final OutboxMapper mapper;
    private final OutboxWorker worker;
    private final MessageDraftService drafts;
    private final TemplateService templates;
    private final TeamService team;
    private final FamulusProperties properties;
    private final RenderingService renderings;
    private final PictureService pictures;
    private final FileService files;
    private final DeliveryService deliveries;
    private final Events events;
    private final Clock clock;
    private final JsonMapper json;
    private final RepeatedRequests once;
    private final DepartureService departures;
    private final WireSources sources;
    private final PersonSummaries summaries;
    private final TemplateUseService uses;

    OutboxService(
            OutboxMapper mapper,
            OutboxWorker worker,
            MessageDraftService drafts,
            TemplateService templates,
            TeamService team,
            FamulusProperties properties,
            RenderingService renderings,
            PictureService pictures,
            FileService files,
            DeliveryService deliveries,
            Events events,
            Clock clock,
            JsonMapper json,
            RepeatedRequests once,
            DepartureService departures,
            WireSources sources,
            PersonSummaries summaries,
            TemplateUseService uses) {
        this.sources = sources;
        this.summaries = summaries;
        this.uses = uses;
        this.departures = departures;
        this.once = once;
        this.mapper = mapper;
        this.renderings = renderings;
        this.pictures = pictures;
        this.files = files;
        this.deliveries = deliveries;
        this.worker = worker;
        this.drafts = drafts;
        this.templates = templates;
        this.team = team;
        this.properties = properties;
        this.events = events;
        this.clock = clock;
        this.json = json;
    }

    /**
     * A stretch of the message as the sender leaves it.
     *
     * @param written the written form of the field it came from; empty for words
     * @param gap whether it is a gap still open
     */
    public record Run(String text, String written, boolean gap) {
        public Run {
            text = text == null ? "" : text;
            written = written == null ? "" : written;
        }
    }

    /**
     * A message to be sent.
     *
     * @param id made by the browser, so that the same message sent twice goes once
     * @param address which of the person's addresses
     * @param after the message to the same person that this one follows; null for one that stands alone
     */
    public record ToSend(
            UUID id,
            UUID template,
            CrmKind kind,
            UUID person,
            UUID deal,
            UUID address,
            UUID sender,
            UUID after,
            Map<String, String> chosen,
            Map<String, String> answers,
            List<Run> subject,
            List<Run> body) {}

    /**
     * Keeps a message and puts it in line, in one transaction; refused when it has a gap or can't be addressed. Asked
     * several times under one identifier, at once or later, it answers the same and sends once.
     */
    public UUID send(ToSend message, Colleague asking) {
        if (message.id() == null) {
            throw Refusal.field("id", "A message needs an identifier.");
        }
        return once.inOne(() -> take(message, asking));
    }

    private UUID take(ToSend message, Colleague asking) {
        Optional<OutgoingMessage> before = mapper.byId(message.id());
        if (before.isPresent()) {
            if (!before.get().writtenBy().equals(asking.id())) {
                throw Refusal.forbidden("This message is somebody else’s.");
            }
            return message.id();
        }
        MessageDraft draft = begin(message, asking);
        String subject = text(message.subject()).strip();
        Optional<Rendering> rendering = renderings.mail(draft.proof(), subject);
        // A letter or designed message leaves as it is merged here; only of a plain one the words may be changed.
        String body = rendering
                .map(Rendering::text)
                .orElseGet(() -> text(message.body()))
                .strip();
        check(message, draft, subject, body);
        PersonAddress address = address(draft.proof().person(), message.address());
        keep(message, draft, asking, address, subject, words(draft, rendering, body));
        worker.line(message.id());
        events.tell("record", message.person().toString());
        events.tell("outbox", message.id().toString());
        return message.id();
    }

    private void keep(
            ToSend message, MessageDraft draft, Colleague asking, PersonAddress address, String subject, Words words) {
        draft.template().ifPresent(one -> templates.keepVersion(one.id(), one.version(), Reason.USED));
        Instant now = clock.instant();
        Person person = draft.proof().person();
        String messageId = "<" + message.id() + "@" + domain() + ">";
        Addressed addressed = deliveries.address(words, person.kind(), person.id());
        String ownSubject = deliveries.own(subject, addressed);
        byte[] source = MimeWriter.write(
                messageId,
                new Mailbox(draft.sender().name(), draft.sender().email()),
                new Mailbox(person.name(), address.address()),
                ownSubject,
                addressed.words(),
                new About(team.answersGoTo(draft.sender().id()), addressed.unsubscribe(), before(message)),
                now);
        mapper.insert(new OutgoingMessage(
                message.id(),
                messageId,
                draft.template().map(Template::id).orElse(null),
                draft.template().map(Template::version).orElse(null),
                asking.id(),
                draft.sender().id(),
                person.kind().word(),
                person.id(),
                person.deal().orElse(null),
                person.organisation().orElse(null),
                address.address(),
                draft.sender().email(),
                ownSubject,
                MessageState.WAITING,
                0,
                now,
                "",
                false,
                now,
                null,
                false));
        sources.keep(message.id(), source);
        if (words.html().isEmpty()) {
            keepPieces(message.id(), kept(message.body(), draft.proof().merged().body()), addressed);
        }
        deliveries.keep(message.id(), addressed);
        counted(draft.template().map(Template::id), asking.id(), person, now);
    }

    private void keepPieces(UUID id, List<KeptPiece> pieces, Addressed addressed) {
        mapper.insertPieces(id, deliveries.own(json.writeValueAsString(pieces), addressed));
    }

    /** Adds a message to what is kept in sum of its person and its template. */
    private void counted(Optional<UUID> template, UUID by, Person person, Instant at) {
        template.ifPresent(one -> uses.used(one, by, at));
        summaries.wrote(person.kind(), person.id(), at);
    }

    /** The identifiers of the messages that this one follows, the oldest first. */
    private List<String> before(ToSend message) {
        if (message.after() == null) {
            return List.of();
        }
        OutgoingMessage before = mapper.byId(message.after())
                .filter(one -> one.personId().equals(message.person()) && !one.test())
                .orElseThrow(() -> Refusal.field("after", "The message that this one follows is not there any more."));
        List<String> references =
                new ArrayList<>(SourceText.of(sources.read(before.id()).orElseThrow()).headers().stream()
                        .filter(header -> header.name().equalsIgnoreCase("References"))
                        .flatMap(header -> Stream.of(header.value().strip().split("\\s+")))
                        .toList());
        references.add(before.messageId());
        return references.subList(Math.max(0, references.size() - MOST_REFERENCES), references.size());
    }

    private void check(ToSend message, MessageDraft draft, String subject, String body) {
        departures.mustBeFreeToLeave(Leaving.SEND, draft, typed(message, draft));
        PlainLine.refusal(subject, LONGEST_SUBJECT, true).ifPresent(sentence -> {
            throw Refusal.field("subject", sentence);
        });
        PlainLine.refusalOfLines(body, LONGEST_BODY, true).ifPresent(sentence -> {
            throw Refusal.field("body", sentence);
        });
    }

    /**
     * Something that stops a message.
     *
     * @param block the block it is about, or that its words stand in; empty in a text whose words may be changed
     */
    record Stopped(Note note, String block) {}

    /** What stops a message as it is, with where; nothing when it may leave. */
    List<Stopped> stops(ToSend message, Colleague asking) {
        MessageDraft draft = begin(message, asking);
        Optional<BodyText> body = draft.proof().source().layout().map(Layout::text);
        return departures.stops(Leaving.SEND, draft, typed(message, draft)).stream()
                .map(note -> new Stopped(
                        note,
                        note.block().isEmpty() && note.part() == MessagePart.BODY
                                ? body.flatMap(text -> text.slotAt(note.span().start()))
                                        .map(Slot::owner)
                                        .orElse("")
                                : note.block()))
                .toList();
    }

    private MessageDraft begin(ToSend message, Colleague asking) {
        For to = new For(message.kind(), message.person(), message.deal());
        Given given = new Given(message.chosen(), message.answers(), true);
        return drafts.begin(message.template(), to, message.sender(), given, asking);
    }

    /** The texts whose words may be changed: of a letter or designed message its subject, of a plain one both. */
    private static List<TypedWords> typed(ToSend message, MessageDraft draft) {
        TypedWords subject = new TypedWords(MessagePart.SUBJECT, stretches(message.subject()));
        return draft.proof().source().layout().isPresent()
                ? List.of(subject)
                : List.of(subject, new TypedWords(MessagePart.BODY, stretches(message.body())));
    }

    private static List<Stretch> stretches(List<Run> runs) {
        return runs.stream()
                .map(run -> new Stretch(run.text(), run.written(), run.gap()))
                .toList();
    }

    /** What leaves: what is rendered, or the words, with the files of the template. */
    Words words(MessageDraft draft, Optional<Rendering> rendering, String body) {
        Words words = rendering.map(this::words).orElseGet(() -> Words.plain(body));
        List<AttachedFile> along = new ArrayList<>(words.files());
        for (UUID id : draft.template().map(Template::files).orElse(List.of())) {
            FileContent file = files.content(id)
                    .orElseThrow(() -> Refusal.because(
                            "file-lost",
                            "A file that goes along is not in the cupboard any more. Take it off the template."));
            along.add(new AttachedFile(file.name(), file.mediaType(), file.content()));
        }
        return new Words(words.text(), words.html(), words.pictures(), along);
    }

    /** What is rendered with its pictures and calendar files. */
    private Words words(Rendering rendering) {
        List<InlinePicture> inline = new ArrayList<>();
        for (String id : rendering.pictures()) {
            PictureContent picture = pictures.content(id)
                    .orElseThrow(() -> Refusal.because(
                            "picture-lost", "A picture of this message is not there any more. Choose another one."));
            String ending = picture.mediaType().substring(picture.mediaType().indexOf('/') + 1);
            inline.add(new InlinePicture(
                    id + "@famulus",
                    "picture-" + (inline.size() + 1) + "." + ending,
                    picture.mediaType(),
                    picture.content()));
        }
        List<AttachedFile> files = rendering.calendars().stream()
                .map(file -> new AttachedFile(
                        file.name(),
                        "text/calendar; charset=UTF-8; method=PUBLISH",
                        file.content().getBytes(StandardCharsets.UTF_8)))
                .toList();
        return new Words(rendering.text(), rendering.html(), inline, files);
    }

    private static PersonAddress address(Person person, UUID wanted) {
        PersonAddress address = person.addresses().stream()
                .filter(one -> wanted == null || one.id().equals(wanted))
                .findFirst()
                .orElseThrow(() -> Refusal.field("address", person.name() + " has no e-mail address. Add one first."));
        EmailAddress.refusal(address.address()).ifPresent(sentence -> {
            throw Refusal.field("address", sentence);
        });
        return address;
    }

    private static String text(List<Run> runs) {
        StringBuilder text = new StringBuilder();
        runs.forEach(run -> text.append(run.text()));
        return text.toString();
    }

    /** What the browser says of a stretch counts only where merging here gives the same; all else was typed. */
    private static List<KeptPiece> kept(List<Run> runs, Merged merged) {
        return runs.stream().map(run -> kept(run, merged)).toList();
    }

    private static KeptPiece kept(Run run, Merged merged) {
        if (run.written().isEmpty()) {
            boolean asMerged = literals(merged).stream().anyMatch(literal -> literal.contains(run.text()));
            return new KeptPiece(run.text(), asMerged ? Origin.WRITTEN.name() : "TYPED", "", "");
        }
        Optional<Piece> piece = merged.pieces().stream()
                .filter(one -> one.written().equals(run.written()) && one.text().equals(run.text()))
                .findFirst();
        return piece.map(one -> new KeptPiece(
                        run.text(),
                        one.origin().name(),
                        one.path().map(Path::toString).orElse(""),
                        one.stored().orElse("")))
                .orElse(new KeptPiece(run.text(), "TYPED", "", ""));
    }

    /** The stretches that stand so in the template; a choice or a blank between two does not part them. */
    private static List<String> literals(Merged merged) {
        List<String> literals = new ArrayList<>();
        StringBuilder stretch = new StringBuilder();
        for (Piece piece : merged.pieces()) {
            boolean written =
                    piece.origin() == Origin.WRITTEN && piece.written().isEmpty();
            if (written) {
                stretch.append(piece.text());
            } else if (!piece.text().isEmpty()) {
                literals.add(stretch.toString());
                stretch.setLength(0);
            }
        }
        literals.add(stretch.toString());
        return literals;
    }

    String domain() {
        return properties.mailDomain().isEmpty() ? team.house().domain() : properties.mailDomain();
    }

    /**
     * A page of the outbox.
     *
     * @param open what waits, is in doubt or was refused; on the first page alone
     * @param settled the newest that went or were cancelled
     * @param more whether there are older ones
     */
    record OutboxPage(List<OutboxRow> open, List<OutboxRow> settled, boolean more) {}

    /**
     * What waits and what was refused, then what went, the newest first; of tests those that somebody may see.
     *
     * @param before the last message of the page before; null for the first page
     */
    OutboxPage page(UUID before, Colleague asking) {
        boolean all = seesTests(asking);
        Optional<OutgoingMessage> last = Optional.ofNullable(before).map(id -> get(id, asking));
        List<OutboxRow> open = before == null ? mapper.newest(OPEN, null, null, MOST_OPEN, asking, all) : List.of();
        List<OutboxRow> settled = mapper.newest(
                SETTLED, last.map(OutgoingMessage::createdAt).orElse(null), before, MOST_SHOWN + 1, asking, all);
        boolean more = settled.size() > MOST_SHOWN;
        return new OutboxPage(open, more ? settled.subList(0, MOST_SHOWN) : settled, more);
    }

    /** How many wait. */
    int countWaiting(Colleague asking) {
        return mapper.countWaiting(asking, seesTests(asking));
    }

    /** Of how many nobody can be sure whether they went. */
    int countNotSure(Colleague asking) {
        return mapper.countNotSure(asking, seesTests(asking));
    }

    /** What is tested may not be ready for others: a test is seen by who sent it, and by those who may change all templates. */
    private static boolean seesTests(Colleague asking) {
        return asking.is(Role.KEEPER, Role.ADMINISTRATOR);
    }

    /** One message; refused when it is not there, or a test that is not for whoever asks to see. */
    OutgoingMessage get(UUID id, Colleague asking) {
        return mapper.byId(id)
                .filter(one -> !one.test() || one.writtenBy().equals(asking.id()) || seesTests(asking))
                .orElseThrow(() -> Refusal.missing("This message"));
    }

    /** A message as it is on the wire. */
    byte[] source(OutgoingMessage message) {
        return sources.read(message.id()).orElseThrow();
    }

    /** Where each stretch of a plain message came from; of a letter nothing is kept. */
    List<KeptPiece> pieces(OutgoingMessage message) {
        return mapper.pieces(message.id())
                .map(pieces -> List.of(json.readValue(pieces, KeptPiece[].class)))
                .orElse(List.of());
    }

    /** Puts a message in place that went out long ago; for the demo's data. */
    public void keepSent(
            UUID id,
            UUID template,
            Colleague sender,
            Person person,
            PersonAddress address,
            String subject,
            Merged body,
            Optional<Rendering> rendering,
            Instant at) {
        Words words = rendering.map(this::words).orElseGet(() -> Words.plain(body.text()));
        String messageId = "<" + id + "@" + domain() + ">";
        Addressed addressed = deliveries.address(words, person.kind(), person.id(), id);
        byte[] source = MimeWriter.write(
                messageId,
                new Mailbox(sender.name(), sender.email()),
                new Mailbox(person.name(), address.address()),
                subject,
                addressed.words(),
                new About(Optional.empty(), addressed.unsubscribe(), List.of()),
                at);
        List<Run> runs = body.pieces().stream()
                .map(piece -> new Run(piece.text(), piece.written(), false))
                .toList();
        mapper.insert(new OutgoingMessage(
                id,
                messageId,
                template,
                1,
                sender.id(),
                sender.id(),
                person.kind().word(),
                person.id(),
                person.deal().orElse(null),
                person.organisation().orElse(null),
                address.address(),
                sender.email(),
                subject,
                MessageState.SENT,
                1,
                null,
                "",
                false,
                at,
                at,
                false));
        sources.keep(id, source);
        if (words.html().isEmpty()) {
            keepPieces(id, kept(runs, body), addressed);
        }
        deliveries.keep(id, addressed);
        counted(Optional.of(template), sender.id(), person, at);
    }
}
