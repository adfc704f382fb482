package famulus.server.desk;

import famulus.core.calendar.Reckoning;
import famulus.core.calendar.TimeUnit;
import famulus.core.condition.ConditionWords;
import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.FieldDefinition;
import famulus.core.field.FieldType;
import famulus.core.field.Path;
import famulus.core.merge.Expression;
import famulus.core.merge.Format;
import famulus.core.merge.FormatName;
import famulus.core.merge.Guard;
import famulus.core.merge.Node;
import famulus.core.merge.Operand;
import famulus.core.merge.Origin;
import famulus.core.merge.Piece;
import famulus.core.merge.Program;
import famulus.core.message.MessagePart;
import famulus.core.message.MessageSource.Layout;
import famulus.core.message.body.Block;
import famulus.core.message.body.Body;
import famulus.core.message.body.BodyJson;
import famulus.core.message.body.BodyText;
import famulus.core.message.body.Content;
import famulus.core.message.body.Keys;
import famulus.core.message.body.SlotPieces;
import famulus.core.message.render.Rendering;
import famulus.core.proof.Note;
import famulus.core.syntax.Span;
import famulus.server.desk.ProofService.Proof;
import famulus.server.library.WavedNoteService.Waved;
import famulus.server.records.CrmKind;
import famulus.server.records.PeopleContext.DealChoice;
import famulus.server.records.PeopleContext.Person;
import famulus.server.records.PersonAddress;
import io.swagger.v3.oas.annotations.media.Schema;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A proof as the browser shows it.
 *
 * @param words how many words the body has
 * @param rendering what a letter or designed message looks like; null for a plain one
 */
