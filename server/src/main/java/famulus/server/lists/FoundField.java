package famulus.server.lists;

import famulus.core.condition.Verb;
import famulus.core.field.FieldDefinition;
import famulus.core.field.FieldType;
import famulus.core.field.Path;
import famulus.core.field.RecordKind;
import famulus.core.merge.FormatName;
import famulus.server.records.CrmKind;
import java.util.List;
import java.util.Locale;

/**
 * A field that can be put into a text, or asked for in a condition.
 *
 * @param whose what stands before the label when it is read aloud, such as "deal"
 * @param source whose mark it bears
 * @param written its written form
 * @param value what it prints for the person; empty when that is nothing
 * @param group how it is compared
 * @param choices the labels that it can have; empty when it can have any
 */
public record FoundField(
        String path,
        String label,
        String whose,
        String source,
        FieldType type,
        String written,
        String value,
        List<String> formats,
        Verb.Group group,
        List<String> choices) {

    /**
     * A field at a path.
     *
     * @param person of which kind the person is whose fields they are
     */
    public static FoundField of(Path path, FieldDefinition field, CrmKind person, String value) {
        return new FoundField(
                path.toString(),
                field.label(),
                whose(path, field),
                source(field, path, person),
                field.type(),
                "{" + path + "}",
                value,
                FormatName.fitting(field.type()).stream()
                        .map(FormatName::written)
                        .toList(),
                Verb.Group.of(field.type()),
                field.choices().stream().map(FieldDefinition.FieldOption::label).toList());
    }

    /** The same under another label. */
    FoundField called(String other) {
        return new FoundField(path, other, whose, source, type, written, value, formats, group, choices);
    }

    /** Whose field it is; {@code person} takes the mark of who it is. */
    public static String source(FieldDefinition field, Path path, CrmKind person) {
        if (path.words().size() == 1) {
            return "date";
        }
        return switch (field.kind()) {
            case PERSON -> person.word();
            default -> field.kind().word();
        };
    }

    private static String whose(Path path, FieldDefinition field) {
        if (path.words().size() == 1) {
            return "date";
        }
        String root = path.words().size() > 2
                ? String.join(" ", path.words().subList(0, path.words().size() - 1))
                : path.root();
        return field.kind() == RecordKind.OUR_COMPANY
                ? "our"
                : root.toLowerCase(Locale.ROOT).replace('_', ' ');
    }
}
