package famulus.core.message.personal;

import famulus.core.message.MessageSource;
import famulus.core.message.MessageSource.Layout;
import famulus.core.message.body.Block;
import famulus.core.message.body.Content;
import famulus.core.message.body.Inserts;
import famulus.core.message.body.RichText;
import famulus.core.message.body.RichText.Run;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * The texts of a message as they are written now, under the keys of {@link PersonalMessage#texts()}. What a signature or passage
 * says is written elsewhere.
 */
public final class OwnTexts {
    /** Runs of formatted text and where they lead, and what is no text. */
    private static final Pattern NOT_BY_ITSELF = Pattern.compile(".*/(\\d+\\.\\d+(/link)?|when|end|day|source)");

    private OwnTexts() {}

    /** The source of each text that there is, by key. */
    public static Map<String, String> of(MessageSource message) {
        Map<String, String> texts = new HashMap<>();
        texts.put(MergedText.SUBJECT, message.subject());
        texts.put(MergedText.PREVIEW_TEXT, message.previewText());
        if (message.layout().isEmpty()) {
            texts.put(MergedText.BODY, message.body());
        }
        message.own().ifPresent(own -> texts.put(MergedText.PLAIN_TEXT, own.words()));
        message.layout().ifPresent(layout -> of(layout, texts));
        return texts;
    }

    private static void of(Layout layout, Map<String, String> texts) {
        Set<String> elsewhere = Inserts.writtenElsewhere(layout.design().body());
        for (Block block : layout.design().body().blocks().toList()) {
            switch (block.content()) {
                case Content.Text text -> texts.put(MergedText.rich(block.id()), source(text.text()));
                case Content.Pairing pairing -> texts.put(MergedText.rich(block.id()), source(pairing.text()));
                case Content.Picture other -> {}
                case Content.Button other -> {}
                case Content.Divider other -> {}
                case Content.Spacer other -> {}
                case Content.Items other -> {}
                case Content.Event other -> {}
                case Content.Card other -> {}
                case Content.VideoStill other -> {}
                case Content.SocialLinks other -> {}
                case Content.Signature other -> {}
                case Content.Passage other -> {}
                case Content.Feed other -> {}
                case Content.OwnHtml other -> {}
                case Content.Unknown other -> {}
            }
        }
        layout.text().slots().stream()
                .filter(slot -> !layout.text().ofHouseStyle(slot.start()))
                .filter(slot -> slot.key().startsWith(slot.owner() + "/") && !elsewhere.contains(slot.owner()))
                .filter(slot -> !NOT_BY_ITSELF.matcher(slot.key()).matches())
                .forEach(slot -> texts.put(slot.key(), words(layout, slot.start(), slot.end())));
    }

    private static String words(Layout layout, int start, int end) {
        return layout.text().source().substring(start, end);
    }

    private static String source(RichText text) {
        return text.paragraphs().stream()
                .map(paragraph -> paragraph.runs().stream().map(Run::text).collect(Collectors.joining()))
                .collect(Collectors.joining("\n"));
    }
}
