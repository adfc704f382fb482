package famulus.server.library;

import famulus.core.message.MessageSource;
import famulus.core.message.OwnText;
import famulus.core.message.body.BodyText;
import famulus.core.message.body.Design;
import famulus.core.message.body.HouseStyle;
import famulus.core.message.render.Renderer;
import famulus.server.materials.HouseStyleService;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Reads drafts and templates as the core does. */
@Service
public class DraftReader {
    private final HouseStyleService styles;

    DraftReader(HouseStyleService styles) {
        this.styles = styles;
    }

    /** What a draft is made of, in its house style and with what its passages say; nothing for a plain one, which is only words. */
    Optional<Design> design(Draft draft) {
        return styles.design(draft.mode(), draft.design(), draft.houseStyle(), draft.header(), draft.footer());
    }

    /** A draft as the core reads it, in its house style; refused when its design can't be read. */
    public MessageSource source(Draft draft) {
        return design(draft)
                .map(design -> kept(draft, MessageSource.designed(draft.subject(), draft.previewText(), design)))
                .orElseGet(() -> MessageSource.plain(
                        draft.subject(),
                        draft.previewText(),
                        draft.body(),
                        styles.around(draft.mode(), draft.houseStyle(), draft.header(), draft.footer())));
    }

    /** The plain text of a draft as it is derived, with its fields as they are written; nothing for a plain one. */
    public KeptPlainText derived(Draft draft) {
        return design(draft)
                .map(design -> new KeptPlainText(Renderer.textAsWritten(design), OwnText.saying(design)))
                .orElseGet(() -> new KeptPlainText("", ""));
    }

    private MessageSource kept(Draft draft, MessageSource source) {
        return draft.plainText() == null
                ? source
                : source.keeping(
                        draft.plainText().read(),
                        styles.around(draft.mode(), draft.houseStyle(), draft.header(), draft.footer()));
    }

    /** A template as the core reads it, in its house style. */
    public MessageSource source(Template template) {
        return source(Draft.of(template));
    }

    /** What a design says, without what its house style says. */
    static String words(Design design) {
        return BodyText.of(new Design(design.mode(), design.body(), HouseStyle.BARE, "", ""))
                .source();
    }
}
