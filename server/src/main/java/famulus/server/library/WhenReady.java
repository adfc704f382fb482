package famulus.server.library;

import famulus.core.message.MessageSource;
import famulus.core.message.body.Body;
import famulus.core.message.body.Design;
import famulus.core.message.body.Inserts.Insert;
import famulus.server.materials.HouseStyleService;
import java.util.Map;
import org.springframework.stereotype.Service;

/** What templates would say once a passage, header or footer that they have is marked ready as it is now. */
@Service
public class WhenReady {
    private final DraftReader drafts;
    private final StyleTexts inStyle;
    private final HouseStyleService styles;

    WhenReady(DraftReader drafts, StyleTexts inStyle, HouseStyleService styles) {
        this.drafts = drafts;
        this.inStyle = inStyle;
        this.styles = styles;
    }

    /**
     * A template as the core would read it then.
     *
     * @param text what it has in it or around it
     */
    public MessageSource source(Template template, Template text) {
        return text.kind().wraps() ? around(template, text) : within(template, text);
    }

    private MessageSource around(Template template, Template text) {
        return drafts.source(template).styled(style -> inStyle.wearing(style, text));
    }

    private MessageSource within(Template template, Template text) {
        Body says = drafts.design(Draft.of(text)).map(Design::body).orElse(Body.EMPTY);
        return styles.design(
                        template.mode(),
                        template.design(),
                        template.houseStyle(),
                        template.header(),
                        template.footer(),
                        Map.of(text.id().toString(), new Insert(text.name(), says)))
                .map(drafts.source(template)::in)
                .orElseGet(() -> drafts.source(template));
    }
}
