package famulus.server.interchange;

import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.Root;
import famulus.core.intake.FoundValue;
import famulus.core.intake.FoundValue.Proposed;
import famulus.core.intake.KnownValue;
import famulus.core.intake.ValueFinder;
import famulus.core.message.body.Body;
import famulus.core.message.body.BodyJson;
import famulus.core.message.body.Mode;
import famulus.core.message.body.UnreadableBody;
import famulus.core.message.personal.Refilling;
import famulus.core.message.personal.Refilling.Refill;
import famulus.core.message.personal.Refilling.SaidText;
import famulus.core.message.personal.Refilling.Texts;
import famulus.core.proof.LeftOverNames;
import famulus.core.proof.LeftOverNames.LeftOver;
import famulus.core.proof.SaidNames;
import famulus.core.prose.WrittenLanguage;
import famulus.server.interchange.FoundInMessage.AcceptedField;
import famulus.server.interchange.FoundInMessage.FieldChoice;
import famulus.server.interchange.FoundInMessage.FoundPart;
import famulus.server.interchange.FoundInMessage.FoundText;
import famulus.server.interchange.FoundInMessage.FoundWords;
import famulus.server.interchange.FoundInMessage.MessageWords;
import famulus.server.interchange.FoundInMessage.ReadWords;
import famulus.server.library.Draft;
import famulus.server.library.ListWords;
import famulus.server.library.TemplateLines.SubjectPart;
import famulus.server.library.TemplateService;
import famulus.server.lists.FoundField;
import famulus.server.platform.Refusal;
import famulus.server.records.CatalogueService;
import famulus.server.records.CrmKind;
import famulus.server.records.NameLookup;
import famulus.server.records.PeopleContext;
import famulus.server.records.PeopleContext.DealChoice;
import famulus.server.records.PeopleContext.For;
import famulus.server.records.PeopleContext.Person;
import famulus.server.records.RecordService;
import famulus.server.team.Colleague;
import famulus.server.team.TeamService;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.atomic.LongAdder;
import java.util.function.Function;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/**
 * Makes a template of a message that worked: one of ours, or words from elsewhere. The values of whoever it was written to are
 * found in it, and fields take the place of those that somebody says yes to.
 */
@Service
class TemplateFromMessage {
    /** Of more deals it is for whoever asks to say which one it is. */
    private static final int MOST_DEALS = 8;

    /** Whose value it is goes without saying. */
    private static final Set<String> OF_THE_READER = Set.of("person", "contact", "lead", "deal", "organisation");

    private final MessagesToRead sources;
    private final TemplateService templates;
    private final PeopleContext people;
    private final NameLookup names;
    private final CatalogueService catalogues;
    private final RecordService records;
    private final TeamService team;

    TemplateFromMessage(
            MessagesToRead sources,
            TemplateService templates,
            PeopleContext people,
            NameLookup names,
            CatalogueService catalogues,
            RecordService records,
            TeamService team) {
        this.sources = sources;
        this.templates = templates;
        this.people = people;
        this.names = names;
        this.catalogues = catalogues;
        this.records = records;
        this.team = team;
    }

    /** Reads a message, and finds in it what is known of its reader, and of the deal that most of it is about. */
    ReadWords read(MessageWords typed, Colleague asking) {
        FieldCatalogue catalogue = catalogues.catalogue();
        List<UUID> deals = deals(typed, catalogue, asking);
        MessageWords wanted = typed.deal() == null ? likeliest(typed, deals, catalogue, asking) : typed;
        MessageToRead source = sources.of(wanted, catalogue, asking);
        Texts texts = texts(source.draft());
        List<FoundText> shown = new ArrayList<>();
        List<FoundWords> found = new ArrayList<>();
        StringBuilder left = new StringBuilder();
        Refilling.of(texts, finding(source, texts, catalogue, (said, values) -> {
            shown.add(shown(said, values, found, catalogue, source.draft()));
            left.append(without(said.words(), values)).append('\n');
            return List.of();
        }));
        return new ReadWords(
                source.person().map(Person::name).orElse(""),
                shown,
                found,
                leftOver(left.toString(), source, catalogue, asking),
                source.ends().signature(),
                source.ends().thread(),
                wanted.deal(),
                records.all(CrmKind.DEAL, deals).values().stream()
                        .map(deal -> new DealChoice(deal.id(), deal.name()))
                        .toList());
    }

    /** The deals that a text from elsewhere may be about; none for a message of ours, which knows. */
    private List<UUID> deals(MessageWords wanted, FieldCatalogue catalogue, Colleague asking) {
        if (wanted.message() != null || wanted.kind() != CrmKind.CONTACT || wanted.person() == null) {
            return List.of();
        }
        Person person = people.person(new For(CrmKind.CONTACT, wanted.person(), null), asking, catalogue, true);
        return Stream.concat(
                        person.deal().stream(), person.otherDeals().stream().map(DealChoice::id))
                .distinct()
                .limit(MOST_DEALS)
                .toList();
    }

    /** The text about the deal of which it says most; about none where it says nothing of any. */
    private MessageWords likeliest(MessageWords wanted, List<UUID> deals, FieldCatalogue catalogue, Colleague asking) {
        MessageWords likeliest = wanted;
        long most = 0;
        for (UUID deal : deals) {
            MessageWords about = wanted.about(deal);
            MessageToRead source = sources.of(about, catalogue, asking);
            Texts texts = texts(source.draft());
            LongAdder said = new LongAdder();
            Refilling.of(texts, finding(source, texts, catalogue, (text, values) -> {
                said.add(values.stream().filter(TemplateFromMessage::ofDeal).count());
                return List.of();
            }));
            if (said.sum() > most) {
                most = said.sum();
                likeliest = about;
            }
        }
        return likeliest;
    }

