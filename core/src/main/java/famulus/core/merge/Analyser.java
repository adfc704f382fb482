package famulus.core.merge;

import famulus.core.calendar.Reckoning;
import famulus.core.calendar.TimeUnit;
import famulus.core.condition.ConditionAnalyser;
import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.FieldDefinition;
import famulus.core.field.FieldType;
import famulus.core.field.Path;
import famulus.core.field.PathReading;
import famulus.core.field.RecordKind;
import famulus.core.syntax.Problem;
import famulus.core.syntax.Span;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Says what is wrong with a program before any record is looked at. */
public final class Analyser {
    private final PathReading paths;
    private final ConditionAnalyser conditions;

    /**
     * An analyser for templates about one kind of record.
     *
     * @param catalogue the fields there are
     * @param about what the template is about
     */
    public Analyser(FieldCatalogue catalogue, About about) {
        this.paths = new PathReading(catalogue, about);
        this.conditions = new ConditionAnalyser(paths);
    }

    /** Returns every problem of a program in the order of its text; empty when it can be merged for anybody. */
    public List<Problem> analyse(Program program) {
        List<Problem> problems = new ArrayList<>();
        for (Node node : program.all()) {
            switch (node) {
                case Node.Broken broken -> problems.add(broken.problem());
                case Node.Field field -> field(field, problems);
                case Node.Literal literal -> {}
                case Node.Choice choice -> choice.branches().forEach(branch -> guard(branch.guard(), problems));
            }
        }
        return problems.stream()
                .sorted(Comparator.comparingInt(problem -> problem.span().start()))
                .toList();
    }

    private void guard(Guard guard, List<Problem> problems) {
        switch (guard) {
            case Guard.When when -> problems.addAll(conditions.analyse(when.condition()));
            case Guard.Unreadable unreadable -> problems.add(unreadable.problem());
            case Guard.Otherwise otherwise -> {}
        }
    }

    private void field(Node.Field field, List<Problem> problems) {
        List<Expression.Term> terms = field.expression().terms();
        for (int i = 0; i < terms.size(); i++) {
            Expression.Term term = terms.get(i);
            switch (term.operand()) {
                case Operand.Reference reference -> reference(reference, term, problems);
                case Operand.Figure figure -> format(FieldType.NUMBER, "A number", term, problems);
                case Operand.Text words -> noFormat("A text in quotes", term, problems);
                case Operand.WriteIn blank -> format(FieldType.TEXT, "An answer", term, problems);
                case Operand.Nothing nothing -> noFormat("“nothing”", term, problems);
            }
            boolean alwaysPrints =
                    !(term.operand() instanceof Operand.Reference || term.operand() instanceof Operand.WriteIn);
            if (alwaysPrints && i + 1 < terms.size()) {
                Span rest = new Span(
                        terms.get(i + 1).span().start(), terms.getLast().span().end());
                problems.add(broken(rest, "This is never printed, because the part before it always is. Remove it.")
                        .mendedBy(Problem.Fix.takeOut(new Span(term.span().end(), rest.end()))));
                return;
            }
        }
    }

    private void reference(Operand.Reference reference, Expression.Term term, List<Problem> problems) {
        Path path = reference.path();
        Optional<FieldDefinition> field = paths.field(path);
        if (field.isEmpty()) {
            problems.add(paths.unknown(path, term.span().start()));
            return;
        }
        boolean user = field.get().relation().filter(RecordKind.USER::equals).isPresent();
        if (field.get().type() == FieldType.RELATION && !user) {
            problems.add(
                    broken(term.span(), "“" + path + "” leads to another record. Add which of its fields you mean."));
            return;
        }
        FieldType type = user ? FieldType.USER : field.get().type();
        if (reference.reckoning().reckoned() && !FieldType.DATED.contains(type)) {
            problems.add(broken(term.span(), field.get().label() + " is not a date, so nothing can be added to it."));
            return;
        }
        format(reckonedType(reference.reckoning(), type), field.get().label(), term, problems);
    }

    /** Hours make a moment of a day. */
    private static FieldType reckonedType(Reckoning reckoning, FieldType type) {
        return reckoning.steps().stream().anyMatch(step -> step.unit() == TimeUnit.HOUR) ? FieldType.DATE_TIME : type;
    }

    private static void noFormat(String what, Expression.Term term, List<Problem> problems) {
        if (term.format().isPresent()) {
            problems.add(broken(term.span(), what + " takes no format. Remove what follows “as”."));
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
