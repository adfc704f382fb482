package famulus.core.merge;

import famulus.core.calendar.Reckoner;
import famulus.core.condition.Judge;
import famulus.core.field.MergeContext;
import famulus.core.field.Path;
import famulus.core.field.Value;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** Merges programs for one person. Holds no state of a merge; may be used for many texts. */
public final class Merger {
    private final MergeSettings settings;
    private final Formats formats;
    private final Reckoner reckoner;

    /** A merger for one person's language, zone and moment. */
    public Merger(MergeSettings settings) {
        this.settings = settings;
        this.formats = Formats.in(settings.locale());
        this.reckoner = settings.reckoner();
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
        Function<Path, Optional<Value>> values = path -> value(path, context);
        merge(program.nodes(), values, new Judge(reckoner, values), place, pieces);
        return new Merged(HoleCloser.close(pieces));
    }

    private void merge(
            List<Node> nodes, Function<Path, Optional<Value>> values, Judge judge, Place place, List<Piece> pieces) {
        for (Node node : nodes) {
            switch (node) {
                case Node.Literal literal -> pieces.add(literal.piece(place));
                case Node.Broken broken -> pieces.add(Piece.broken(place.safe(broken.source()), broken.span()));
                case Node.Field field -> pieces.add(field(field, values, place));
                case Node.Choice choice -> choice(choice, values, judge, place, pieces);
            }
        }
    }

    private void choice(
            Node.Choice choice, Function<Path, Optional<Value>> values, Judge judge, Place place, List<Piece> pieces) {
        for (Node.Branch branch : choice.branches()) {
            boolean taken =
                    switch (branch.guard()) {
                        case Guard.When when -> judge.holds(when.condition());
                        case Guard.Otherwise otherwise -> true;
                        case Guard.Unreadable unreadable -> {
                            pieces.add(Piece.broken(place.safe(unreadable.source()), branch.tag()));
                            yield false;
                        }
                    };
            if (taken) {
                pieces.add(Piece.mark(Origin.BRANCH, branch.tag()));
                merge(branch.nodes(), values, judge, place, pieces);
                pieces.add(Piece.mark(Origin.CHOICE_END, choice.end()));
                return;
            }
        }
        pieces.add(Piece.mark(Origin.CHOICE_PASSED, choice.end()));
    }

    /** What is given for this message, else what is stored; nothing when that is missing. */
    private Optional<Value> value(Path path, MergeContext context) {
        Value given = settings.chosen().isEmpty() ? null : settings.chosen().get(path);
        Optional<Value> found = given == null ? context.value(path) : Optional.of(given);
        return found.isPresent() && found.get().missing() ? Optional.empty() : found;
    }

    /**
     * Prints one value by itself, as it would be printed in a text.
     *
     * @param format how; empty for the type's own way
     */
    public String print(Value value, Optional<Format> format) {
        return formats.print(value, format, settings.zone(), settings.now());
    }

    private Piece field(Node.Field field, Function<Path, Optional<Value>> values, Place place) {
        List<Expression.Term> terms = field.expression().terms();
        String written = field.written();
        Optional<Path> asked = field.leading();
        Optional<Piece> open = Optional.empty();
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
                case Operand.Ask ask -> {
                    String answer = settings.answers().getOrDefault(ask.hint(), "");
                    String text = answer.isBlank() ? "" : print(new Value.Text(answer), term, place);
                    Optional<Value> hint = Optional.of(new Value.Text(ask.hint()));
                    if (!text.isBlank()) {
                        return new Piece(text, Origin.ANSWERED, field.span(), asked, hint, written, turn);
                    }
                    open = open.or(
                            () -> Optional.of(new Piece("", Origin.ASKED, field.span(), asked, hint, written, 0)));
                }
                case Operand.Reference reference -> {
                    Piece piece = reference(field, reference, turn, values, place);
                    if (piece != null) {
                        return piece;
                    }
                }
            }
        }
        return open.orElseGet(() -> new Piece("", Origin.GAP, field.span(), asked, Optional.empty(), written, 0));
    }

    /** What a value prints; null when it is missing, or prints nothing. */
    private Piece reference(
            Node.Field field,
            Operand.Reference reference,
            int turn,
            Function<Path, Optional<Value>> values,
            Place place) {
        Optional<Value> value = reckoner.value(reference.reckoning(), values);
        if (value.isEmpty()) {
            return null;
        }
        String text = print(value.get(), field.expression().terms().get(turn), place);
        if (text.isBlank()) {
            return null;
        }
        Path path = reference.path();
        boolean chosen = !settings.chosen().isEmpty() && settings.chosen().containsKey(path);
        Origin origin = chosen ? Origin.CHOSEN : turn == 0 ? Origin.RECORD : Origin.FALLBACK;
        Optional<Path> asked = turn == 0 ? field.leading() : Optional.of(path);
        return new Piece(text, origin, field.span(), asked, value, field.written(), turn);
    }

    private static Origin fallback(int turn) {
        return turn == 0 ? Origin.WRITTEN : Origin.FALLBACK;
    }

    private String print(Value value, Expression.Term term, Place place) {
        String text = formats.print(value, term.format(), settings.zone(), settings.now());
        return printsOneLine(value, term) ? text : place.safe(text).strip();
    }

    /** What the rules of a language print of figures and days needs no looking through; a writer's own pattern does. */
    private static boolean printsOneLine(Value value, Expression.Term term) {
        return switch (value) {
            case Value.Number number -> true;
            case Value.Money money -> true;
            case Value.Day day -> !(term.format().orElse(null) instanceof Format.Pattern);
            default -> false;
        };
    }
}
