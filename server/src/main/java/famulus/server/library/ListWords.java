package famulus.server.library;

import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.FieldDefinition;
import famulus.core.field.Path;
import famulus.core.merge.MergeParser;
import famulus.core.merge.Node;
import famulus.core.merge.Operand;
import famulus.server.library.TemplateLines.SubjectPart;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * A text in the merge language as it is read in a list, which knows nobody to merge it for: a field by its label, of a choice every
 * branch, one after another. E.g. {@code Dear {person.first_name else "neighbour"}} reads “Dear First name ⁄ neighbour”.
 */
public final class ListWords {
    private static final String OR = " ⁄ ";

    private final FieldCatalogue fields;
    private final About about;
    private final List<SubjectPart> parts = new ArrayList<>();
    /** Whether a field says its defaults too. */
    private final boolean defaults;

    private ListWords(FieldCatalogue fields, About about, boolean defaults) {
        this.fields = fields;
        this.about = about;
        this.defaults = defaults;
    }

    /** A subject, its fields told from its words. */
    public static List<SubjectPart> subject(String text, FieldCatalogue fields, About about) {
        return read(text, new ListWords(fields, about, false));
    }

    /** A text as it can be searched by a reader, with what fields say where they have no value. */
    static String all(String text, FieldCatalogue fields, About about) {
        return read(text, new ListWords(fields, about, true)).stream()
                .map(SubjectPart::text)
                .collect(Collectors.joining());
    }

    private static List<SubjectPart> read(String text, ListWords words) {
        words.add(MergeParser.parse(text).nodes());
        return words.parts;
    }

    private void add(List<Node> nodes) {
        for (Node node : nodes) {
            switch (node) {
                case Node.Literal literal -> parts.add(new SubjectPart(literal.text(), false));
                case Node.Broken broken -> parts.add(new SubjectPart(broken.source(), false));
                case Node.Field field -> parts.add(new SubjectPart(label(field), true));
                case Node.Choice choice -> {
                    for (int turn = 0; turn < choice.branches().size(); turn++) {
                        if (turn > 0) {
                            parts.add(new SubjectPart(OR, false));
                        }
                        add(choice.branches().get(turn).nodes());
                    }
                }
            }
        }
    }

    private String label(Node.Field field) {
        Optional<Path> path = field.expression().leadingPath();
        String label = path.flatMap(one -> fields.resolve(one, about))
                .map(FieldDefinition::label)
                .or(() -> path.map(Path::toString))
                .orElse("…");
        return defaults
                ? label
                        + field.expression().terms().stream()
                                .map(term -> term.operand() instanceof Operand.Text text ? OR + text.text() : "")
                                .collect(Collectors.joining())
                : label;
    }
}
