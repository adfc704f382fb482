package famulus.core.message.personal;

import famulus.core.message.body.Band;
import famulus.core.message.body.Block;
import famulus.core.message.body.Body;
import famulus.core.message.body.Column;
import famulus.core.message.body.Content;
import famulus.core.message.body.Keys;
import famulus.core.message.body.RichText;
import famulus.core.message.body.RichText.Marks;
import famulus.core.message.body.RichText.Paragraph;
import famulus.core.message.body.RichText.Run;
import famulus.core.message.personal.Refilling.Refill;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Writes the strings of a block anew, whatever its kind. What depends on more than words stays what it is: the signature of
 * whoever sends, the lines of the deal, a feed, the day of an event, HTML.
 */
abstract class Rewriting {
    /** A string of its own, such as a label, under its key in {@link Keys}. */
    abstract String words(String key, String written);

    /** Where something leads. */
    abstract String address(String key, String written);

    abstract RichText rich(String id, RichText text);

    /** The lines of a record card. */
    List<String> facts(String id, List<String> facts) {
        return IntStream.range(0, facts.size())
                .mapToObj(at -> words(Keys.fact(id, at), facts.get(at)))
                .toList();
    }

    /** A body with its strings written anew. */
    final Body body(Body body) {
        return body.with(body.bands().stream().map(this::band).toList());
    }

    private Band band(Band band) {
        List<Column> columns = band.columns().stream()
                .map(column -> new Column(
                        column.share(),
                        column.upright(),
                        column.blocks().stream().map(this::block).toList()))
                .toList();
        return new Band(band.id(), columns, band.look(), band.shownWhen(), band.hiddenOnSmall());
    }

    private Block block(Block block) {
        return new Block(
                block.id(),
                content(block.id(), block.content()),
                block.look(),
                block.shownWhen(),
                block.hiddenOnSmall());
    }

    /** A formatted text as one: a line for each paragraph. */
    static String source(RichText text) {
        return text.paragraphs().stream()
                .map(paragraph -> paragraph.runs().stream().map(Run::text).collect(Collectors.joining()))
                .collect(Collectors.joining("\n"));
    }

    /**
     * A formatted text with fields put into it; none reaches from one run into another.
     *
     * @param refills counted in its {@link #source}, in order
     */
    static RichText refilled(RichText text, List<Refill> refills, UnaryOperator<Marks> marks) {
        List<Paragraph> paragraphs = new ArrayList<>();
        int at = 0;
        for (Paragraph paragraph : text.paragraphs()) {
            List<Run> runs = new ArrayList<>();
            for (Run run : paragraph.runs()) {
                runs.add(new Run(Refill.into(run.text(), at, refills), marks.apply(run.marks())));
                at += run.text().length();
            }
            at++;
            paragraphs.add(new Paragraph(paragraph.kind(), paragraph.align(), paragraph.level(), runs));
        }
        return new RichText(paragraphs);
    }

    /** HTML by hand; as it is, unless its words are written anew. */
    String ownHtml(String key, String source) {
        return source;
    }

    /** What a block holds, with its strings written anew. */
    final Content content(String id, Content content) {
        return switch (content) {
            case Content.Text text -> new Content.Text(rich(id, text.text()));
            case Content.Picture picture -> picture(id, picture);
            case Content.Button button ->
                new Content.Button(
                        words(Keys.label(id), button.label()),
                        address(Keys.link(id), button.link()),
                        button.align(),
                        button.background(),
                        button.colour());
            case Content.Pairing pairing ->
                new Content.Pairing(
                        picture(id, pairing.picture()),
                        rich(id, pairing.text()),
                        pairing.pictureRight(),
                        pairing.share());
            case Content.Items items ->
                new Content.Items(items.columns(), items.totals(), words(Keys.label(id), items.empty()));
            case Content.Event event ->
                new Content.Event(
                        words(Keys.label(id), event.title()),
                        event.day(),
                        event.time(),
                        event.minutes(),
                        event.zone(),
                        words(Keys.place(id), event.place()));
            case Content.Card card ->
                new Content.Card(card.picture(), words(Keys.label(id), card.title()), facts(id, card.facts()));
            case Content.VideoStill still ->
                new Content.VideoStill(
                        still.picture(),
                        address(Keys.link(id), still.address()),
                        words(Keys.description(id), still.description()),
                        still.width());
            case Content.SocialLinks links ->
                new Content.SocialLinks(
                        IntStream.range(0, links.links().size())
                                .mapToObj(at -> link(id, at, links.links().get(at)))
                                .toList(),
                        links.align());
            case Content.Signature signature -> signature;
            case Content.Passage passage -> passage;
            case Content.OwnHtml html -> new Content.OwnHtml(ownHtml(Keys.source(id), html.source()));
            case Content.Feed feed -> feed;
            case Content.Divider divider -> divider;
            case Content.Spacer spacer -> spacer;
            case Content.Unknown unknown -> unknown;
        };
    }

    private Content.Picture picture(String id, Content.Picture picture) {
        return new Content.Picture(
                picture.picture(),
                picture.width(),
                picture.align(),
                words(Keys.description(id), picture.description()),
                address(Keys.link(id), picture.link()),
                picture.retouching());
    }

    private Content.SocialLink link(String id, int at, Content.SocialLink link) {
        return new Content.SocialLink(
                words(Keys.fact(id, at), link.label()), address(Keys.factLink(id, at), link.address()), link.icon());
    }
}
