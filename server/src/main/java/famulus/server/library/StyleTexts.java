package famulus.server.library;

import famulus.core.message.body.Band;
import famulus.core.message.body.HouseStyle;
import famulus.core.message.body.HouseStyle.Wrapping;
import famulus.core.message.body.Inserts;
import famulus.core.record.PlainLine;
import famulus.server.materials.HouseStyleService;
import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import java.util.List;
import org.springframework.stereotype.Component;

/** Headers and footers as texts that stand in a house style. */
@Component
class StyleTexts {
    private final TemplateMapper mapper;
    private final DraftReader drafts;
    private final HouseStyleService styles;

    StyleTexts(TemplateMapper mapper, DraftReader drafts, HouseStyleService styles) {
        this.mapper = mapper;
        this.drafts = drafts;
        this.styles = styles;
    }

    /** Puts a header or footer into its house style as it is now. */
    void wrap(Template template, Colleague by) {
        styles.wrap(template.houseStyle(), template.kind() == TemplateKind.HEADER, wrapping(template), by);
    }

    /** A house style with a header or footer in it as it is now. */
    HouseStyle wearing(HouseStyle style, Template template) {
        return style.wearing(template.kind() == TemplateKind.HEADER, wrapping(template));
    }

    private Wrapping wrapping(Template template) {
        return new Wrapping(template.name(), bands(template));
    }

    /** What a header or footer is in its style, where its parts stand beside those of others. */
    List<Band> bands(Template template) {
        String own =
                template.kind().word() + Integer.toHexString(template.name().hashCode()) + "-";
        return Inserts.owned(
                own,
                drafts.design(Draft.of(template)).map(one -> one.body().bands()).orElse(List.of()));
    }

    /** A header or footer is one of a house style, under a name of its own there. */
    void mustFit(Draft draft, Colleague by) {
        if (draft.houseStyle() == null) {
            throw Refusal.field("houseStyle", "Choose the style it belongs to.");
        }
        styles.mustBeAllowed(draft.houseStyle(), by);
        String name = draft.name().strip();
        PlainLine.refusal(name, 60, true).ifPresent(sentence -> {
            throw Refusal.field("name", sentence);
        });
        boolean taken = name.equals("none")
                || mapper.wrappings(draft.houseStyle()).stream()
                        .anyMatch(one -> one.kind().equals(draft.kind().name())
                                && one.name().equals(name));
        if (taken) {
            throw Refusal.field("name", "This name is taken. Choose another one.");
        }
    }

    /** Takes a header or footer out of its house style. */
    void unwrap(Template template, Colleague by) {
        styles.unwrap(template.houseStyle(), template.kind() == TemplateKind.HEADER, template.name(), by);
    }
}
