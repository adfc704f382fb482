package famulus.server.library;

import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.FieldDefinition;
import famulus.core.field.Path;
import famulus.core.field.RecordKind;
import famulus.core.field.Root;
import famulus.core.merge.MergeParser;
import famulus.core.merge.Node;
import famulus.core.message.MessageSource;
import famulus.core.message.body.Band;
import famulus.core.message.body.Body;
import famulus.core.message.body.BodyJson;
import famulus.core.message.body.BodyText;
import famulus.core.message.body.Content;
import famulus.core.message.body.Design;
import famulus.core.message.body.HouseStyle;
import famulus.core.message.body.HouseStyle.Wrapping;
import famulus.core.message.body.Inserts;
import famulus.core.message.body.Mode;
import famulus.core.record.PlainLine;
import famulus.server.cupboard.FileService;
import famulus.server.cupboard.HouseStyleService;
import famulus.server.cupboard.HouseStyleService.KeptStyle;
import famulus.server.library.TemplateMapper.TemplateRow;
import famulus.server.platform.Events;
import famulus.server.platform.Ids;
import famulus.server.platform.Refusal;
import famulus.server.platform.SearchWords;
import famulus.server.records.CatalogueService;
import famulus.server.team.Colleague;
import famulus.server.team.Role;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps templates. Everybody may use all of them; whose they are and the keepers may change them. */
@Service
public class TemplateService {
    private static final int LONGEST_LINE = 500;
    private static final int LONGEST_BODY = 200_000;
    private static final Duration SITTING = Duration.ofHours(1);

    private final TemplateMapper mapper;
    private final Ids ids;
    private final Clock clock;
    private final Events events;
    private final CatalogueService catalogues;
    private final HouseStyleService styles;
    private final FileService files;

    TemplateService(
            TemplateMapper mapper,
            Ids ids,
            Clock clock,
            Events events,
            CatalogueService catalogues,
            HouseStyleService styles,
            FileService files) {
        this.files = files;
        this.styles = styles;
        this.mapper = mapper;
        this.ids = ids;
        this.clock = clock;
        this.events = events;
        this.catalogues = catalogues;
    }

    /** What can be said of a template from outside: everything but who changed it when. */
    public record Draft(
            String name,
            String purpose,
            About about,
            String subject,
            String previewText,
            String body,
            @Schema(nullable = true) Mode mode,
            @Schema(nullable = true) String design,
            @Schema(nullable = true) UUID houseStyle,
            @Schema(nullable = true) String header,
            @Schema(nullable = true) String footer,
            @Schema(nullable = true) List<UUID> files,
            @Schema(nullable = true) TemplateKind kind) {
        /** A plain template. */
        public Draft(String name, String purpose, About about, String subject, String previewText, String body) {
            this(name, purpose, about, subject, previewText, body, Mode.PLAIN, "", null, "", "", List.of(), null);
        }

        /** The same, of a kind. */
        Draft of(TemplateKind other) {
            return with(name, other);
        }

        /** The same with what another one is made of. */
        Draft saying(Draft other) {
            return new Draft(
                    name,
                    purpose,
                    about,
                    subject,
                    previewText,
                    other.body,
                    mode,
                    other.design,
                    houseStyle,
                    header,
                    footer,
                    files,
                    kind);
        }

        /** The same under another name. */
        public Draft named(String other) {
            return with(other, kind);
        }

        private Draft with(String otherName, TemplateKind otherKind) {
            return new Draft(
                    otherName,
                    purpose,
                    about,
                    subject,
                    previewText,
                    body,
                    mode,
                    design,
                    houseStyle,
                    header,
                    footer,
                    files,
                    otherKind);
        }

        public Draft {
            kind = kind == null ? TemplateKind.TEMPLATE : kind;
            files = files == null ? List.of() : List.copyOf(files);
            mode = mode == null ? Mode.PLAIN : mode;
            design = text(design);
            header = text(header);
            footer = text(footer);
            name = text(name);
            purpose = text(purpose);
            subject = text(subject);
            previewText = text(previewText);
            body = text(body);
        }

        private static String text(String given) {
            return given == null ? "" : given;
        }
    }

    /**
     * A line of the library.
     *
     * @param stage whether others can use it
     * @param used how many messages were written from it
     * @param languages the names of those it has variants in, besides its own
     * @param mayChange whether whoever asks may change it
     */
    public record TemplateLine(
            UUID id,
            String name,
            String purpose,
            About about,
            List<SubjectPart> subject,
            String owner,
            Instant changedAt,
            Mode mode,
            Stage stage,
            int used,
            List<String> languages,
            boolean mayChange,
            boolean mine) {}