public record ShownProof(
        ProvedPerson person,
        ShownPart subject,
        ShownPart previewText,
        ShownPart body,
        List<ShownNote> notes,
        List<ShownAsk> asks,
        int words,
        @Schema(nullable = true) ShownRendering rendering) {
    private static final int LONGEST_WORDS = 2000;

    /**
     * A letter or designed message as it is seen.
     *
     * @param html a whole document
     * @param text its plain twin
     * @param bytes how large the HTML is
     * @param attached the names of the files that go along
     * @param slots the strings of the body that are written here
     * @param conditions of blocks and bands, by identifier, as sentences
     * @param inside of passages, feeds and designed signatures, by block: what they say
     */
    public record ShownRendering(
            String html,
            String text,
            int bytes,
            List<String> attached,
            List<ShownSlot> slots,
            Map<String, String> conditions,
            Map<String, ShownInside> inside) {}

    /**
     * What a block stands for.
     *
     * @param name of the passage or feed; empty for a signature
     * @param words as this person reads them
     * @param design the body it stands for, as JSON; empty for a feed
     */
    public record ShownInside(String name, String words, String design) {}

    /**
     * A string of a design that can be written in.
     *
     * @param key such as {@code b3/label}
     * @param start where it begins in the words of the body, in UTF-16 units
     */
    public record ShownSlot(String key, int start, int end) {}

    /** An ask place; {@code answer} is empty until the sender puts one in. */
    public record ShownAsk(String hint, String answer) {}

    /** Who it is merged for; {@code deal} is empty when there is none. */
    public record ProvedPerson(
            CrmKind kind,
            UUID id,
            String name,
            String company,
            String deal,
            List<DealChoice> deals,
            List<PersonAddress> addresses,
            String language) {}

    /** One text: its fields as they stand in the draft, and its pieces as they are read. */
    public record ShownPart(List<Chip> chips, List<ShownPiece> pieces) {}

    /** What a chip stands for: a field, an ask place, or one of the marks of a choice. */
    public enum Role {
        FIELD,
        ASK,
        WHEN,
        OTHERWISE,
        END
    }

    /**
     * A field, an ask place or a mark of a choice in the draft.
     *
     * @param start where its written form begins in the draft, in UTF-16 units
     * @param label a field's label, an ask place's hint, or a condition as a sentence
     * @param source whose field it is: contact, lead, deal, organisation, user, house, history, document or date
     * @param fallback what is printed when the value is missing, in a few words; empty when there is nothing
     * @param choice for marks: which choice they belong to, counted from 0; else -1
     * @param taken for marks: whether the branch that begins here is the one the person gets
     */
    public record Chip(
            int start,
            int end,
            Role role,
            String written,
            String label,
            String source,
            String fallback,
            boolean known,
            FieldType type,
            List<ShownTerm> terms,
            List<String> formats,
            int choice,
            boolean taken) {}

    /**
     * One term.
     *
     * @param kind field, text, number, ask or nothing
     * @param format empty for the type's own way
     * @param steps what is reckoned from the field's day
     */
    public record ShownTerm(String kind, String value, String format, @Schema(nullable = true) List<ShownStep> steps) {}

    /** So many units on; fewer than none for back. */
    public record ShownStep(long number, TimeUnit unit) {}

    /**
     * A piece of the merged text; {@code source} and {@code label} are empty for what stands so in the template.
     *
     * @param format how it is printed; empty for the type's own way
     * @param fallback which term of the chain printed: 0 for the first
     * @param place where the value is kept; null when it is on no record
     */
    public record ShownPiece(
            String text,
            Origin origin,
            String source,
            String label,
            String path,
            String stored,
            String written,
            String format,
            int fallback,
            FieldType type,
            @Schema(nullable = true) ValuePlace place,
            int start,
            int end) {}

    /** Where a value is kept. */
    public record ValuePlace(CrmKind kind, UUID id, String field) {}

    /** A margin note; {@code level} is STOP or QUERY, {@code block} the block it is about, empty for words.
     *  {@code words} tells it from others of its code; {@code waved} is null unless it was let pass. */
    public record ShownNote(
            String code,
            Note.Level level,
            String title,
            String remedy,
            MessagePart part,
            int start,
            int end,
            List<String> nearest,
            @Schema(nullable = true) ShownFix fix,
            String block,
            String words,
            @Schema(nullable = true) ShownWave waved) {}

    /** Why a query was let pass, and by whom. */
    public record ShownWave(String reason, String by) {}

    /** A change of the draft that mends what a note is about. */
    public record ShownFix(String label, int start, int end, String text) {}

    /**
     * Makes a proof ready to be shown.
     *
     * @param heavy what is to be said of its weight
     * @param waved the queries that were let pass
     */
    static ShownProof of(Proof proof, About about, Optional<Rendering> rendering, List<Note> heavy, List<Waved> waved) {
        Person person = proof.person();
        ShownPart body = part(proof, about, MessagePart.BODY);
        return new ShownProof(
                new ProvedPerson(
                        person.kind(),
                        person.id(),
                        person.name(),
                        person.company(),
                        person.deal().map(UUID::toString).orElse(""),
                        person.otherDeals(),
                        person.addresses(),
                        person.locale().getLanguage()),
                part(proof, about, MessagePart.SUBJECT),
                part(proof, about, MessagePart.PREVIEW_TEXT),
                body,
                Stream.concat(proof.notes().stream(), heavy.stream())
                        .map(note -> note(note, proof, waved))
                        .toList(),
                asks(proof),
                words(proof.merged().body().text()),
                rendering.map(one -> rendering(one, proof, body.chips())).orElse(null));
    }

    /** The strings of the body that are written here; what the house style says is not, nor what signatures and passages do. */
    private static List<ShownSlot> slots(Layout layout) {
        Set<String> elsewhere = layout.design()
                .body()
                .blocks()
                .filter(block ->
                        block.content() instanceof Content.Signature || block.content() instanceof Content.Passage)
                .map(Block::id)
                .collect(Collectors.toSet());
        return layout.text().slots().stream()
                .filter(slot -> !layout.text().ofHouseStyle(slot.start()) && !elsewhere.contains(slot.owner()))
                .filter(slot -> !slot.key().equals(Keys.when(slot.owner()))
                        && !slot.key().endsWith("/end"))
                .map(slot -> new ShownSlot(slot.key(), slot.start(), slot.end()))
                .toList();
    }

    /** The conditions of blocks and bands as sentences. */
    private static Map<String, String> conditions(Layout layout, List<Chip> chips) {
        Map<Integer, String> sentences = new HashMap<>();
        chips.stream()
                .filter(chip -> chip.role() == Role.WHEN)
                .forEach(chip -> sentences.put(chip.start(), chip.label()));
        Map<String, String> conditions = new LinkedHashMap<>();
        for (BodyText.Slot slot : layout.text().slots()) {
            if (slot.key().equals(Keys.when(slot.owner()))) {
                conditions.put(slot.owner(), sentences.getOrDefault(slot.start(), ""));
            }
        }
        return conditions;
    }

    private static ShownRendering rendering(Rendering rendering, Proof proof, List<Chip> chips) {
        return new ShownRendering(
                rendering.html(),
                rendering.text(),
                rendering.html().getBytes(StandardCharsets.UTF_8).length,
                rendering.calendars().stream().map(Rendering.Calendar::name).toList(),
                proof.source().layout().map(ShownProof::slots).orElse(List.of()),
                proof.source().layout().map(layout -> conditions(layout, chips)).orElse(Map.of()),
                proof.source().layout().map(layout -> inside(layout, proof)).orElse(Map.of()));
    }

    private static Map<String, ShownInside> inside(Layout layout, Proof proof) {
        Map<String, ShownInside> inside = new LinkedHashMap<>();
        SlotPieces pieces = new SlotPieces(layout.text(), proof.merged().body());
        layout.design()
                .body()
                .blocks()
                .filter(block -> !block.content().inside().isEmpty())
                .forEach(block -> inside.put(
                        block.id(),
                        new ShownInside(
                                block.content() instanceof Content.Passage passage ? passage.name() : "",
                                words(block.id(), layout, pieces),
                                BodyJson.write(new Body(block.content().inside())))));
        layout.design().body().blocks().forEach(block -> {
            if (block.content() instanceof Content.Feed feed && !feed.name().isEmpty()) {
                String titles = feed.shown().stream().map(Content.Entry::title).collect(Collectors.joining("\n"));
                inside.put(block.id(), new ShownInside(feed.name(), titles, ""));
            }
        });
        return inside;
    }

    /** The merged words of a block, a line for each paragraph. */
    private static String words(String block, Layout layout, SlotPieces pieces) {
        StringBuilder words = new StringBuilder();
        String before = "";
        for (BodyText.Slot slot : layout.text().slots()) {
            String text = slot.owner().equals(block) && !slot.key().endsWith("/link") ? pieces.text(slot.key()) : "";
            if (!text.isBlank()) {
                // Runs of one paragraph differ in what stands after the point.
                String paragraph = slot.key().replaceFirst("\\.\\d+$", "");
                words.append(words.isEmpty() || paragraph.equals(before) ? "" : "\n")
                        .append(text);
                before = paragraph;
            }
        }
        return words.toString();
    }

    private static List<ShownAsk> asks(Proof proof) {
        Map<String, String> asks = new LinkedHashMap<>();
        for (MessagePart part : MessagePart.values()) {
            proof.program().program(part).asks().forEach(hint -> asks.put(hint, ""));
            proof.merged().merged(part).pieces().stream()
                    .filter(piece -> piece.origin() == Origin.ANSWERED)
                    .forEach(piece -> asks.put(piece.stored().orElse(""), piece.text()));
        }
        return asks.entrySet().stream()
                .map(ask -> new ShownAsk(ask.getKey(), ask.getValue()))
                .toList();
    }

    private static ShownPart part(Proof proof, About about, MessagePart part) {
        Program program = proof.program().program(part);
        List<Piece> pieces = proof.merged().merged(part).pieces();
        Set<Span> taken = pieces.stream()
                .filter(piece -> piece.origin() == Origin.BRANCH)
                .map(Piece::span)
                .collect(Collectors.toSet());
        Map<Span, Node.Field> fields =
                program.fields().stream().collect(Collectors.toMap(Node.Field::span, Function.identity()));
        return new ShownPart(
                chips(program, taken, proof.catalogue(), about, proof.person().kind()),
                pieces.stream()
                        .filter(piece -> !piece.marksChoice())
                        .map(piece -> piece(piece, fields.get(piece.span()), proof, about))
                        .toList());
    }

    /** The chips of a text in the order they stand. */
    static List<Chip> chips(Program program, Set<Span> taken, FieldCatalogue catalogue, About about, CrmKind person) {
        List<Chip> chips = new ArrayList<>();
        program.fields().forEach(field -> chips.add(chip(field, catalogue, about, person)));
        ConditionWords words = new ConditionWords(path -> ProofService.label(catalogue, path, about));
        List<Node.Choice> choices = program.choices();
        for (int at = 0; at < choices.size(); at++) {
            List<Node.Branch> branches = choices.get(at).branches();
            for (int turn = 0; turn < branches.size(); turn++) {
                Node.Branch branch = branches.get(turn);
                chips.add(mark(
                        turn == 0 ? Role.WHEN : Role.OTHERWISE,
                        branch.tag(),
                        branch.written(turn == 0),
                        sentence(branch.guard(), words),
                        !(branch.guard() instanceof Guard.Unreadable),
                        at,
                        taken.contains(branch.tag())));
            }
            chips.add(mark(Role.END, choices.get(at).end(), "{end}", "", true, at, false));
        }
        chips.sort(Comparator.comparingInt(Chip::start));
        return chips;
    }

    private static String sentence(Guard guard, ConditionWords words) {
        return switch (guard) {
            case Guard.When when -> words.of(when.condition());
            case Guard.Otherwise otherwise -> "";
            case Guard.Unreadable unreadable -> unreadable.source().replaceAll("^\\{(otherwise )?when |}$", "");
        };
    }

    private static Chip mark(
            Role role, Span span, String written, String label, boolean known, int choice, boolean taken) {
        return new Chip(
                span.start(),
                span.end(),
                role,
                written,
                label,
                "",
                "",
                known,
                FieldType.TEXT,
                List.of(),
                List.of(),
                choice,
                taken);
    }

    private static Chip chip(Node.Field field, FieldCatalogue catalogue, About about, CrmKind person) {
        List<Expression.Term> terms = field.expression().terms();
        Optional<Path> path = field.expression().leadingPath();
        Optional<FieldDefinition> definition = path.flatMap(one -> catalogue.resolve(one, about));
        boolean known = terms.stream()
                .map(Expression.Term::operand)
                .filter(Operand.Reference.class::isInstance)
                .allMatch(one -> catalogue
                        .resolve(((Operand.Reference) one).path(), about)
                        .isPresent());
        FieldType type = definition.map(FieldDefinition::type).orElse(FieldType.TEXT);
        Operand first = terms.getFirst().operand();
        boolean asks = first instanceof Operand.Ask;
        String label =
                switch (first) {
                    case Operand.Ask ask -> ask.hint();
                    case Operand.Reference reference ->
                        definition
                                        .map(FieldDefinition::label)
                                        .orElse(reference.path().toString())
                                + reckoned(reference.reckoning());
                    default ->
                        path.map(one -> ProofService.label(catalogue, one, about))
                                .orElse("Text");
                };
        return new Chip(
                field.span().start(),
                field.span().end(),
                asks ? Role.ASK : Role.FIELD,
                new Program("", List.of(field)).written(),
                label,
                asks
                        ? "ask"
                        : definition.map(one -> source(one, path.get(), person)).orElse("date"),
                terms.size() < 2 ? "" : fallback(terms, catalogue, about),
                known,
                type,
                terms.stream().map(ShownProof::term).toList(),
                FormatName.fitting(type).stream().map(FormatName::written).toList(),
                -1,
                false);
    }

    private static String reckoned(Reckoning reckoning) {
        return reckoning.written().substring(reckoning.path().toString().length());
    }

    private static String fallback(List<Expression.Term> terms, FieldCatalogue catalogue, About about) {
        return terms.stream()
                .skip(1)
                .map(term -> switch (term.operand()) {
                    case Operand.Nothing nothing -> "blank";
                    case Operand.Words words -> words.text();
                    case Operand.Figure figure -> figure.number().toPlainString();
                    case Operand.Ask ask -> "ask " + ask.hint();
                    case Operand.Reference reference ->
                        ProofService.label(catalogue, reference.path(), about) + reckoned(reference.reckoning());
                })
                .reduce((left, right) -> left + " ⁄ " + right)
                .orElse("");
    }

    private static ShownTerm term(Expression.Term term) {
        String format = term.format().map(Format::written).orElse("");
        return switch (term.operand()) {
            case Operand.Nothing nothing -> new ShownTerm("nothing", "", format, List.of());
            case Operand.Words words -> new ShownTerm("text", words.text(), format, List.of());
            case Operand.Ask ask -> new ShownTerm("ask", ask.hint(), format, List.of());
            case Operand.Figure figure ->
                new ShownTerm("number", figure.number().toPlainString(), format, List.of());
            case Operand.Reference reference ->
                new ShownTerm("field", reference.path().toString(), format, steps(reference.reckoning()));
        };
    }

    static List<ShownStep> steps(Reckoning reckoning) {
        return reckoning.steps().stream()
                .map(step -> new ShownStep(step.number(), step.unit()))
                .toList();
    }

    /** Whose field it is; {@code person} takes the mark of who it is. */
    static String source(FieldDefinition field, Path path, CrmKind person) {
        if (path.words().size() == 1) {
            return "date";
        }
        return switch (field.kind()) {
            case PERSON -> person.word();
            default -> field.kind().word();
        };
    }

    private static ShownPiece piece(Piece piece, Node.Field field, Proof proof, About about) {
        Optional<FieldDefinition> definition =
                piece.path().flatMap(path -> proof.catalogue().resolve(path, about));
        List<Expression.Term> terms =
                field == null ? List.of() : field.expression().terms();
        boolean asked = piece.origin() == Origin.ASKED || piece.origin() == Origin.ANSWERED;
        return new ShownPiece(
                piece.text(),
                piece.origin(),
                asked
                        ? "ask"
                        : definition
                                .map(one -> source(
                                        one, piece.path().get(), proof.person().kind()))
                                .orElse(""),
                asked
                        ? piece.stored().orElse("")
                        : definition
                                .map(FieldDefinition::label)
                                .or(() -> piece.path().map(Path::toString))
                                .orElse(""),
                piece.path().map(Path::toString).orElse(""),
                piece.stored().orElse(""),
                piece.written(),
                piece.fallback() < terms.size()
                        ? terms.get(piece.fallback())
                                .format()
                                .map(Format::written)
                                .orElse("")
                        : "",
                piece.fallback(),
                definition.map(FieldDefinition::type).orElse(FieldType.TEXT),
                piece.path().flatMap(path -> place(path, proof.person())).orElse(null),
                piece.span().start(),
                piece.span().end());
    }

    /** The record a value is kept on, for values that stand on one directly. */
    private static Optional<ValuePlace> place(Path path, Person person) {
        if (path.words().size() != 2) {
            return Optional.empty();
        }
        String field = path.words().getLast();
        return switch (path.root()) {
            case "person", "contact", "lead", "history" ->
                Optional.of(new ValuePlace(person.kind(), person.id(), field));
            case "deal", "document" -> person.deal().map(id -> new ValuePlace(CrmKind.DEAL, id, field));
            case "organisation" -> person.organisation().map(id -> new ValuePlace(CrmKind.ORGANISATION, id, field));
            default -> Optional.empty();
        };
    }

    private static ShownNote note(Note note, Proof proof, List<Waved> waved) {
        String words = words(note, proof);
        Optional<Waved> wave = waved.stream()
                .filter(one -> !note.stops() && one.code().equals(note.code()))
                .filter(one -> one.words().equals(words))
                .findFirst();
        return new ShownNote(
                note.code(),
                note.level(),
                note.title(),
                note.remedy(),
                note.part(),
                note.span().start(),
                note.span().end(),
                note.nearest(),
                note.fix()
                        .map(fix -> new ShownFix(
                                fix.label(), fix.span().start(), fix.span().end(), fix.text()))
                        .orElse(null),
                note.block(),
                words,
                wave.map(one -> new ShownWave(one.reason(), one.by())).orElse(null));
    }

    /** What a note is about, to be told from another one like it; the end of what is very long is left out. */
    private static String words(Note note, Proof proof) {
        String text = proof.source().text(note.part());
        String about = note.block() + " " + note.title() + " "
                + text.substring(note.span().start(), note.span().end());
        return about.substring(0, Math.min(about.length(), LONGEST_WORDS));
    }

    private static int words(String text) {
        String stripped = text.strip().toLowerCase(Locale.ROOT);
        return stripped.isEmpty() ? 0 : stripped.split("\\s+").length;
    }
}
