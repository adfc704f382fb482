package famulus.core.message.render;

import famulus.core.message.body.Band;
import famulus.core.message.body.Block;
import famulus.core.message.body.Content;
import famulus.core.message.body.Keys;
import famulus.core.message.body.RichText;
import famulus.core.message.body.RichText.Marks;

/** Writes what blocks hold for paper: as in mail, but where mail needs a table for its layout, or something to be pressed. */
final class PaperBlocks {
    private final ToRender message;
    private final MergedBody words;
    private final HtmlBlocks mail;
    private final Html html;
    private final HtmlText text;

    PaperBlocks(ToRender message, MergedBody words, HtmlBlocks mail, Html html) {
        this.message = message;
        this.words = words;
        this.mail = mail;
        this.html = html;
        this.text = new HtmlText(html, message.design().style(), message.proof() != null);
    }

    /** Whether a page may end within a block. */
    static boolean mayBreak(Content content) {
        return switch (content) {
            case Content.Text any -> true;
            case Content.Items any -> true;
            case Content.Feed any -> true;
            case Content.OwnHtml any -> true;
            case Content.Passage any -> true;
            case Content.Signature any -> false;
            case Content.Picture any -> false;
            case Content.Button any -> false;
            case Content.Pairing any -> false;
            case Content.Divider any -> false;
            case Content.Spacer any -> false;
            case Content.Event any -> false;
            case Content.Card any -> false;
            case Content.VideoStill any -> false;
            case Content.SocialLinks any -> false;
            case Content.Unknown any -> false;
        };
    }

    boolean any(Block block) {
        return mail.any(block);
    }

    boolean any(Band band) {
        return mail.any(band);
    }

    void rich(String id, RichText rich, String more) {
        mail.rich(id, rich, more);
    }

    /**
     * The inside of a block.
     *
     * @param width of its column, in pixels
     */
    void content(Block block, int width) {
        String id = block.id();
        switch (block.content()) {
            case Content.Button button -> {
                html.open("p", "style", "margin:0;").raw("<b>");
                words.inlines(Keys.label(id), Marks.NONE, "").forEach(text::inline);
                html.raw("</b>");
                address(words.address(Keys.link(id)));
                html.close("p").endLine();
            }
            case Content.Pairing pairing -> pairing(block, pairing, width);
            case Content.VideoStill still -> {
                mail.content(block, width);
                html.open("p", "style", "margin:4px 0 0;").text(words.text(Keys.description(id)));
                address(words.address(Keys.link(id)));
                html.close("p").endLine();
            }
            case Content.Spacer spacer ->
                html.open("div", "style", "height:" + spacer.height() + "px;").close("div");
            case Content.Text any -> mail.content(block, width);
            case Content.Picture any -> mail.content(block, width);
            case Content.Divider any -> mail.content(block, width);
            case Content.Items any -> mail.content(block, width);
            case Content.Event any -> mail.content(block, width);
            case Content.Card any -> mail.content(block, width);
            case Content.SocialLinks any -> mail.content(block, width);
            case Content.Feed any -> mail.content(block, width);
            case Content.OwnHtml any -> mail.content(block, width);
            case Content.Signature any -> mail.content(block, width);
            case Content.Passage any -> mail.content(block, width);
            case Content.Unknown any -> mail.content(block, width);
        }
    }

    /** Where something leads, to be typed from paper, or followed where the paper is a file. */
    private void address(String address) {
        if (!address.isEmpty()) {
            String said = address.replaceFirst("^mailto:", "").replaceFirst("\\?.*$", "");
            html.raw("<br>")
                    .open(
                            "a",
                            "href",
                            address,
                            "style",
                            "color:" + message.design().style().type().linkColour() + ";")
                    .text(address.startsWith("mailto:") ? said : address)
                    .close("a");
        }
    }

    private void pairing(Block block, Content.Pairing pairing, int width) {
        String id = block.id();
        int part = width * pairing.share() / 100;
        html.open("div", "class", "row").endLine();
        if (!pairing.pictureRight()) {
            picture(id, pairing, part, "right");
        }
        html.open("div", "class", "cell", "style", "vertical-align:top;").endLine();
        mail.rich(id, pairing.text(), "");
        html.close("div").endLine();
        if (pairing.pictureRight()) {
            picture(id, pairing, part, "left");
        }
        html.close("div").endLine();
    }

    private void picture(String id, Content.Pairing pairing, int width, String side) {
        int room = message.design().style().space();
        html.open(
                        "div",
                        "class",
                        "cell",
                        "style",
                        "width:" + pairing.share() + "%;vertical-align:top;padding-" + side + ":" + room + "px;")
                .endLine();
        mail.content(Block.of(id, pairing.picture()), width - room);
        html.close("div").endLine();
    }
}