    /** How far a template is. */
    public enum Stage {
        /** Never marked ready: only whose it is uses it. */
        DRAFT,
        /** Others use what it says. */
        READY,
        /** Others use what it said when it was marked ready. */
        CHANGED
    }

    private static Stage stage(TemplateRow line) {
        if (line.readyVersion() == null) {
            return Stage.DRAFT;
        }
        return line.readyVersion() == line.version() ? Stage.READY : Stage.CHANGED;
    }

    /** A stretch of a subject as it is read in a list: words, or a field by its label. */
    public record SubjectPart(String text, boolean field) {}

    /** Templates, passages or signatures in which all of the words occur, by name. */
    public List<TemplateLine> lines(TemplateKind kind, String search, Colleague asking) {
        return mapper.lines(kind.name(), SearchWords.of(search), asking.id()).stream()
                .map(line -> line(line, asking))
                .toList();
    }

    /**
     * Templates for writing to a record: those that have the words in their name first, then those about exactly its kind, then those about any person; in each group
     * the ones used last by whoever asks, then the others by name. Those that don't fit are left out.
     */
    public List<TemplateLine> fitting(About about, String search, Colleague asking) {
        return mapper.lines(TemplateKind.TEMPLATE.name(), SearchWords.of(search), asking.id()).stream()
                .filter(line -> fits(About.valueOf(line.about()), about))
                .filter(line -> line.readyVersion() != null || line.ownerId().equals(asking.id()))
                .sorted(Comparator.comparing((TemplateRow line) -> !named(line, search))
                        .thenComparing(line -> !line.about().equals(about.name()))
                        .thenComparing(TemplateRow::lastUsedByMe, Comparator.nullsLast(Comparator.reverseOrder()))
                        .thenComparing(TemplateRow::name))
                .map(line -> line(line, asking))
                .toList();
    }

    private static boolean named(TemplateRow line, String search) {
        return line.name().toLowerCase(Locale.ROOT).contains(search.strip().toLowerCase(Locale.ROOT));
    }

    /** Whether a template can be used where a record of some kind is written to. A deal is written to by a contact. */
    private static boolean fits(About template, About place) {
        return template == place
                || template == About.PERSON
                || (place == About.DEAL && template == About.CONTACT)
                || (place == About.CONTACT && template == About.DEAL);
    }

    private TemplateLine line(TemplateRow line, Colleague asking) {
        return new TemplateLine(
                line.id(),
                line.name(),
                line.purpose(),
                About.valueOf(line.about()),
                subject(line),
                line.ownerName(),
                line.changedAt(),
                Mode.valueOf(line.mode()),
                stage(line),
                line.used(),
                line.languages() == null
                        ? List.of()
                        : Stream.of(line.languages().split(","))
                                .map(code -> Locale.of(code).getDisplayLanguage(Locale.ENGLISH))
                                .toList(),
                mayChange(line.ownerId(), asking),
                line.ownerId().equals(asking.id()));
    }

    private List<SubjectPart> subject(TemplateRow line) {
        List<SubjectPart> parts = new ArrayList<>();
        subject(MergeParser.parse(line.subject()).nodes(), catalogues.catalogue(), About.valueOf(line.about()), parts);
        return parts;
    }

    /** Of a choice every branch is shown, one after another, since a list knows nobody to choose for. */
    private static void subject(List<Node> nodes, FieldCatalogue fields, About about, List<SubjectPart> parts) {
        for (Node node : nodes) {
            switch (node) {
                case Node.Literal literal -> parts.add(new SubjectPart(literal.text(), false));
                case Node.Broken broken -> parts.add(new SubjectPart(broken.source(), false));
                case Node.Field field -> parts.add(new SubjectPart(label(field, fields, about), true));
                case Node.Choice choice -> {
                    for (int turn = 0; turn < choice.branches().size(); turn++) {
                        if (turn > 0) {
                            parts.add(new SubjectPart(" ⁄ ", false));
                        }
                        subject(choice.branches().get(turn).nodes(), fields, about, parts);
                    }
                }
            }
        }
    }

    /** A template that uses something. */
    public record UsingTemplate(UUID id, String name) {}

