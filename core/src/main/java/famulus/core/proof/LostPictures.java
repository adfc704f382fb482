package famulus.core.proof;

import famulus.core.html.HtmlCleaner;
import famulus.core.message.MessageSource.Layout;
import famulus.core.message.body.Band;
import famulus.core.message.body.Block;
import famulus.core.message.body.Content;
import famulus.core.message.body.Keys;
import famulus.core.message.body.RecordPortrait;
import famulus.core.syntax.Span;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** {@code picture-lost}: a picture that was chosen and is missing, as in a version that was brought back. */
public final class LostPictures {
    /** How a picture of the library stands in HTML. */
    private static final Pattern IN_HTML = Pattern.compile(Pattern.quote(HtmlCleaner.PICTURE) + "([\\w-]+)");

    private LostPictures() {}

    /** A picture that is shown, and the block of the body it belongs to; empty for one of the header or footer. */
    private record Shown(String picture, Optional<Block> block) {}

    /** The pictures that a message shows: those of its blocks, its passages, its own HTML, its header and its footer. */
    public static Set<String> shown(Layout layout) {
        return all(layout).map(Shown::picture).collect(Collectors.toSet());
    }

    /**
     * Says which blocks show nothing.
     *
     * @param lost the pictures that are not there
     */
    public static List<Note> notes(Layout layout, Set<String> lost) {
        return lost.isEmpty()
                ? List.of()
                : all(layout)
                        .filter(one -> lost.contains(one.picture()))
                        .map(one ->
                                one.block().map(block -> note(layout, block)).orElseGet(() -> around(layout)))
                        .distinct()
                        .toList();
    }

    private static Stream<Shown> all(Layout layout) {
        Stream<Shown> within = layout.design().body().blocks().flatMap(block -> pictures(block)
                .map(picture -> new Shown(picture, Optional.of(block))));
        Stream<Shown> around = Stream.of(
                        layout.design().above(), layout.design().below())
                .flatMap(List::stream)
                .flatMap(Band::blocks)
                .flatMap(LostPictures::pictures)
                .map(picture -> new Shown(picture, Optional.empty()));
        return Stream.concat(within, around);
    }

    private static Stream<String> pictures(Block block) {
        Stream<String> own = block.content() instanceof Content.OwnHtml html
                ? IN_HTML.matcher(html.source()).results().map(one -> one.group(1))
                : Stream.of(picture(block.content()));
        Stream<String> inside =
                block.content().inside().stream().flatMap(Band::blocks).flatMap(LostPictures::pictures);
        return Stream.concat(own, inside).filter(picture -> !picture.isBlank());
    }

    /** One that writers can't change: it is named, so that they can say what is wrong. */
    private static Note around(Layout layout) {
        int end = layout.text().source().length();
        return Note.ofBlock(
                StopCode.PICTURE_LOST.code(),
                Note.Level.STOP,
                "A picture of the header or footer is missing",
                "Anyone who can change the style can choose another one.",
                new Span(end, end),
                "");
    }

    private static String picture(Content content) {
        return switch (content) {
            case Content.Picture picture -> picture.picture();
            case Content.Pairing pairing -> pairing.picture().picture();
            // A record without a picture is a card without one.
            case Content.Card card -> RecordPortrait.of(card.picture()).isPresent() ? "" : card.picture();
            case Content.VideoStill still -> still.picture();
            case Content.Text other -> "";
            case Content.Button other -> "";
            case Content.Divider other -> "";
            case Content.Spacer other -> "";
            case Content.Items other -> "";
            case Content.Event other -> "";
            case Content.SocialLinks other -> "";
            case Content.Signature other -> "";
            case Content.Passage other -> "";
            case Content.Feed other -> "";
            case Content.OwnHtml other -> "";
            case Content.Unknown other -> "";
        };
    }

    private static Note note(Layout layout, Block block) {
        return Note.ofBlock(
                "picture-lost",
                Note.Level.STOP,
                "The picture is missing from Materials",
                "Choose another one, or remove the block.",
                BlockPlaces.near(layout, block.id(), Keys.description(block.id())),
                block.id());
    }
}
