package famulus.server.mailings;

import famulus.core.audience.Audience;
import famulus.core.audience.Candidate;
import famulus.core.departure.Leaving;
import famulus.core.field.About;
import famulus.core.merge.Node;
import famulus.core.merge.Origin;
import famulus.core.message.MergedMessage;
import famulus.core.message.MessagePart;
import famulus.core.proof.Correspondence;
import famulus.core.proof.Note;
import famulus.core.syntax.Span;
import famulus.server.desk.ManyProofs;
import famulus.server.desk.ManyProofs.Message;
import famulus.server.desk.ManyProofs.Reader;
import famulus.server.desk.ProofService.Given;
import famulus.server.desk.ProofService.Proof;
import famulus.server.mailings.KeptPreviews.Grounds;
import famulus.server.mailings.KeptPreviews.Moment;
import famulus.server.mailings.MailingWords.Wording;
import famulus.server.mailings.MailingWords.Wordings;
import famulus.server.materials.FileService;
import famulus.server.messages.AudienceService;
import famulus.server.messages.CorrespondenceService;
import famulus.server.messages.CorrespondenceService.Writing;
import famulus.server.messages.DepartureService;
import famulus.server.messages.MessageDraftService;
import famulus.server.messages.MessageDraftService.MessageDraft;
import famulus.server.messages.SenderRights;
import famulus.server.platform.Refusal;
import famulus.server.platform.Several;
import famulus.server.records.CrmKind;
import famulus.server.records.PeopleContext.For;
import famulus.server.team.Colleague;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/**
 * Reads what everybody would get of a mailing, as a message of their own would be read: some at a time, so that the first are there
 * at once.
 */
@Service
class MailingReading {
    /** So many are gathered and read together; the first ones are fewer, to be there sooner. */
    private static final int AT_ONCE = 50;

    private static final int FIRST = 25;
    /** So many portions are read at the same time. */
    private static final int READERS = Math.clamp(Runtime.getRuntime().availableProcessors(), 1, 4);

    private static final int LONGEST_LINE = 110;

    private final ManyProofs proofs;
    private final MailingMessages messages;
    private final MailingWords words;
    private final MessageDraftService drafts;
    private final CorrespondenceService correspondence;
    private final DepartureService departures;
    private final SenderRights senders;
    private final FileService files;
    private final KeptPreviews kept;

    MailingReading(
            ManyProofs proofs,
            MailingMessages messages,
            MailingWords words,
            MessageDraftService drafts,
            CorrespondenceService correspondence,
            DepartureService departures,
            SenderRights senders,
            FileService files,
            KeptPreviews kept) {
        this.proofs = proofs;
        this.messages = messages;
        this.words = words;
        this.drafts = drafts;
        this.correspondence = correspondence;
        this.departures = departures;
        this.senders = senders;
        this.files = files;
        this.kept = kept;
    }

    /** Something the proofreader says; {@code stops} whether the message can’t leave like that. */
    record RowNote(String code, String title, String remedy, boolean stops) {}

    /**
     * What somebody would get.
     *
     * @param organisation where they work; empty for nowhere
     * @param sender who it goes out as, by first name
     * @param opening what it begins with
     * @param fallbacks the fields that say something else than a value
     * @param language they are written to in, by ISO 639
     * @param own whether it is in words of their own
     */
    record PreviewRow(
            UUID key,
            CrmKind kind,
            UUID person,
            UUID deal,
            String name,
            String organisation,
            String sender,
            String address,
            String subject,
            String opening,
            List<String> fallbacks,
            String language,
            boolean own,
            List<RowNote> notes) {
        /** Why it can’t leave, in sentences; empty where it can. */
        Optional<String> stopped() {
            List<String> stops = notes.stream()
                    .filter(RowNote::stops)
                    .map(note -> note.title() + ".")
                    .toList();
            return stops.isEmpty() ? Optional.empty() : Optional.of(String.join(" ", stops));
        }
    }

    /** What is read, and by whom it is asked. */
    private record Asked(
            Moment moment,
            Mailing mailing,
            Wordings said,
            About about,
            Map<UUID, MailingPerson> people,
            Map<UUID, Colleague> owners,
            Map<UUID, Instant> times,
            Optional<Colleague> chosen,
            Colleague asking) {
        Colleague sender(UUID key) {
            return MailingMessages.sender(mailing.plan(), Optional.ofNullable(owners.get(key)), chosen, asking);
        }
    }

