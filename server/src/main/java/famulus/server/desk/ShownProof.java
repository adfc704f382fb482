package famulus.server.desk;

import famulus.core.merge.About;
import famulus.core.merge.Expression;
import famulus.core.merge.FieldCatalogue;
import famulus.core.merge.FieldDefinition;
import famulus.core.merge.FieldType;
import famulus.core.merge.Format;
import famulus.core.merge.FormatName;
import famulus.core.merge.Node;
import famulus.core.merge.Operand;
import famulus.core.merge.Origin;
import famulus.core.merge.Path;
import famulus.core.merge.Piece;
import famulus.core.merge.Program;
import famulus.core.message.MessagePart;
import famulus.core.proof.Note;
import famulus.server.desk.ProofService.Proof;
import famulus.server.records.CrmKind;
import famulus.server.records.PeopleContext.DealChoice;
import famulus.server.records.PeopleContext.Person;
import famulus.server.records.PersonAddress;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;

/**
 * A proof as the browser shows it.
 *
 * @param words how many words the body has
 */
public record ShownProof(
        ProvedPerson person,
        ShownPart subject,
        ShownPart previewText,
        ShownPart body,
        List<ShownNote> notes,
        int words) {

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

    /**
     * A field in the draft.
     *
     * @param start where its written form begins in the draft, in UTF-16 units
     * @param source whose field it is: contact, lead, deal, organisation, user, house or date
     * @param fallback what is printed when the value is missing, in a few words; empty when there is nothing
     */
    public record Chip(
            int start,
            int end,
            String written,
            String label,
            String source,
            String fallback,
            boolean known,
            FieldType type,
            List<ShownTerm> terms,
            List<String> formats) {}

    /** One term: {@code kind} is field, text, number or nothing; {@code format} is empty for the type's own way. */
    public record ShownTerm(String kind, String value, String format) {}

    /** A piece of the merged text; {@code source} and {@code label} are empty for what stands so in the template. */
    public record ShownPiece(
            String text,
            Origin origin,
            String source,
            String label,
            String path,
            String stored,
            String written,
            FieldType type,
            int start,
            int end) {}

    /** A margin note; {@code level} is STOP or QUERY. */
    public record ShownNote(
            String code,
            Note.Level level,
            String title,
            String remedy,
            MessagePart part,
            int start,
            int end,
            List<String> nearest) {}

    /** Makes a proof ready to be shown. */
    static ShownProof of(Proof proof, About about) {
        Person person = proof.person();
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
                part(proof, about, MessagePart.BODY),
                proof.notes().stream().map(ShownProof::note).toList(),
                words(proof.merged().body().text()));
    }

    private static ShownPart part(Proof proof, About about, MessagePart part) {
        return new ShownPart(
                chips(
                        proof.program().program(part).fields(),
                        proof.catalogue(),
                        about,
                        proof.person().kind()),
                proof.merged().merged(part).pieces().stream()
                        .map(piece -> piece(piece, proof, about))
                        .toList());
    }

    static List<Chip> chips(List<Node.Field> fields, FieldCatalogue catalogue, About about, CrmKind person) {
        return fields.stream()
                .map(field -> chip(field, catalogue, about, person))
                .toList();
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
        String label = definition
                .map(FieldDefinition::label)
                .or(() -> path.map(Path::toString))
                .orElse("Text");
        return new Chip(
                field.span().start(),
                field.span().end(),
                new Program("", List.of(field)).written(),
                label,
                definition.map(one -> source(one, path.get(), person)).orElse("date"),
                terms.size() < 2 ? "" : fallback(terms, catalogue, about),
                known,
                type,
                terms.stream().map(ShownProof::term).toList(),
                FormatName.fitting(type).stream().map(FormatName::written).toList());
    }

    private static String fallback(List<Expression.Term> terms, FieldCatalogue catalogue, About about) {
        return terms.stream()
                .skip(1)
                .map(term -> switch (term.operand()) {
                    case Operand.Nothing nothing -> "blank";
                    case Operand.Words words -> words.text();
                    case Operand.Figure figure -> figure.number().toPlainString();
                    case Operand.Reference reference -> ProofService.label(catalogue, reference.path(), about);
                })
                .reduce((left, right) -> left + " ⁄ " + right)
                .orElse("");
    }

    private static ShownTerm term(Expression.Term term) {
        String format = term.format().map(Format::written).orElse("");
        return switch (term.operand()) {
            case Operand.Nothing nothing -> new ShownTerm("nothing", "", format);
            case Operand.Words words -> new ShownTerm("text", words.text(), format);
            case Operand.Figure figure ->
                new ShownTerm("number", figure.number().toPlainString(), format);
            case Operand.Reference reference ->
                new ShownTerm("field", reference.path().toString(), format);
        };
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

    private static ShownPiece piece(Piece piece, Proof proof, About about) {
        Optional<FieldDefinition> field =
                piece.path().flatMap(path -> proof.catalogue().resolve(path, about));
        return new ShownPiece(
                piece.text(),
                piece.origin(),
                field.map(one -> source(one, piece.path().get(), proof.person().kind()))
                        .orElse(""),
                field.map(FieldDefinition::label)
                        .or(() -> piece.path().map(Path::toString))
                        .orElse(""),
                piece.path().map(Path::toString).orElse(""),
                piece.stored().orElse(""),
                piece.written(),
                field.map(FieldDefinition::type).orElse(FieldType.TEXT),
                piece.span().start(),
                piece.span().end());
    }

    private static ShownNote note(Note note) {
        return new ShownNote(
                note.code(),
                note.level(),
                note.title(),
                note.remedy(),
                note.part(),
                note.span().start(),
                note.span().end(),
                note.nearest());
    }

    private static int words(String text) {
        String stripped = text.strip().toLowerCase(Locale.ROOT);
        return stripped.isEmpty() ? 0 : stripped.split("\\s+").length;
    }
}
