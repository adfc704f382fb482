package famulus.server.library;

import famulus.core.field.Path;
import famulus.core.field.RecordKind;
import famulus.core.field.Root;
import famulus.core.merge.MergeParser;
import famulus.core.message.body.HouseStyle;
import famulus.server.cupboard.HouseStyleService;
import famulus.server.cupboard.HouseStyleService.KeptStyle;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** Where fields, passages and what a house style has around messages are used. */
@Service
public class TemplateUses {
    private final TemplateMapper mapper;
    private final HouseStyleService styles;

    TemplateUses(TemplateMapper mapper, HouseStyleService styles) {
        this.mapper = mapper;
        this.styles = styles;
    }

    /** A template that uses something. */
    public record UsingTemplate(UUID id, String name) {}

    /** The templates that name a field of a kind of record, in use or retired, by name. */
    public List<UsingTemplate> using(RecordKind kind, String field) {
        return mapper.texts().stream()
                .filter(text -> Stream.of(text.subject(), text.previewText(), text.body())
                        .flatMap(part -> MergeParser.parse(part).paths().stream())
                        .anyMatch(path -> names(path, kind, field)))
                .map(text -> new UsingTemplate(text.id(), text.name()))
                .toList();
    }

    private static boolean names(Path path, RecordKind kind, String field) {
        List<String> words = path.words();
        boolean leads = words.size() > 2
                ? words.get(words.size() - 2).equals(kind.word())
                : Root.of(path).filter(root -> root.kind() == kind).isPresent();
        return words.size() > 1 && leads && words.getLast().equals(field);
    }

    /** The templates that have chosen a header or footer by its name. */
    List<UsingTemplate> named(Template template) {
        return wrapped(template, template.name());
    }

    private List<UsingTemplate> wrapped(Template template, String name) {
        KeptStyle style = styles.get(template.houseStyle());
        return mapper.wrapped(style.id(), style.usual(), template.kind() == TemplateKind.HEADER, name).stream()
                .map(row -> new UsingTemplate(row.id(), row.name()))
                .toList();
    }

    /** The templates that have a header or footer: by its name, or because it is the first one of their style. */
    private List<UsingTemplate> wrapped(Template template) {
        HouseStyle style = styles.get(template.houseStyle()).style();
        boolean above = template.kind() == TemplateKind.HEADER;
        boolean first = (above ? style.header("") : style.footer(""))
                .filter(one -> !one.name().equals(template.name()))
                .isEmpty();
        return Stream.concat(named(template).stream(), first ? wrapped(template, "").stream() : Stream.empty())
                .toList();
    }

    /** The templates that a passage, header or footer is used in, by name; none for anything else. */
    public List<UsingTemplate> using(UUID id) {
        Optional<Template> wrapping =
                mapper.byId(id, false).filter(one -> one.kind().wraps());
        if (wrapping.isPresent()) {
            return wrapped(wrapping.get());
        }
        return mapper.usingPassage(id.toString()).stream()
                .map(row -> new UsingTemplate(row.id(), row.name()))
                .toList();
    }
}