    /**
     * Reads what each gets.
     *
     * @param people those of whom something is known
     * @param times when it leaves for each, by what they were chosen as
     * @param each told of each as soon as it is read
     */
    void each(
            Mailing mailing,
            Audience audience,
            Wordings said,
            Map<UUID, MailingPerson> people,
            Map<UUID, Instant> times,
            Colleague asking,
            Consumer<PreviewRow> each) {
        List<Candidate> all = audience.in();
        Asked asked = new Asked(
                kept.now(),
                mailing,
                said,
                MailingWords.about(said, mailing.plan().who().kind()),
                people,
                messages.owners(mailing.plan(), MailingPeople.keys(audience)),
                times,
                messages.chosenSender(mailing.plan().what()),
                asking);
        List<List<Candidate>> portions = new ArrayList<>();
        for (int from = 0; from < all.size(); ) {
            int to = Math.min(all.size(), from + (from == 0 ? FIRST : AT_ONCE));
            portions.add(all.subList(from, to));
            from = to;
        }
        if (portions.isEmpty()) {
            return;
        }
        // The first ones are there at once; the others are read by several, who tell of one at a time.
        portion(asked, portions.getFirst(), each);
        Consumer<PreviewRow> inTurn = row -> {
            synchronized (portions) {
                each.accept(row);
            }
        };
        Several.each(portions.subList(1, portions.size()), READERS, some -> portion(asked, some, inTurn));
    }

    private void portion(Asked asked, List<Candidate> some, Consumer<PreviewRow> each) {
        Map<Colleague, List<Candidate>> bySender = some.stream()
                .collect(
                        Collectors.groupingBy(one -> asked.sender(one.key()), LinkedHashMap::new, Collectors.toList()));
        bySender.forEach((sender, theirs) -> {
            List<Candidate> plain =
                    theirs.stream().filter(one -> own(asked, one).isEmpty()).toList();
            read(asked, sender, plain, each);
            theirs.stream()
                    .filter(one -> own(asked, one).isPresent())
                    .forEach(one -> each.accept(ofTheirOwn(asked, sender, one)));
        });
    }

    private static Optional<UUID> own(Asked asked, Candidate one) {
        return Optional.ofNullable(asked.people().get(one.key())).map(MailingPerson::draftId);
    }

    private void read(Asked asked, Colleague sender, List<Candidate> some, Consumer<PreviewRow> each) {
        CrmKind kind = asked.mailing().plan().who().kind();
        UUID template = asked.said().usual().template();
        List<Correspondence> before = correspondence.all(
                some.stream()
                        .map(one -> new Writing(one.person().orElseThrow(), template, false, null))
                        .toList(),
                asked.asking());
        List<Reader> readers = new ArrayList<>();
        Map<For, Candidate> candidates = new HashMap<>();
        for (int i = 0; i < some.size(); i++) {
            For to = AudienceService.to(some.get(i), kind);
            candidates.put(to, some.get(i));
            readers.add(new Reader(
                    to,
                    before.get(i),
                    Optional.ofNullable(asked.times().get(some.get(i).key()))));
        }
        Message message = message(asked);
        Message signed = proofs.signed(message, sender);
        Grounds grounds = new Grounds(
                asked.mailing().id(),
                asked.moment(),
                sender.id(),
                asked.asking().id());
        Map<For, KeptPreviews.Reader> leaning = new HashMap<>();
        List<Reader> anew = new ArrayList<>();
        for (Reader reader : readers) {
            KeptPreviews.Reader one =
                    new KeptPreviews.Reader(candidates.get(reader.to()), reader.before(), reader.at());
            leaning.put(reader.to(), one);
            kept.of(grounds, signed, one).ifPresentOrElse(each, () -> anew.add(reader));
        }
        if (anew.isEmpty()) {
            return;
        }
        DepartureService.Asked departing = departures.ofMany();
        proofs.each(message, anew, sender, read -> {
            Candidate one = candidates.get(read.to());
            Wording wording = asked.said().in(read.proof().person().locale().getLanguage());
            MessageDraft draft = new MessageDraft(
                    read.proof(),
                    Optional.empty(),
                    asked.about(),
                    sender,
                    wording.words().files(),
                    false);
            PreviewRow row = row(
                    asked,
                    one,
                    sender,
                    draft,
                    false,
                    mayNot(read.to(), sender, asked),
                    departing.stops(Leaving.SEND, draft));
            kept.keep(grounds, signed, leaning.get(read.to()), row);
            each.accept(row);
        });
    }

    /** Why nothing may go out in a name; what they look after is theirs. */
    private Optional<String> mayNot(For to, Colleague sender, Asked asked) {
        try {
            senders.of(to, sender.id(), true, asked.asking());
            return Optional.empty();
        } catch (Refusal refusal) {
            return Optional.of(refusal.getMessage());
        }
    }

