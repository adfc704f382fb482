package famulus.server.library;

import famulus.core.message.body.Body;
import famulus.core.message.body.Content;
import famulus.core.message.body.Design;
import famulus.core.message.body.Inserts;
import famulus.core.message.body.Mode;
import famulus.core.record.PlainLine;
import famulus.server.materials.FileService;
import famulus.server.materials.HouseStyleService;
import famulus.server.platform.Refusal;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What a draft must be before it is kept. */
@Component
class DraftCheck {
    private static final int LONGEST_LINE = 500;
    private static final int LONGEST_BODY = 200_000;
    /** The name of a header or footer. */
    private static final int LONGEST_WRAPPING = 60;

    private final DraftReader drafts;
    private final HouseStyleService styles;
    private final FileService files;

    DraftCheck(DraftReader drafts, HouseStyleService styles, FileService files) {
        this.drafts = drafts;
        this.styles = styles;
        this.files = files;
    }

    /** Refuses a draft with what is wrong with it, at each place. */
    void mustBeSound(Draft draft) {
        Map<String, String> wrong = new LinkedHashMap<>();
        PlainLine.refusal(draft.name(), 120, true).ifPresent(sentence -> wrong.put("name", sentence));
        PlainLine.refusal(draft.purpose(), 60, false).ifPresent(sentence -> wrong.put("purpose", sentence));
        PlainLine.refusal(draft.subject(), LONGEST_LINE, false).ifPresent(sentence -> wrong.put("subject", sentence));
        PlainLine.refusal(draft.previewText(), LONGEST_LINE, false)
                .ifPresent(sentence -> wrong.put("previewText", sentence));
        PlainLine.refusalOfLines(draft.body(), LONGEST_BODY, false).ifPresent(sentence -> wrong.put("body", sentence));
        drafts.design(draft)
                .filter(design -> DraftReader.words(design).length() > LONGEST_BODY)
                .ifPresent(design -> wrong.put("design", "The text is longer than 200,000 characters. Shorten it."));
        PlainLine.refusal(draft.header(), LONGEST_WRAPPING, false).ifPresent(sentence -> wrong.put("header", sentence));
        PlainLine.refusal(draft.footer(), LONGEST_WRAPPING, false).ifPresent(sentence -> wrong.put("footer", sentence));
        files.refusal(draft.files()).ifPresent(sentence -> wrong.put("files", sentence));
        Optional.ofNullable(draft.plainText())
                .flatMap(text -> PlainLine.refusalOfLines(text.words(), LONGEST_BODY, false))
                .ifPresent(sentence -> wrong.put("plainText", sentence));
        draft.wishes().refusal().ifPresent(sentence -> wrong.put("wishes", sentence));
        if (draft.about() == null) {
            wrong.put("about", "Choose what kind of record the template is for.");
        }
        if (draft.houseStyle() != null) {
            styles.get(draft.houseStyle());
        }
        if (!draft.kind().whole()) {
            ofBlocks(draft).ifPresent(sentence -> wrong.put("design", sentence));
        }
        if (!wrong.isEmpty()) {
            throw Refusal.fields(wrong);
        }
    }

    /** Why a text can't be put into others; empty when it can. */
    private Optional<String> ofBlocks(Draft draft) {
        String word = draft.kind().word();
        if (draft.mode() == Mode.PLAIN) {
            return Optional.of("A " + word + " is made of blocks.");
        }
        Body body = drafts.design(draft).map(Design::body).orElse(Body.EMPTY);
        if (Inserts.has(body, Content.Passage.class)) {
            return Optional.of("A " + word + " can’t have a passage in it.");
        }
        if (draft.kind().wraps()
                && (Inserts.has(body, Content.Signature.class) || Inserts.has(body, Content.Feed.class))) {
            return Optional.of("A " + word + " of a style can’t have a signature or a feed in it.");
        }
        return draft.kind() == TemplateKind.SIGNATURE && Inserts.has(body, Content.Signature.class)
                ? Optional.of("A signature can’t have a signature in it.")
                : Optional.empty();
    }
}
