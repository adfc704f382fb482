package famulus.core.message.body;

import famulus.core.message.body.RichText.Marks;
import java.util.List;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Writes bands, blocks and formatted text as JSON; {@link BodyJson} reads them. */
final class BodyWriter {
    private BodyWriter() {}

    static void page(ObjectNode into, PageChoice page) {
        if (page.equals(PageChoice.NONE)) {
            return;
        }
        ObjectNode node = into.putObject("page");
        number(node, "width", page.width(), 0);
        text(node, "background", page.background());
        text(node, "linkColour", page.linkColour());
        page.text().ifPresent(family -> node.put("text", JsonPart.word(family)));
    }

    static void bands(ObjectNode into, String name, List<Band> bands) {
        ArrayNode list = into.putArray(name);
        for (Band band : bands) {
            ObjectNode node = list.addObject().put("id", band.id());
            box(node, band.look(), band.shownWhen(), band.hiddenOnSmall());
            ArrayNode columns = node.putArray("columns");
            for (Column column : band.columns()) {
                ObjectNode inner = columns.addObject();
                number(inner, "share", column.share(), 1);
                word(inner, "upright", column.upright(), Column.Upright.TOP);
                ArrayNode blocks = inner.putArray("blocks");
                column.blocks().forEach(block -> block(blocks, block));
            }
        }
    }

    private static void block(ArrayNode into, Block block) {
        if (block.content() instanceof Content.Unknown unknown) {
            into.add(BodyJson.JSON.readTree(unknown.json()));
            return;
        }
        ObjectNode node = into.addObject()
                .put("id", block.id())
                .put("kind", block.content().kind());
        box(node, block.look(), block.shownWhen(), block.hiddenOnSmall());
        content(node, block.content());
    }

    private static void content(ObjectNode node, Content content) {
        switch (content) {
            case Content.Text text -> rich(node, "text", text.text());
            case Content.Picture picture -> picture(node, picture);
            case Content.Button button -> {
                text(node, "label", button.label());
                text(node, "link", button.link());
                word(node, "align", button.align(), Align.START);
                text(node, "background", button.background());
                text(node, "colour", button.colour());
            }
            case Content.Pairing pairing -> {
                picture(node.putObject("picture"), pairing.picture());
                rich(node, "text", pairing.text());
                yes(node, "pictureRight", pairing.pictureRight());
                node.put("share", pairing.share());
            }
            case Content.Divider divider -> {
                node.put("thickness", divider.thickness());
                text(node, "colour", divider.colour());
            }
            case Content.Spacer spacer -> node.put("height", spacer.height());
            case Content.Items items -> {
                ArrayNode columns = node.putArray("columns");
                items.columns().forEach(column -> columns.addObject().put("is", JsonPart.word(column)));
                yes(node, "totals", items.totals());
                text(node, "empty", items.empty());
            }
            case Content.Event event -> {
                text(node, "title", event.title());
                text(node, "day", event.day());
                text(node, "time", event.time() == null ? "" : event.time().toString());
                node.put("minutes", event.minutes());
                text(node, "zone", event.zone());
                text(node, "place", event.place());
            }
            case Content.Card card -> {
                text(node, "picture", card.picture());
                text(node, "title", card.title());
                ArrayNode facts = node.putArray("facts");
                card.facts().forEach(facts::add);
            }
            case Content.VideoStill still -> {
                text(node, "picture", still.picture());
                text(node, "address", still.address());
                text(node, "description", still.description());
                node.put("width", still.width());
            }
            case Content.SocialLinks links -> {
                ArrayNode list = node.putArray("links");
                links.links().forEach(link -> {
                    ObjectNode one = list.addObject().put("label", link.label()).put("address", link.address());
                    word(one, "icon", link.icon(), Content.SocialIcon.NONE);
                });
                word(node, "align", links.align(), Align.START);
            }
            case Content.Signature signature -> {}
            case Content.Feed feed -> {
                text(node, "feed", feed.feed());
                number(node, "most", feed.most(), 3);
                yes(node, "summaries", feed.summaries());
            }
            case Content.OwnHtml html -> text(node, "source", html.source());
            case Content.Passage passage -> text(node, "passage", passage.passage());
            case Content.Unknown unknown -> throw new IllegalStateException("Written whole, by block()");
        }
    }

    private static void picture(ObjectNode node, Content.Picture picture) {
        text(node, "picture", picture.picture());
        node.put("width", picture.width());
        word(node, "align", picture.align(), Align.START);
        text(node, "description", picture.description());
        text(node, "link", picture.link());
        if (!picture.retouching().equals(Retouching.NONE)) {
            retouching(node.putObject("retouching"), picture.retouching());
        }
    }

    private static void retouching(ObjectNode node, Retouching retouching) {
        number(node, "left", retouching.left());
        number(node, "top", retouching.top());
        number(node, "right", retouching.right());
        number(node, "bottom", retouching.bottom());
        number(node, "brightness", retouching.brightness());
        text(node, "tint", retouching.tint());
        number(node, "strength", retouching.strength());
    }

    private static void number(ObjectNode node, String name, int number) {
        if (number != 0) {
            node.put(name, number);
        }
    }

    static void rich(ObjectNode into, String name, RichText text) {
        ArrayNode paragraphs = into.putArray(name);
        for (RichText.Paragraph paragraph : text.paragraphs()) {
            ObjectNode node = paragraphs.addObject();
            word(node, "kind", paragraph.kind(), RichText.Kind.PARAGRAPH);
            word(node, "align", paragraph.align(), Align.START);
            number(node, "level", paragraph.level());
            ArrayNode runs = node.putArray("runs");
            for (RichText.Run run : paragraph.runs()) {
                ObjectNode inner = runs.addObject().put("text", run.text());
                Marks marks = run.marks();
                yes(inner, "bold", marks.bold());
                yes(inner, "italic", marks.italic());
                yes(inner, "underline", marks.underline());
                yes(inner, "strike", marks.strike());
                text(inner, "colour", marks.colour());
                number(inner, "size", marks.size(), 0);
                text(inner, "link", marks.link());
            }
        }
    }

    private static void box(ObjectNode node, Look look, String shownWhen, boolean hiddenOnSmall) {
        if (!look.equals(Look.USUAL)) {
            ObjectNode inner = node.putObject("look");
            number(inner, "above", look.above(), -1);
            number(inner, "right", look.right(), -1);
            number(inner, "below", look.below(), -1);
            number(inner, "left", look.left(), -1);
            text(inner, "background", look.background());
            number(inner, "border", look.border(), 0);
            text(inner, "borderColour", look.borderColour());
        }
        text(node, "shownWhen", shownWhen);
        yes(node, "hiddenOnSmall", hiddenOnSmall);
    }

    private static void text(ObjectNode node, String name, String text) {
        if (!text.isEmpty()) {
            node.put(name, text);
        }
    }

    static void yes(ObjectNode node, String name, boolean yes) {
        if (yes) {
            node.put(name, true);
        }
    }

    private static void number(ObjectNode node, String name, int number, int usual) {
        if (number != usual) {
            node.put(name, number);
        }
    }

    private static void word(ObjectNode node, String name, Enum<?> constant, Enum<?> usual) {
        if (constant != usual) {
            node.put(name, JsonPart.word(constant));
        }
    }
}