    /** The templates that name a field of a kind of record, in use or retired, by name. */
    public List<UsingTemplate> using(RecordKind kind, String field) {
        return mapper.texts().stream()
                .filter(text -> Stream.of(text.subject(), text.previewText(), text.body())
                        .flatMap(part -> MergeParser.parse(part).paths().stream())
                        .anyMatch(path -> names(path, kind, field)))
                .map(text -> new UsingTemplate(text.id(), text.name()))
                .toList();
    }

    private static boolean names(Path path, RecordKind kind, String field) {
        List<String> words = path.words();
        boolean leads = words.size() > 2
                ? words.get(words.size() - 2).equals(kind.word())
                : Root.of(path).filter(root -> root.kind() == kind).isPresent();
        return words.size() > 1 && leads && words.getLast().equals(field);
    }

    private static String label(Node.Field field, FieldCatalogue fields, About about) {
        Optional<Path> path = field.expression().leadingPath();
        return path.flatMap(one -> fields.resolve(one, about))
                .map(FieldDefinition::label)
                .or(() -> path.map(Path::toString))
                .orElse("…");
    }

    /** Puts a header or footer into its house style as it is now. */
    void wrap(Template template, Colleague by) {
        styles.wrap(
                template.houseStyle(),
                template.kind() == TemplateKind.HEADER,
                new Wrapping(template.name(), bandsInStyle(template)),
                by);
    }

    /** What a header or footer is in its style, where its parts stand beside those of others. */
    List<Band> bandsInStyle(Template template) {
        String own =
                template.kind().word() + Integer.toHexString(template.name().hashCode()) + "-";
        return Inserts.owned(
                own, design(draft(template)).map(one -> one.body().bands()).orElse(List.of()));
    }

    /** The templates that have chosen a header or footer by its name. */
    private List<UsingTemplate> named(Template template) {
        return wrapped(template, template.name());
    }

    private List<UsingTemplate> wrapped(Template template, String name) {
        KeptStyle style = styles.get(template.houseStyle());
        return mapper.wrapped(style.id(), style.usual(), template.kind() == TemplateKind.HEADER, name).stream()
                .map(row -> new UsingTemplate(row.id(), row.name()))
                .toList();
    }

    /** The templates that have a header or footer: by its name, or because it is the first one of their style. */
    private List<UsingTemplate> wrapped(Template template) {
        HouseStyle style = styles.get(template.houseStyle()).style();
        boolean above = template.kind() == TemplateKind.HEADER;
        boolean first = (above ? style.header("") : style.footer(""))
                .filter(one -> !one.name().equals(template.name()))
                .isEmpty();
        return Stream.concat(named(template).stream(), first ? wrapped(template, "").stream() : Stream.empty())
                .toList();
    }

    /** The templates that a passage, header or footer is used in, by name; none for anything else. */
    public List<UsingTemplate> using(UUID id) {
        Optional<Template> wrapping =
                mapper.byId(id, false).filter(one -> one.kind().wraps());
        if (wrapping.isPresent()) {
            return wrapped(wrapping.get());
        }
        return mapper.usingPassage(id.toString()).stream()
                .map(row -> new UsingTemplate(row.id(), row.name()))
                .toList();
    }

    /** One template; refused when it is not there or has been deleted. */
    public Template get(UUID id) {
        return mapper.byId(id, false).orElseThrow(() -> Refusal.missing("This template"));
    }

    /**
     * A template as somebody uses it to write: their own as it is now, another's as it was when it was marked ready.
     * Refused while that has never been done.
     *
     * @param sender who the message goes out as; what is theirs may be used for them as it is now
     */
    public Template forUse(UUID id, Colleague asking, Colleague sender) {
        Template template = get(id);
        if (template.ownerId().equals(asking.id()) || template.ownerId().equals(sender.id())) {
            return template;
        }
        if (template.readyVersion() == null) {
            throw Refusal.because("not-ready", template.ownerName() + " has not marked this template ready yet.");
        }
        return template.readyVersion() == template.version()
                ? template
                : mapper.version(id, template.readyVersion()).orElse(template);
    }

    /** Whether somebody may change a template; what belongs to a house style is changed by whoever may change that. */
    boolean mayChange(Template template, Colleague who) {
        return template.kind().wraps()
                ? styles.mayChange(template.houseStyle(), who)
                : mayChange(template.ownerId(), who);
    }

    private static boolean mayChange(UUID owner, Colleague who) {
        return owner.equals(who.id()) || who.is(Role.KEEPER, Role.ADMINISTRATOR);
    }

