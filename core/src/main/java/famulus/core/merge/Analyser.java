package famulus.core.merge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Says what is wrong with a program before any record is looked at. */
public final class Analyser {
    private final FieldCatalogue catalogue;
    private final About about;
    private final List<String> known;

    /**
     * An analyser for templates about one kind of record.
     *
     * @param catalogue the fields there are
     * @param about what the template is about
     */
    public Analyser(FieldCatalogue catalogue, About about) {
        this.catalogue = catalogue;
        this.about = about;
        this.known =
                catalogue.reachable(about).keySet().stream().map(Path::toString).toList();
    }

    /** Returns every problem of a program in the order of its text; empty when it can be merged for anybody. */
    public List<Problem> analyse(Program program) {
        List<Problem> problems = new ArrayList<>();
        for (Node node : program.nodes()) {
            switch (node) {
                case Node.Broken broken -> problems.add(broken.problem());
                case Node.Field field -> field(field, problems);
                case Node.Literal literal -> {}
            }
        }
        return problems;
    }

    private void field(Node.Field field, List<Problem> problems) {
        List<Expression.Term> terms = field.expression().terms();
        for (int i = 0; i < terms.size(); i++) {
            Expression.Term term = terms.get(i);
            switch (term.operand()) {
                case Operand.Reference reference -> reference(reference.path(), term, problems);
                case Operand.Figure figure -> format(FieldType.NUMBER, "A number", term, problems);
                case Operand.Words words -> noFormat("A text in quotes", term, problems);
                case Operand.Nothing nothing -> noFormat("“nothing”", term, problems);
            }
            boolean alwaysPrints = !(term.operand() instanceof Operand.Reference);
            if (alwaysPrints && i + 1 < terms.size()) {
                problems.add(broken(
                        terms.get(i + 1).span(),
                        "This can never print, because what stands before it always does. Take it out."));
                return;
            }
        }
    }

    private void reference(Path path, Expression.Term term, List<Problem> problems) {
        Optional<FieldDefinition> field = catalogue.resolve(path, about);
        if (field.isEmpty()) {
            Span place = new Span(
                    term.span().start(),
                    Math.min(
                            term.span().end(),
                            term.span().start() + path.toString().length()));
            problems.add(new Problem(
                    Problem.Code.FIELD_UNKNOWN, place, unknown(path), NearestNames.of(path.toString(), known)));
            return;
        }
        if (field.get().type() == FieldType.RELATION
                && field.get().relation().filter(RecordKind.USER::equals).isEmpty()) {
            problems.add(
                    broken(term.span(), "“" + path + "” leads to another record. Add which of its fields you mean."));
            return;
        }
        FieldType type = field.get().type() == FieldType.RELATION
                ? FieldType.USER
                : field.get().type();
        format(type, field.get().label(), term, problems);
    }

    private String unknown(Path path) {
        Optional<Root> root = Root.of(path);
        boolean known = path.words().size() > 1 && root.isPresent();
        if (known && !about.roots().contains(root.get())) {
            return "A template about " + described() + " has no " + root.get().word() + " to take “" + path + "” from.";
        }
        return "There is no field “" + path + "”.";
    }

    private String described() {
        return switch (about) {
            case CONTACT -> "a contact";
            case LEAD -> "a lead";
            case DEAL -> "a deal";
            case PERSON -> "any person";
        };
    }

    private static void noFormat(String what, Expression.Term term, List<Problem> problems) {
        if (term.format().isPresent()) {
            problems.add(broken(term.span(), what + " takes no format. Take out what follows “as”."));
        }
    }

    private static void format(FieldType type, String label, Expression.Term term, List<Problem> problems) {
        Optional<Format> asked = term.format().filter(format -> !fits(format, type));
        asked.ifPresent(format -> problems.add(new Problem(
                Problem.Code.FIELD_BROKEN,
                term.span(),
                label + " can't be printed as “" + format.written() + "”.",
                FormatName.fitting(type).stream()
                        .map(FormatName::written)
                        .limit(3)
                        .toList())));
    }

    /** Whether a format can print values of a type. */
    public static boolean fits(Format format, FieldType type) {
        return switch (format) {
            case Format.Named named -> named.name().fits(type);
            case Format.Decimals decimals -> type == FieldType.NUMBER;
            case Format.Pattern pattern -> FieldType.DATED.contains(type);
            case Format.YesOrNo yesOrNo -> type == FieldType.YES_NO;
        };
    }

    private static Problem broken(Span span, String sentence) {
        return new Problem(Problem.Code.FIELD_BROKEN, span, sentence, List.of());
    }
}
