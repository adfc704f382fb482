package famulus.core.message.render;

import famulus.core.html.HtmlCleaner;
import famulus.core.message.body.Align;
import famulus.core.message.body.Band;
import famulus.core.message.body.Block;
import famulus.core.message.body.Content;
import famulus.core.message.body.HouseStyle;
import famulus.core.message.body.Keys;
import famulus.core.message.body.Mode;
import famulus.core.message.body.RecordPortrait;
import famulus.core.message.body.Retouching;
import famulus.core.message.body.RichText;
import famulus.core.message.body.RichText.Marks;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Writes what blocks hold as HTML. */
final class HtmlBlocks {
    private static final Pattern OWN_PICTURE = Pattern.compile("src=\"" + HtmlCleaner.PICTURE + "([0-9a-f-]{36})\"");

    private final ToRender message;
    private final MergedBody words;
    private final CalendarFiles calendars;
    private final Set<String> pictures;
    private final Html html;
    private final HouseStyle style;
    private final HtmlText text;

    HtmlBlocks(ToRender message, MergedBody words, CalendarFiles calendars, Set<String> pictures, Html html) {
        this.message = message;
        this.words = words;
        this.calendars = calendars;
        this.pictures = pictures;
        this.html = html;
        this.style = message.design().style();
        this.text = new HtmlText(html, style, message.proof() != null);
    }

    /** Formatted text under a key of its own, such as the small print. */
    void rich(String id, RichText rich, String more) {
        text.paragraphs(words.paragraphs(id, rich), more);
    }

    /** Whether a block has anything to show to this person. */
    boolean any(Block block) {
        String id = block.id();
        return words.shown(id, block.shownWhen())
                && switch (block.content()) {
                    case Content.Text text -> !words.paragraphs(id, text.text()).isEmpty();
                    case Content.Button button ->
                        !words.inlines(Keys.label(id), Marks.NONE, "").isEmpty();
                    case Content.Items items ->
                        !message.deal().lines().isEmpty()
                                || !words.text(Keys.label(id)).isEmpty();
                    case Content.Event event -> calendars.event(block).isPresent() || message.proof() != null;
                    case Content.Feed feed -> !feed.entries().isEmpty();
                    case Content.OwnHtml own -> !own.source().isBlank();
                    case Content.Unknown unknown -> message.proof() != null;
                    case Content.Passage passage -> passage.bands().stream().anyMatch(this::any);
                    case Content.Picture other -> true;
                    case Content.Pairing other -> true;
                    case Content.Divider other -> true;
                    case Content.Spacer other -> true;
                    case Content.Card other -> true;
                    case Content.VideoStill other -> true;
                    case Content.SocialLinks other -> true;
                    case Content.Signature other -> true;
                };
    }

    /** Whether a band has anything to show to this person. */
    boolean any(Band band) {
        return words.shown(band.id(), band.shownWhen()) && band.blocks().anyMatch(this::any);
    }

    /**
     * The inside of a block.
     *
     * @param width of its column, in pixels
     */
    void content(Block block, int width) {
        String id = block.id();
        switch (block.content()) {
            case Content.Text rich -> rich(id, rich.text(), "");
            case Content.Picture picture -> picture(id, picture, width);
            case Content.Button button -> button(id, button);
            case Content.Pairing pairing -> pairing(id, pairing, width);
            case Content.Divider divider ->
                html.open(
                                "div",
                                "style",
                                "border-top:" + divider.thickness() + "px solid "
                                        + (divider.colour().isEmpty()
                                                ? style.type().colour()
                                                : divider.colour())
                                        + ";font-size:0;line-height:0;")
                        .raw("&nbsp;")
                        .close("div");
            case Content.Spacer spacer ->
                html.open(
                                "div",
                                "style",
                                "height:" + spacer.height() + "px;line-height:" + spacer.height() + "px;font-size:1px;")
                        .raw("&nbsp;")
                        .close("div");
            case Content.Items items -> new HtmlItems(html, message, words).write(id, items);
            case Content.Event event -> event(block);
            case Content.Card card -> card(id, card);
            case Content.VideoStill still -> video(id, still, width);
            case Content.SocialLinks links -> social(id, links);
            case Content.Signature signature ->
                text.paragraphs(
                        List.of(new MergedBody.TextParagraph(
                                RichText.Paragraph.of(""), words.inlines(Keys.label(id), Marks.NONE, ""))),
                        "");
            case Content.Feed feed -> feed(feed);
            case Content.OwnHtml own -> own(id);
            case Content.Passage passage -> throw new IllegalStateException("Written by bands, by the document");
            case Content.Unknown unknown ->
                html.open("p", "class", "from-gap")
                        .text("“" + unknown.name() + "” was made by a newer Famulus.")
                        .close("p");
        }
    }