    private static boolean ofDeal(FoundValue value) {
        return value.sure()
                && Root.of(value.fields().getFirst().path())
                        .filter(Root.DEAL::equals)
                        .isPresent();
    }

    /** Makes the template, not ready, with fields where somebody has said yes. */
    UUID make(MessageWords wanted, String name, List<AcceptedField> accepted, Colleague asking) {
        if (wanted == null || accepted == null) {
            throw Refusal.because("unreadable", "What this template is to be made of can’t be read.");
        }
        FieldCatalogue catalogue = catalogues.catalogue();
        MessageToRead source = sources.of(wanted, catalogue, asking);
        Texts texts = texts(source.draft());
        List<AcceptedField> open = new ArrayList<>(accepted);
        Texts filled = Refilling.of(texts, finding(source, texts, catalogue, (said, values) -> {
            List<Refill> put = new ArrayList<>();
            for (FoundValue value : values) {
                open.stream()
                        .filter(one -> one.key().equals(said.key())
                                && one.start() == value.start()
                                && one.words().equals(said.words().substring(value.start(), value.end()))
                                && value.fields().stream()
                                        .map(Proposed::written)
                                        .anyMatch(one.written()::equals))
                        .findFirst()
                        .ifPresent(one -> {
                            open.remove(one);
                            put.add(new Refill(value.start(), value.end(), one.written()));
                        });
            }
            return put;
        }));
        if (!open.isEmpty()) {
            throw Refusal.changedMeanwhile("“" + open.getFirst().words()
                    + "” is no longer found there: the record has changed. Look at it again.");
        }
        Draft draft = source.draft();
        return templates
                .add(
                        draft.worded(
                                        draft.about(),
                                        filled.subject(),
                                        filled.previewText(),
                                        filled.words(),
                                        filled.body().map(BodyJson::write).orElse(draft.design()))
                                .named(name),
                        asking)
                .id();
    }

    private interface Use {
        List<Refill> of(SaidText said, List<FoundValue> values);
    }

    private Function<SaidText, List<Refill>> finding(
            MessageToRead source, Texts texts, FieldCatalogue catalogue, Use use) {
        if (source.person().isEmpty()) {
            return said -> use.of(said, List.of());
        }
        Person person = source.person().get();
        ValueFinder finder = new ValueFinder(
                KnownValue.around(person.context(), catalogue, source.draft().about()),
                language(texts, source),
                person.locale(),
                source.written());
        return said -> use.of(
                said,
                finder.in(said.words()).stream()
                        .filter(value -> said.whole(value.start(), value.end()))
                        .toList());
    }

    private WrittenLanguage language(Texts texts, MessageToRead source) {
        StringBuilder all = new StringBuilder();
        Refilling.of(texts, said -> {
            all.append(said.words()).append('\n');
            return List.of();
        });
        return WrittenLanguage.of(
                        all.toString(),
                        source.person().map(Person::locale).orElse(team.house().locale()))
                .orElse(WrittenLanguage.ENGLISH);
    }

    private static Texts texts(Draft draft) {
        try {
            Optional<Body> body =
                    draft.mode() == Mode.PLAIN ? Optional.empty() : Optional.of(BodyJson.read(draft.design()));
            return new Texts(draft.subject(), draft.previewText(), draft.body(), body);
        } catch (UnreadableBody wrong) {
            throw Refusal.field("design", wrong.getMessage());
        }
    }

    private static FoundText shown(
            SaidText said, List<FoundValue> values, List<FoundWords> found, FieldCatalogue catalogue, Draft draft) {
        About about = draft.about();
        CrmKind kind = about == About.LEAD ? CrmKind.LEAD : CrmKind.CONTACT;
        List<FoundPart> parts = new ArrayList<>();
        int done = 0;
        for (FoundValue value : values) {
            words(parts, said.source().substring(done, value.start()), catalogue, about);
            String words = said.words().substring(value.start(), value.end());
            parts.add(new FoundPart(words, false, found.size()));
            found.add(new FoundWords(
                    said.key(),
                    value.start(),
                    words,
                    value.fields().stream().map(one -> choice(one, kind)).toList(),
                    value.sure()));
            done = value.end();
        }
        words(parts, said.source().substring(done), catalogue, about);
        return new FoundText(said.key(), parts);
    }

    private static FieldChoice choice(Proposed proposed, CrmKind kind) {
        String root = proposed.path().root();
        boolean theirs = OF_THE_READER.contains(root);
        return new FieldChoice(
                proposed.field().label() + (theirs ? "" : ", " + root),
                FoundField.source(proposed.field(), proposed.path(), kind),
                proposed.written());
    }

    private static void words(List<FoundPart> parts, String source, FieldCatalogue catalogue, About about) {
        for (SubjectPart part : ListWords.subject(source, catalogue, about)) {
            parts.add(new FoundPart(part.text(), part.field(), null));
        }
    }

    /** What stays as words once all that was found is a field. */
    private static String without(String words, List<FoundValue> values) {
        StringBuilder left = new StringBuilder(words);
        values.forEach(value -> left.replace(
                value.start(), value.end(), String.valueOf(Refilling.HIDDEN).repeat(value.end() - value.start())));
        return left.toString();
    }

    private List<LeftOver> leftOver(String text, MessageToRead source, FieldCatalogue catalogue, Colleague asking) {
        WrittenLanguage language = WrittenLanguage.of(
                        text,
                        source.person().map(Person::locale).orElse(team.house().locale()))
                .orElse(WrittenLanguage.ENGLISH);
        SaidNames said = SaidNames.of(text, language);
        Person nobody = people.nobody(asking, catalogue, language.locale(), Map.of());
        return LeftOverNames.of(text, said, names.of(said, nobody, asking));
    }
}
