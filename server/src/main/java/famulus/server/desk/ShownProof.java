package famulus.server.desk;

import famulus.core.field.About;
import famulus.core.merge.Node;
import famulus.core.merge.Origin;
import famulus.core.merge.Piece;
import famulus.core.merge.Program;
import famulus.core.message.MessagePart;
import famulus.core.message.render.PlainAround;
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
 * @param plainText the text that is kept by hand; null where it is derived
 * @param above what the style of a plain one says above it; empty for nothing, as {@code below}
 * @param rendering what a letter or designed message looks like; null for a plain one
 */
public record ShownProof(
        ProvedPerson person,
        ShownPart subject,
        ShownPart previewText,
        ShownPart body,
        List<ShownNote> notes,
        List<ShownBlank> blanks,
        int words,
        @Schema(nullable = true) ShownPart plainText,
        String above,
        String below,
        @Schema(nullable = true) ShownRendering rendering) {
    /** A blank to write in; {@code answer} is empty until the sender puts one in. */
    public record ShownBlank(String hint, String answer) {}

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
     * Makes a proof ready to be shown.
     *
     * @param around what stands around a plain one
     * @param heavy what is to be said of its weight
     * @param waved the queries that were let pass
     */
    static ShownProof of(
            Proof proof,
            About about,
            PlainAround around,
            Optional<Rendering> rendering,
            List<Note> heavy,
            List<Waved> waved) {
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
                        .map(note -> ShownNotes.of(note, proof, waved))
                        .toList(),
                blanks(proof),
                words(proof.merged().body().text()),
                proof.source()
                        .own()
                        .map(own -> part(proof, about, MessagePart.PLAIN_TEXT))
                        .orElse(null),
                around.above(),
                around.below(),
                rendering
                        .map(one -> ShownRenderings.of(one, proof, body.chips()))
                        .orElse(null));
    }

    private static List<ShownBlank> blanks(Proof proof) {
        Map<String, String> blanks = new LinkedHashMap<>();
        for (MessagePart part : MessagePart.values()) {
            proof.program().program(part).blanks().forEach(hint -> blanks.put(hint, ""));
            proof.merged().merged(part).pieces().stream()
                    .filter(piece -> piece.origin() == Origin.ANSWERED)
                    .forEach(piece -> blanks.put(piece.stored().orElse(""), piece.text()));
        }
        return blanks.entrySet().stream()
                .map(blank -> new ShownBlank(blank.getKey(), blank.getValue()))
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
                Chips.of(
                        program, taken, proof.catalogue(), about, proof.person().kind()),
                pieces.stream()
                        .filter(piece -> !piece.marksChoice())
                        .map(piece -> ShownPieces.of(piece, fields.get(piece.span()), proof, about))
                        .toList());
    }

    private static int words(String text) {
        String stripped = text.strip().toLowerCase(Locale.ROOT);
        return stripped.isEmpty() ? 0 : stripped.split("\\s+").length;
    }
}
