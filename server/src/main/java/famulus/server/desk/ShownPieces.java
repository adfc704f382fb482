package famulus.server.desk;

import famulus.core.field.About;
import famulus.core.field.FieldDefinition;
import famulus.core.field.FieldType;
import famulus.core.field.Path;
import famulus.core.merge.Expression;
import famulus.core.merge.Format;
import famulus.core.merge.Node;
import famulus.core.merge.Origin;
import famulus.core.merge.Piece;
import famulus.server.desk.ProofService.Proof;
import famulus.server.desk.ShownPiece.ValuePlace;
import famulus.server.lists.FoundField;
import famulus.server.records.CrmKind;
import famulus.server.records.PeopleContext.Person;
import famulus.server.records.SampleRecords;
import java.util.List;
import java.util.Optional;

/** Pieces of a merged text, each with where it comes from. */
final class ShownPieces {
    private ShownPieces() {}

    static ShownPiece of(Piece piece, Node.Field field, Proof proof, About about) {
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
                                .map(one -> FoundField.source(
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
        if (path.words().size() != 2 || SampleRecords.is(person.id())) {
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
}
