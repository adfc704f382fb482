package famulus.server.library;

import famulus.core.field.About;
import famulus.core.message.body.Body;
import famulus.core.message.body.BodyJson;
import famulus.core.message.body.HouseStyle;
import famulus.core.message.body.HouseStyle.Wrapping;
import famulus.core.message.body.Mode;
import famulus.server.library.TemplateMapper.WrappingRow;
import famulus.server.materials.HouseStyleService;
import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Headers and footers of house styles on the desk. A style holds what its messages have around them; what is written on the
 * desk stands there when it is marked ready.
 */
@Service
class WrappingService {
    private final TemplateService templates;
    private final TemplateMapper mapper;
    private final TemplateKeeping keeping;
    private final StyleTexts inStyle;
    private final HouseStyleService styles;
    private final Clock clock;

    WrappingService(
            TemplateService templates,
            TemplateMapper mapper,
            TemplateKeeping keeping,
            StyleTexts inStyle,
            HouseStyleService styles,
            Clock clock) {
        this.templates = templates;
        this.mapper = mapper;
        this.keeping = keeping;
        this.inStyle = inStyle;
        this.styles = styles;
        this.clock = clock;
    }

    /**
     * A header or footer.
     *
     * @param id what it is on the desk; null as long as nobody has opened it there
     * @param inStyle whether messages can have it; else it has not been marked ready yet
     */
    record ShownWrapping(TemplateKind kind, String name, @Schema(nullable = true) UUID id, boolean inStyle) {}

    /** Those of a house style in its order, then those that are not ready yet. */
    List<ShownWrapping> of(UUID style, Colleague asking) {
        HouseStyle look = styles.get(style, asking).style();
        // One that was never ready is there for those who may change the style.
        boolean all = styles.mayChange(style, asking);
        List<WrappingRow> rows = mapper.wrappings(style).stream()
                .filter(row -> all || row.readyVersion() != null)
                .toList();
        List<ShownWrapping> shown = new ArrayList<>();
        shown(TemplateKind.HEADER, look.headers(), rows, shown);
        shown(TemplateKind.FOOTER, look.footers(), rows, shown);
        return shown;
    }

    private static void shown(
            TemplateKind kind, List<Wrapping> inStyle, List<WrappingRow> rows, List<ShownWrapping> into) {
        inStyle.forEach(one -> into.add(new ShownWrapping(
                kind,
                one.name(),
                row(kind, one.name(), rows).map(WrappingRow::id).orElse(null),
                true)));
        rows.stream()
                .filter(row -> row.kind().equals(kind.name()))
                .filter(row -> inStyle.stream().noneMatch(one -> one.name().equals(row.name())))
                .forEach(row -> into.add(new ShownWrapping(kind, row.name(), row.id(), false)));
    }

    private static Optional<WrappingRow> row(TemplateKind kind, String name, List<WrappingRow> rows) {
        return rows.stream()
                .filter(row -> row.kind().equals(kind.name()) && row.name().equals(name))
                .findFirst();
    }

    /**
     * Puts a header or footer on the desk. The first time it comes there as it is in the style; so it does when the style
     * was changed in another way since.
     */
    @Transactional
    Template open(UUID style, TemplateKind kind, String name, Colleague by) {
        if (style == null || kind == null || !kind.wraps()) {
            throw Refusal.because("unreadable", "Choose a header or footer of a style.");
        }
        styles.mustBeAllowed(style, by);
        Wrapping wrapping = styles.wrapping(style, kind == TemplateKind.HEADER, name)
                .orElseThrow(() -> Refusal.missing("This " + kind.word()));
        String design = BodyJson.write(new Body(wrapping.bands()));
        Draft draft = new Draft(
                name, "", About.PERSON, "", "", "", Mode.DESIGNED, design, style, "none", "none", List.of(), kind);
        Optional<WrappingRow> row = row(kind, name, mapper.wrappings(style));
        if (row.isEmpty()) {
            return ready(templates.add(draft, by));
        }
        Template there = templates.any(row.get().id());
        return asInStyle(there, wrapping) ? there : ready(templates.change(there.id(), there.version(), draft, by));
    }

    private boolean asInStyle(Template there, Wrapping wrapping) {
        if (there.readyVersion() == null) {
            return false;
        }
        Template ready = there.readyVersion() == there.version()
                ? there
                : mapper.version(there.id(), there.readyVersion()).orElse(there);
        return BodyJson.write(new Body(inStyle.bands(ready))).equals(BodyJson.write(new Body(wrapping.bands())))
                || ready.design().equals(BodyJson.write(new Body(wrapping.bands())));
    }

    private Template ready(Template template) {
        keeping.ready(template, clock.instant());
        return templates.any(template.id());
    }
}
