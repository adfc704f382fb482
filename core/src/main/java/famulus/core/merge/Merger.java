package famulus.core.merge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Merges programs for one person. Holds no state of a merge; may be used for many texts. */
public final class Merger {
    private final MergeSettings settings;
    private final Formats formats;

    /** A merger for one person's language, zone and moment. */
    public Merger(MergeSettings settings) {
        this.settings = settings;
        this.formats = Formats.in(settings.locale());
    }

    /**
     * Merges a text. Never throws for what a text or a record holds.
     *
     * @param program the parsed text
     * @param context the records
     * @param place where the result will stand
     * @return the pieces, with holes of explicit blanks closed
     */
    public Merged merge(Program program, MergeContext context, Place place) {
        List<Piece> pieces = new ArrayList<>(program.nodes().size());
        for (Node node : program.nodes()) {
            pieces.add(
                    switch (node) {
                        case Node.Literal literal -> Piece.literal(place.safe(literal.text()), literal.span());
                        case Node.Broken broken ->
                            new Piece(
                                    place.safe(broken.source()),
                                    Origin.BROKEN,
                                    broken.span(),
                                    Optional.empty(),
                                    Optional.empty(),
                                    "",
                                    0);
                        case Node.Field field -> field(field, context, place);
                    });
        }
        return new Merged(HoleCloser.close(pieces));
    }

    /**
     * Prints one value by itself, as it would be printed in a text.
     *
     * @param format how; empty for the type's own way
     */
    public String print(Value value, Optional<Format> format) {
        return formats.print(value, format, settings.zone(), settings.now());
    }

    private Piece field(Node.Field field, MergeContext context, Place place) {
        List<Expression.Term> terms = field.expression().terms();
        String written = WrittenForm.of(field.expression());
        Optional<Path> asked = field.expression().leadingPath();
        for (int turn = 0; turn < terms.size(); turn++) {
            Expression.Term term = terms.get(turn);
            switch (term.operand()) {
                case Operand.Nothing nothing -> {
                    return new Piece("", Origin.BLANK, field.span(), asked, Optional.empty(), written, turn);
                }
                case Operand.Words words -> {
                    String text = place.safe(words.text());
                    return new Piece(text, fallback(turn), field.span(), asked, Optional.empty(), written, turn);
                }
                case Operand.Figure figure -> {
                    String text = print(new Value.Number(figure.number()), term, place);
                    return new Piece(text, fallback(turn), field.span(), asked, Optional.empty(), written, turn);
                }
                case Operand.Reference reference -> {
                    Path path = reference.path();
                    Optional<Value> chosen =
                            Optional.ofNullable(settings.chosen().get(path));
                    Optional<Value> value =
                            chosen.or(() -> lookUp(path, context)).filter(found -> !found.missing());
                    String text = value.map(found -> print(found, term, place)).orElse("");
                    if (!text.isBlank()) {
                        Origin origin =
                                chosen.isPresent() ? Origin.CHOSEN : turn == 0 ? Origin.RECORD : Origin.FALLBACK;
                        Optional<String> stored = value.map(Formats::stored);
                        return new Piece(text, origin, field.span(), Optional.of(path), stored, written, turn);
                    }
                }
            }
        }
        return new Piece("", Origin.GAP, field.span(), asked, Optional.empty(), written, 0);
    }

    private static Origin fallback(int turn) {
        return turn == 0 ? Origin.WRITTEN : Origin.FALLBACK;
    }

    private Optional<Value> lookUp(Path path, MergeContext context) {
        if (path.words().size() == 1) {
            return switch (path.root()) {
                case "today" ->
                    Optional.of(
                            new Value.Day(settings.now().atZone(settings.zone()).toLocalDate()));
                case "now" -> Optional.of(new Value.Moment(settings.now()));
                default -> Optional.empty();
            };
        }
        return context.value(path);
    }

    private String print(Value value, Expression.Term term, Place place) {
        return place.safe(formats.print(value, term.format(), settings.zone(), settings.now()))
                .strip();
    }
}