    /** What a feed says is data, like any value. */
    private void feed(Content.Feed feed) {
        for (Content.Entry entry : feed.shown()) {
            String address = Address.safe(entry.link());
            html.open("p", "style", "margin:0 0 " + style.space() / 2 + "px;");
            if (address.isEmpty()) {
                html.open("b").text(entry.title()).close("b");
            } else {
                html.open("a", "href", address, "style", "color:" + style.type().linkColour() + ";font-weight:bold;")
                        .text(entry.title())
                        .close("a");
            }
            if (feed.summaries() && !entry.summary().isBlank()) {
                html.raw("<br>").text(entry.summary());
            }
            html.close("p").endLine();
        }
    }

    /** Cleaned once more after its values are in it: nothing a record holds becomes more than characters. */
    private void own(String id) {
        String clean = HtmlCleaner.clean(words.html(Keys.source(id))).html();
        Matcher found = OWN_PICTURE.matcher(clean);
        html.raw(found.replaceAll(one -> {
            pictures.add(one.group(1));
            return Matcher.quoteReplacement(
                    "src=\"" + Html.escaped(message.pictures().apply(one.group(1))) + "\"");
        }));
    }

    private void picture(String id, Content.Picture picture, int width) {
        int shown = Math.min(picture.width(), width);
        boolean aligned = picture.align() != Align.START;
        if (aligned) {
            html.open("div", "style", HtmlText.css(picture.align()));
        }
        PictureCopy copy = PictureCopy.shown(picture.picture(), picture.retouching(), shown);
        image(copy, words.text(Keys.description(id)), shown, words.address(Keys.link(id)), aligned);
        if (aligned) {
            html.close("div");
        }
    }

    private void image(PictureCopy picture, String description, int width, String address, boolean inline) {
        String source = picture.picture().isEmpty() ? "" : message.pictures().apply(picture.key());
        if (!address.isEmpty()) {
            html.open("a", "href", address, "style", "color:" + style.type().linkColour() + ";");
        }
        if (source.isEmpty()) {
            html.text(description);
        } else {
            pictures.add(picture.key());
            html.raw("<img");
            attribute("src", source);
            attribute("width", String.valueOf(width));
            attribute("alt", description);
            attribute(
                    "style",
                    (inline ? "display:inline-block;" : "display:block;") + "width:" + width
                            + "px;max-width:100%;height:auto;border:0;");
            html.raw(">");
        }
        if (!address.isEmpty()) {
            html.close("a");
        }
    }

    /** Unlike {@link Html#open}, writes an empty value too: a picture that only decorates has an empty description. */
    private void attribute(String name, String value) {
        html.raw(" " + name + "=\"")
                .raw(new Html().text(value.replace('\n', ' ')).toString())
                .raw("\"");
    }

    private void button(String id, Content.Button button) {
        String background = button.background().isEmpty() ? style.button().background() : button.background();
        String colour = button.colour().isEmpty() ? style.button().colour() : button.colour();
        String margin =
                switch (button.align()) {
                    case START -> "";
                    case CENTRE -> "margin:0 auto;";
                    case END -> "margin-inline-start:auto;";
                };
        button(words.address(Keys.link(id)), background, colour, margin, () -> words.inlines(
                        Keys.label(id), Marks.NONE, "")
                .forEach(text::inline));
    }

    private void button(String address, String background, String colour, String margin, Runnable label) {
        html.open("table", "role", "presentation", "style", "border-collapse:separate;border-spacing:0;" + margin)
                .raw("<tr>")
                .open(
                        "td",
                        "style",
                        "background:" + background + ";border:1px solid " + background + ";border-radius:"
                                + style.button().corner() + "px;padding:" + style.space() * 5 / 8 + "px "
                                + style.space() * 5 / 4 + "px;text-align:center;");
        html.open(
                address.isEmpty() ? "span" : "a",
                "href",
                address,
                "style",
                "color:" + colour + ";text-decoration:none;font-weight:bold;display:inline-block;");
        label.run();
        html.close(address.isEmpty() ? "span" : "a").raw("</td></tr></table>");
    }

    private void pairing(String id, Content.Pairing pairing, int width) {
        int part = width * pairing.share() / 100;
        html.open("table", "role", "presentation", "style", "width:100%;border-collapse:collapse;")
                .raw("<tr>");
        if (pairing.pictureRight()) {
            pairingText(id, pairing, "padding-inline-end:");
            pairingPicture(id, pairing, part);
        } else {
            pairingPicture(id, pairing, part);
            pairingText(id, pairing, "padding-inline-start:");
        }
        html.raw("</tr></table>");
    }

    private void pairingPicture(String id, Content.Pairing pairing, int width) {
        html.open(
                "td", "class", "column", "style", "width:" + pairing.share() + "%;vertical-align:top;padding:0 0 4px;");
        picture(id, pairing.picture(), width);
        html.close("td").endLine();
    }

