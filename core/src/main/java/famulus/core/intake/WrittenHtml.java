package famulus.core.intake;

import famulus.core.html.HtmlCleaner;
import famulus.core.merge.MergeSettings;
import famulus.core.merge.Merged;
import famulus.core.merge.Node;
import famulus.core.merge.Origin;
import famulus.core.merge.Piece;
import famulus.core.message.body.BodyText;
import famulus.core.message.body.BodyText.Slot;
import famulus.core.message.body.Design;
import famulus.core.message.body.Keys;
import famulus.core.message.render.Renderer;
import famulus.core.message.render.ToRender;
import famulus.core.message.render.ToRender.DealLines;
import famulus.core.syntax.Span;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;

/**
 * Writes a letter or designed message as HTML in which its fields stand as they are written. While it is rendered each
 * field is stood in for by an address of its own, which is let through in text and in links alike.
 */
final class WrittenHtml {
    private static final Pattern STAND_IN = Pattern.compile("tel(?::|%3A)field-(\\d{1,6})-dleif");

    private final BodyText text;
    private final List<String> fields = new ArrayList<>();
    private final List<Piece> pieces = new ArrayList<>();

    private WrittenHtml(BodyText text) {
        this.text = text;
    }

    /** The HTML of what a design's body says, clean. */
    static String of(Design design) {
        BodyText text = BodyText.of(design);
        WrittenHtml written = new WrittenHtml(text);
        written.add(text.program().nodes());
        String html = Renderer.render(new ToRender(
                        design,
                        text,
                        new Merged(written.pieces),
                        new MergeSettings(Locale.ENGLISH, ZoneOffset.UTC, Instant.EPOCH),
                        "",
                        "",
                        DealLines.NONE,
                        picture -> HtmlCleaner.PICTURE + picture,
                        null))
                .html();
        String inside = Jsoup.parse(html).body().html();
        Matcher standIns = STAND_IN.matcher(HtmlCleaner.clean(inside).html());
        return standIns.replaceAll(one -> Matcher.quoteReplacement(written.fields.get(Integer.parseInt(one.group(1)))));
    }

    private void add(List<Node> nodes) {
        for (Node node : nodes) {
            switch (node) {
                case Node.Literal literal -> piece(literal.text(), Origin.WRITTEN, literal.span());
                case Node.Broken broken -> piece(broken.source(), Origin.WRITTEN, broken.span());
                case Node.Field field -> piece(standIn(field.written()), Origin.WRITTEN, field.span());
                case Node.Choice choice -> choice(choice);
            }
        }
    }

    /** The marks of a choice among words stay; those about a whole block are shown as holding. */
    private void choice(Node.Choice choice) {
        boolean whole = text.slotAt(choice.span().start())
                .filter(WrittenHtml::isCondition)
                .isPresent();
        for (int turn = 0; turn < choice.branches().size(); turn++) {
            Node.Branch branch = choice.branches().get(turn);
            if (whole) {
                piece("", Origin.BRANCH, branch.tag());
            } else {
                piece(standIn(branch.written(turn == 0)), Origin.WRITTEN, branch.tag());
            }
            add(branch.nodes());
        }
        piece(whole ? "" : standIn("{end}"), Origin.WRITTEN, choice.end());
    }

    private static boolean isCondition(Slot slot) {
        return slot.key().equals(Keys.when(slot.owner()));
    }

    private String standIn(String written) {
        fields.add(written);
        return "tel:field-" + (fields.size() - 1) + "-dleif";
    }

    private void piece(String text, Origin origin, Span span) {
        pieces.add(new Piece(text, origin, span, Optional.empty(), Optional.empty(), "", 0));
    }
}