    /** Adds a template of somebody's own. */
    @Transactional
    public Template add(Draft draft, Colleague by) {
        check(draft);
        if (draft.kind().wraps()) {
            wraps(draft, by);
        }
        UUID id = ids.next();
        mapper.insert(template(id, draft.kind(), draft, 1, by.id(), clock.instant()));
        events.tell("template", id.toString());
        return get(id);
    }

    /** A header or footer is one of a house style, under a name of its own there. */
    private void wraps(Draft draft, Colleague by) {
        if (draft.houseStyle() == null) {
            throw Refusal.field("houseStyle", "Say which house style it belongs to.");
        }
        styles.mustBeAllowed(draft.houseStyle(), by);
        String name = draft.name().strip();
        PlainLine.refusal(name, 60, true).ifPresent(sentence -> {
            throw Refusal.field("name", sentence);
        });
        boolean taken = name.equals("none")
                || mapper.wrappings(draft.houseStyle()).stream()
                        .anyMatch(one -> one.kind().equals(draft.kind().name())
                                && one.name().equals(name));
        if (taken) {
            throw Refusal.field("name", "This name is taken. Choose another one.");
        }
    }

    /** Adds a copy of a template, which belongs to who asked for it. */
    @Transactional
    public Template duplicate(UUID id, Colleague by) {
        Template original = get(id);
        String name = original.name() + " (copy)";
        return add(draft(original).named(name.substring(0, Math.min(name.length(), 120))), by);
    }

    /**
     * Keeps a change.
     *
     * @param version what the template was when it was read; refused when somebody has kept another change since
     */
    @Transactional
    public Template change(UUID id, int version, Draft draft, Colleague by) {
        Template before = get(id);
        mustBeAllowed(before, by);
        Draft of = before.kind().wraps() ? draft(before).saying(draft) : draft.of(before.kind());
        check(of);
        Instant now = clock.instant();
        // What somebody comes to after a while, or after another, can be brought back as it was.
        if (mapper.otherSitting(id, by.id(), now.minus(SITTING)) > 0) {
            mapper.keepVersion(id, version, TemplateVersionService.Reason.SITTING.name(), now);
        }
        if (mapper.update(template(id, before.kind(), of, version, before.ownerId(), now), by.id()) == 0) {
            throw Refusal.changedMeanwhile(before.changedBy() + " changed this template meanwhile.");
        }
        events.tell("template", id.toString());
        return get(id);
    }

    /** Puts a template aside; {@link #restore} brings it back. */
    @Transactional
    public void delete(UUID id, Colleague by) {
        Template template = get(id);
        mustBeAllowed(template, by);
        List<UsingTemplate> using = template.kind().wraps() ? named(template) : using(id);
        if (!using.isEmpty()) {
            throw Refusal.because(
                    "in-use",
                    "It is used in “" + using.stream().map(UsingTemplate::name).collect(Collectors.joining("”, “"))
                            + "”.");
        }
        if (mapper.variants(id) > 0) {
            throw Refusal.because("in-use", "It has variants in other languages. Delete those first.");
        }
        if (mapper.signing(id) > 0) {
            throw Refusal.because("in-use", "Messages are signed with it. Choose another signature first.");
        }
        if (template.kind().wraps()) {
            styles.unwrap(template.houseStyle(), template.kind() == TemplateKind.HEADER, template.name(), by);
        }
        mapper.delete(id, clock.instant());
        events.tell("template", id.toString());
    }

    /** Brings a deleted template back. */
    @Transactional
    public Template restore(UUID id, Colleague by) {
        Template template = mapper.byId(id, true).orElseThrow(() -> Refusal.missing("This template"));
        mustBeAllowed(template, by);
        mapper.restore(id);
        if (template.kind().wraps() && template.readyVersion() != null) {
            wrap(forUse(id, by, by), by);
        }
        events.tell("template", id.toString());
        return get(id);
    }

    /** Keeps what a template says, because a message is about to be written from it, or has been. */
    @Transactional
    public void keepVersion(UUID id, int version, TemplateVersionService.Reason reason) {
        mapper.keepVersion(id, version, reason.name(), clock.instant());
    }

    /** Puts a template in place with its own identifier, ready for everybody; for the demo's data. */
    public void keep(UUID id, Draft draft, UUID owner, Instant at) {
        mapper.insert(template(id, draft.kind(), draft, 1, owner, at));
        mapper.keepVersion(id, 1, TemplateVersionService.Reason.READY.name(), at);
        mapper.ready(id, 1);
    }