    private Message message(Asked asked) {
        List<Locale> languages =
                asked.said().others().keySet().stream().map(Locale::of).toList();
        Map<String, ManyProofs.Wording> others = new HashMap<>();
        asked.said().others().forEach((language, one) -> others.put(language, prepared(one, asked, languages)));
        return new Message(asked.about(), prepared(asked.said().usual(), asked, languages), others);
    }

    private ManyProofs.Wording prepared(Wording one, Asked asked, List<Locale> languages) {
        List<String> attached = files.some(one.words().files()).stream()
                .map(FileService.KeptFile::name)
                .toList();
        Given given = new Given(
                Map.of(),
                asked.mailing().plan().what().answers(),
                true,
                Optional.empty(),
                Optional.of(attached),
                Optional.empty(),
                languages);
        return new ManyProofs.Wording(words.source(one), given);
    }

    /** In words of their own, which are read one by one. */
    private PreviewRow ofTheirOwn(Asked asked, Colleague sender, Candidate one) {
        MailingPerson person = asked.people().get(one.key());
        try {
            MessageDraft draft = drafts.read(
                    messages.prepared(asked.mailing(), person, asked.said(), asked.asking())
                            .message(),
                    asked.asking());
            return row(asked, one, sender, draft, true, Optional.empty(), departures.stops(Leaving.SEND, draft));
        } catch (Refusal refusal) {
            return unreadable(asked, one, sender, refusal);
        }
    }

    private PreviewRow unreadable(Asked asked, Candidate one, Colleague sender, Refusal refusal) {
        For to = AudienceService.to(one, asked.mailing().plan().who().kind());
        return new PreviewRow(
                one.key(),
                to.kind(),
                to.id(),
                to.deal(),
                one.name(),
                "",
                sender.firstName(),
                one.address().orElse(""),
                "",
                "",
                List.of(),
                "",
                true,
                List.of(new RowNote("unreadable", without(refusal.getMessage()), "", true)));
    }

    private static String without(String sentence) {
        return sentence.endsWith(".") ? sentence.substring(0, sentence.length() - 1) : sentence;
    }

    private PreviewRow row(
            Asked asked,
            Candidate one,
            Colleague sender,
            MessageDraft draft,
            boolean own,
            Optional<String> mayNot,
            List<Note> stops) {
        Proof proof = draft.proof();
        MergedMessage merged = proof.merged();
        List<RowNote> notes = new ArrayList<>();
        mayNot.ifPresent(why -> notes.add(new RowNote("sender", without(why), "Choose another sender.", true)));
        stops.forEach(note -> notes.add(new RowNote(note.code(), note.title(), note.remedy(), true)));
        proof.notes().stream()
                .filter(note -> !note.stops())
                .forEach(note -> notes.add(new RowNote(note.code(), note.title(), note.remedy(), false)));
        For to = AudienceService.to(one, asked.mailing().plan().who().kind());
        return new PreviewRow(
                one.key(),
                to.kind(),
                to.id(),
                to.deal(),
                one.name(),
                proof.person().company(),
                sender.firstName(),
                one.address().orElse(""),
                line(merged.subject().text()),
                line(merged.body().text()),
                fallbacks(proof),
                proof.person().locale().getLanguage(),
                own,
                notes);
    }

    private static List<String> fallbacks(Proof proof) {
        Set<String> labels = new LinkedHashSet<>();
        for (MessagePart part : MessagePart.values()) {
            Map<Span, Node.Field> fields = proof.program().program(part).fields().stream()
                    .collect(Collectors.toMap(Node.Field::span, field -> field, (first, other) -> first));
            // What is missing is what a field asks for first, whatever was found in its place.
            proof.merged().merged(part).pieces().stream()
                    .filter(piece -> piece.origin() == Origin.FALLBACK)
                    .map(piece -> Optional.ofNullable(fields.get(piece.span())))
                    .flatMap(Optional::stream)
                    .flatMap(field -> field.leading().stream())
                    .map(proof.subject().label())
                    .forEach(labels::add);
        }
        return List.copyOf(labels);
    }

    private static String line(String text) {
        String line = text.strip().replaceAll("\\s+", " ");
        if (line.length() <= LONGEST_LINE) {
            return line;
        }
        int end = line.lastIndexOf(' ', LONGEST_LINE);
        return line.substring(0, end > 0 ? end : line.offsetByCodePoints(0, LONGEST_LINE / 2)) + " …";
    }
}
