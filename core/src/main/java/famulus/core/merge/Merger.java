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
        int turn = 0;
        for (Expression.Term term : field.expression().terms()) {
            Piece piece = term.operand() instanceof Operand.Reference reference
                    ? reference(field, term, reference, turn, values, place)
                    : given(field, term, turn, place);
            if (piece != null) {
                return piece;
            }
            turn++;
        }
        return unfilled(field);
    }

    /** What stands in the text itself, or the sender puts in; null for a question that is not answered yet. */
    private Piece given(Node.Field field, Expression.Term term, int turn, Place place) {
        return switch (term.operand()) {
            case Operand.Nothing nothing -> piece(field, "", Origin.BLANK, Optional.empty(), turn);
            case Operand.Text words -> piece(field, place.safe(words.text()), fallback(turn), Optional.empty(), turn);
            case Operand.Figure figure -> {
                String text = print(new Value.Number(figure.number()), term, place);
                yield piece(field, text, fallback(turn), Optional.empty(), turn);
            }
            case Operand.WriteIn blank -> {
                String answer = settings.answers().getOrDefault(blank.hint(), "");
                String text = answer.isBlank() ? "" : print(new Value.Text(answer), term, place);
                yield text.isBlank() ? null : piece(field, text, Origin.ANSWERED, hint(blank), turn);
            }
            case Operand.Reference reference -> null;
        };
    }

    /** A gap; where the sender is asked, the question that waits for an answer. */
    private static Piece unfilled(Node.Field field) {
        for (Expression.Term term : field.expression().terms()) {
            if (term.operand() instanceof Operand.WriteIn blank) {
                return piece(field, "", Origin.ASKED, hint(blank), 0);
            }
        }
        return piece(field, "", Origin.GAP, Optional.empty(), 0);
    }

    private static Optional<Value> hint(Operand.WriteIn blank) {
        return Optional.of(new Value.Text(blank.hint()));
    }

    private static Piece piece(Node.Field field, String text, Origin origin, Optional<Value> value, int turn) {
        return new Piece(text, origin, field.span(), field.leading(), value, field.written(), turn);
    }

    /** What a value prints; null when it is missing, or prints nothing. */
    private Piece reference(
            Node.Field field,
            Expression.Term term,
            Operand.Reference reference,
            int turn,
            Function<Path, Optional<Value>> values,
            Place place) {
        Optional<Value> value = reckoner.value(reference.reckoning(), values);
        if (value.isEmpty()) {
            return null;
        }
        String text = print(value.get(), term, place);
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