    void mustBeAllowed(Template template, Colleague by) {
        if (template.kind().wraps()) {
            styles.mustBeAllowed(template.houseStyle(), by);
        } else if (!mayChange(template.ownerId(), by)) {
            throw Refusal.forbidden(
                    "This is " + template.ownerName() + "’s template. Duplicate it to make it your own.");
        }
    }

    private Template template(UUID id, TemplateKind kind, Draft draft, int version, UUID owner, Instant at) {
        Optional<Design> design = design(draft);
        return new Template(
                id,
                kind,
                draft.name().strip(),
                draft.purpose().strip(),
                draft.about(),
                draft.subject(),
                draft.previewText(),
                design.map(TemplateService::words)
                        .orElseGet(() -> draft.body().replace("\r\n", "\n").replace('\r', '\n')),
                draft.mode(),
                design.map(one -> BodyJson.write(one.body())).orElse(""),
                draft.houseStyle(),
                draft.header(),
                draft.footer(),
                draft.files(),
                version,
                null,
                owner,
                "",
                at,
                "");
    }

    /** What a design says, without what its house style says. */
    private static String words(Design design) {
        return BodyText.of(new Design(design.mode(), design.body(), HouseStyle.BARE, "", ""))
                .source();
    }

    private Optional<Design> design(Draft draft) {
        return styles.design(draft.mode(), draft.design(), draft.houseStyle(), draft.header(), draft.footer());
    }

    /** A draft as the core reads it, in its house style; refused when its design can't be read. */
    public MessageSource source(Draft draft) {
        return design(draft)
                .map(design -> MessageSource.designed(draft.subject(), draft.previewText(), design))
                .orElseGet(() -> new MessageSource(draft.subject(), draft.previewText(), draft.body()));
    }

    /** A template as the core reads it, in its house style. */
    public MessageSource source(Template template) {
        return source(draft(template));
    }

    /** What a template says. */
    static Draft draft(Template template) {
        return new Draft(
                template.name(),
                template.purpose(),
                template.about(),
                template.subject(),
                template.previewText(),
                template.body(),
                template.mode(),
                template.design(),
                template.houseStyle(),
                template.header(),
                template.footer(),
                template.files(),
                template.kind());
    }

    /** Why a text can't be put into others; empty when it can. */
    private Optional<String> ofBlocks(Draft draft) {
        String word = draft.kind().word();
        if (draft.mode() == Mode.PLAIN) {
            return Optional.of("A " + word + " is made of blocks.");
        }
        Body body = design(draft).map(Design::body).orElse(Body.EMPTY);
        if (Inserts.has(body, Content.Passage.class)) {
            return Optional.of("A " + word + " can’t have a passage in it.");
        }
        if (draft.kind().wraps()
                && (Inserts.has(body, Content.Signature.class) || Inserts.has(body, Content.Feed.class))) {
            return Optional.of("A " + word + " of a house style can’t have a signature or a feed in it.");
        }
        return draft.kind() == TemplateKind.SIGNATURE && Inserts.has(body, Content.Signature.class)
                ? Optional.of("A signature can’t have a signature in it.")
                : Optional.empty();
    }

    private void check(Draft draft) {
        Map<String, String> wrong = new LinkedHashMap<>();
        PlainLine.refusal(draft.name(), 120, true).ifPresent(sentence -> wrong.put("name", sentence));
        PlainLine.refusal(draft.purpose(), 60, false).ifPresent(sentence -> wrong.put("purpose", sentence));
        PlainLine.refusal(draft.subject(), LONGEST_LINE, false).ifPresent(sentence -> wrong.put("subject", sentence));
        PlainLine.refusal(draft.previewText(), LONGEST_LINE, false)
                .ifPresent(sentence -> wrong.put("previewText", sentence));
        PlainLine.refusalOfLines(draft.body(), LONGEST_BODY, false).ifPresent(sentence -> wrong.put("body", sentence));
        design(draft)
                .filter(design -> words(design).length() > LONGEST_BODY)
                .ifPresent(
                        design -> wrong.put("design", "Its words are longer than 200,000 characters. Take some out."));
        files.refusal(draft.files()).ifPresent(sentence -> wrong.put("files", sentence));
        if (draft.about() == null) {
            wrong.put("about", "Say what the template is about.");
        }
        if (draft.houseStyle() != null) {
            styles.get(draft.houseStyle());
        }
        if (draft.kind() != TemplateKind.TEMPLATE) {
            ofBlocks(draft).ifPresent(sentence -> wrong.put("design", sentence));
        }
        if (!wrong.isEmpty()) {
            throw Refusal.fields(wrong);
        }
    }
}