    private void pairingText(String id, Content.Pairing pairing, String side) {
        html.open(
                "td",
                "class",
                "column",
                "style",
                "width:" + (100 - pairing.share()) + "%;vertical-align:top;padding:0;" + side + style.space() + "px;");
        rich(id, pairing.text(), "");
        html.close("td").endLine();
    }

    private void event(Block block) {
        String id = block.id();
        html.open("p", "style", "margin:0 0 4px;font-weight:bold;");
        words.inlines(Keys.label(id), Marks.NONE, "").forEach(text::inline);
        html.close("p").endLine();
        html.open("p", "style", "margin:0;");
        calendars.event(block).ifPresentOrElse(event -> html.text(event.when()), () -> words.inlines(
                        Keys.day(id), Marks.NONE, "")
                .forEach(text::inline));
        if (!words.text(Keys.place(id)).isEmpty()) {
            html.raw("<br>");
            words.inlines(Keys.place(id), Marks.NONE, "").forEach(text::inline);
        }
        html.close("p");
        if (!message.page().isEmpty() && calendars.event(block).isPresent()) {
            intoCalendar(message.page() + "/" + calendars.name(block));
        }
    }

    /** Where an event can be had again for a calendar: on a button, in a letter as an ordinary link. */
    private void intoCalendar(String address) {
        String says = RenderingTexts.in(message.settings().locale()).of("calendar");
        html.endLine();
        if (message.design().mode() == Mode.LETTER) {
            html.open("p", "style", "margin:4px 0 0;")
                    .open("a", "href", address, "style", "color:" + style.type().linkColour() + ";")
                    .text(says)
                    .close("a")
                    .close("p");
            return;
        }
        String room = "margin:" + style.space() * 5 / 8 + "px 0 0;";
        button(address, style.button().background(), style.button().colour(), room, () -> html.text(says));
    }

    private void card(String id, Content.Card card) {
        String picture = RecordPortrait.of(card.picture())
                .map(whose -> message.portraits().getOrDefault(whose, ""))
                .orElse(card.picture());
        boolean portrait = !picture.isEmpty();
        if (portrait) {
            html.open("table", "role", "presentation", "style", "border-collapse:collapse;")
                    .raw("<tr>")
                    .open("td", "style", "vertical-align:top;padding:0 " + style.space() + "px 0 0;");
            image(PictureCopy.shown(picture, Retouching.NONE, 72), "", 72, "", false);
            html.raw("</td>").open("td", "style", "vertical-align:top;padding:0;");
        }
        html.open("p", "style", "margin:0 0 4px;font-weight:bold;");
        words.inlines(Keys.label(id), Marks.NONE, "").forEach(text::inline);
        html.close("p");
        for (int i = 0; i < card.facts().size(); i++) {
            String key = Keys.fact(id, i);
            boolean says = !words.text(key).isEmpty() && !words.saysNothing(key);
            if (says && (!words.hasGap(key) || message.proof() != null)) {
                html.open("p", "style", "margin:0;");
                words.inlines(key, Marks.NONE, "").forEach(text::inline);
                html.close("p");
            }
        }
        if (portrait) {
            html.raw("</td></tr></table>");
        }
    }

    private void video(String id, Content.VideoStill still, int width) {
        String address = words.address(Keys.link(id));
        String description = words.text(Keys.description(id));
        int shown = Math.min(still.width(), width);
        // The drawn one has its mark already.
        PictureCopy copy = still.picture().isEmpty()
                ? PictureCopy.shown(Drawn.STILL, Retouching.NONE, shown)
                : PictureCopy.shown(still.picture(), Retouching.NONE, shown).playing();
        image(copy, description, shown, address, false);
    }

    /** It says nothing that the words behind it do not say, so it is not read out. */
    private void icon(Content.SocialIcon icon) {
        if (icon == Content.SocialIcon.NONE) {
            return;
        }
        String picture = Drawn.icon(icon);
        pictures.add(picture);
        html.raw("<img");
        attribute("src", message.pictures().apply(picture));
        attribute("width", "20");
        attribute("height", "20");
        attribute("alt", "");
        attribute("style", "display:inline-block;width:20px;height:20px;border:0;vertical-align:middle;");
        html.raw("> ");
    }

    private void social(String id, Content.SocialLinks links) {
        html.open("p", "style", "margin:0;" + HtmlText.css(links.align()));
        boolean first = true;
        for (int i = 0; i < links.links().size(); i++) {
            String address = words.address(Keys.factLink(id, i));
            if (address.isEmpty() && message.proof() == null) {
                continue;
            }
            if (!first) {
                html.raw(" &nbsp;·&nbsp; ");
            }
            first = false;
            icon(links.links().get(i).icon());
            words.inlines(Keys.fact(id, i), Marks.NONE, address).forEach(text::inline);
        }
        html.close("p");
    }
}
