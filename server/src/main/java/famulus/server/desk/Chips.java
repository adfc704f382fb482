package famulus.server.desk;

import famulus.core.calendar.Reckoning;
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
import famulus.core.merge.Program;
import famulus.core.syntax.Span;
import famulus.server.desk.Chip.Role;
import famulus.server.lists.FoundField;
import famulus.server.lists.ShownStep;
import famulus.server.lists.TemplateConditions;
import famulus.server.records.CrmKind;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** What stands for the fields, blanks and choices of a text while it is written. */
public final class Chips {
    private Chips() {}

    /** The chips of a text in the order they stand. */
    static List<Chip> of(Program program, Set<Span> taken, FieldCatalogue catalogue, About about, CrmKind person) {
        List<Chip> chips = new ArrayList<>();
        program.fields().forEach(field -> chips.add(chip(field, catalogue, about, person)));
        ConditionWords words = new TemplateConditions(catalogue, about).words();
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
        boolean writeIn = first instanceof Operand.WriteIn;
        String label =
                switch (first) {
                    case Operand.WriteIn blank -> blank.hint();
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
                writeIn ? Role.WRITE_IN : Role.FIELD,
                new Program("", List.of(field)).written(),
                label,
                writeIn
                        ? "blank"
                        : definition
                                .map(one -> FoundField.source(one, path.get(), person))
                                .orElse("date"),
                terms.size() < 2 ? "" : fallback(terms, catalogue, about),
                known,
                type,
                terms.stream().map(Chips::term).toList(),
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
                    case Operand.Text words -> words.text();
                    case Operand.Figure figure -> figure.number().toPlainString();
                    case Operand.WriteIn blank -> "write in: " + blank.hint();
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
            case Operand.Text words -> new ShownTerm("text", words.text(), format, List.of());
            case Operand.WriteIn blank -> new ShownTerm("blank", blank.hint(), format, List.of());
            case Operand.Figure figure ->
                new ShownTerm("number", figure.number().toPlainString(), format, List.of());
            case Operand.Reference reference ->
                new ShownTerm("field", reference.path().toString(), format, ShownStep.of(reference.reckoning()));
        };
    }
}
