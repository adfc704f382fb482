package famulus.server.library;

import famulus.core.field.RecordKind;
import famulus.core.message.body.HouseStyle;
import famulus.server.library.TemplateKeeping.What;
import famulus.server.library.TemplateMapper.UsingRow;
import famulus.server.materials.HouseStyleService;
import famulus.server.materials.HouseStyleService.KeptStyle;
import famulus.server.team.Colleague;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** Where fields, passages and what a house style has around messages are used. */
@Service
public class TemplateUses {
    private final TemplateMapper mapper;
    private final HouseStyleService styles;
    private final TemplateRights rights;

    TemplateUses(TemplateMapper mapper, HouseStyleService styles, TemplateRights rights) {
        this.rights = rights;
        this.mapper = mapper;
        this.styles = styles;
    }

    /** A template that uses something. */
    public record UsingTemplate(UUID id, String name) {}

    /**
     * Where something is used.
     *
     * @param seen the templates that whoever asks may see, by name
     * @param others how many more there are
     */
    public record Used(List<UsingTemplate> seen, int others) {
        boolean nowhere() {
            return seen.isEmpty() && others == 0;
        }

        /** In words, after “It is used in”. */
        String words() {
            String names = seen.stream().map(one -> "“" + one.name() + "”").collect(Collectors.joining(", "));
            String more = others == 1 ? "one template of a colleague" : others + " templates of colleagues";
            return seen.isEmpty() ? more : others == 0 ? names : names + " and " + more;
        }
    }

    /** Rows as whoever they were read for may see them. */
    static Used used(List<UsingRow> rows) {
        List<UsingTemplate> seen = rows.stream()
                .filter(UsingRow::seen)
                .map(row -> new UsingTemplate(row.id(), row.name()))
                .toList();
        return new Used(seen, rows.size() - seen.size());
    }

    /** The templates that name a field of a kind of record, in use or retired. */
    public Used using(RecordKind kind, String field, Colleague asking) {
        return used(mapper.naming(What.FIELD.name(), kind.word() + "." + field, asking));
    }

    private List<UsingRow> naming(UUID passage, Colleague asking) {
        return mapper.naming(What.PART.name(), passage.toString(), asking);
    }

    /** The templates that have chosen a header or footer by its name. */
    private List<UsingRow> named(Template template, Colleague asking) {
        return wrapped(template, template.name(), asking);
    }

    private List<UsingRow> wrapped(Template template, String name, Colleague asking) {
        KeptStyle style = styles.get(template.houseStyle());
        return mapper.wrapped(style.id(), style.usual(), template.kind() == TemplateKind.HEADER, name, asking);
    }

    /** The templates that have a header or footer: by its name, or because it is the first one of their style. */
    private List<UsingRow> wrapped(Template template, Colleague asking) {
        HouseStyle style = styles.get(template.houseStyle()).style();
        boolean above = template.kind() == TemplateKind.HEADER;
        boolean first = (above ? style.header("") : style.footer(""))
                .filter(one -> !one.name().equals(template.name()))
                .isEmpty();
        return Stream.concat(
                        named(template, asking).stream(),
                        first ? wrapped(template, "", asking).stream() : Stream.empty())
                .toList();
    }

    /** The templates that a passage, header or footer is used in, by name; none for anything else. */
    public Used using(UUID id, Colleague asking) {
        Template template = rights.mustBeSeen(mapper.byId(id, false), asking);
        return used(template.kind().wraps() ? wrapped(template, asking) : naming(id, asking));
    }

    /** The templates that would lose something with a passage, header or footer: those that have chosen it. */
    Used losing(Template template, Colleague asking) {
        return used(template.kind().wraps() ? named(template, asking) : naming(template.id(), asking));
    }
}
