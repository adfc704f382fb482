package famulus.core.proof;

import famulus.core.message.MessageSource.Layout;
import famulus.core.message.body.Block;
import famulus.core.message.body.Content;
import famulus.core.message.body.Keys;
import java.util.List;
import java.util.stream.Stream;

/** {@code no-description}: a picture that says nothing to those who don't see it; {@code picture-lost}: one that is not there. */
final class DescriptionCheck implements Check {
    @Override
    public List<Note> read(ProofSubject subject) {
        return subject.source().layout().stream()
                .flatMap(layout -> layout.design().body().blocks().flatMap(block -> read(block, layout)))
                .toList();
    }

    private static Stream<Note> read(Block block, Layout layout) {
        return switch (block.content()) {
            case Content.Picture picture -> read(block, picture, layout);
            case Content.Pairing pairing -> read(block, pairing.picture(), layout);
            case Content.Text other -> Stream.empty();
            case Content.Button other -> Stream.empty();
            case Content.Divider other -> Stream.empty();
            case Content.Spacer other -> Stream.empty();
            case Content.Items other -> Stream.empty();
            case Content.Event other -> Stream.empty();
            case Content.Card other -> Stream.empty();
            case Content.VideoStill other -> Stream.empty();
            case Content.SocialLinks other -> Stream.empty();
            case Content.Signature other -> Stream.empty();
            case Content.Passage other -> Stream.empty();
            case Content.Feed other -> Stream.empty();
            case Content.OwnHtml other -> Stream.empty();
            case Content.Unknown other -> Stream.empty();
        };
    }

    private static Stream<Note> read(Block block, Content.Picture picture, Layout layout) {
        String key = Keys.description(block.id());
        if (picture.picture().isBlank()) {
            return Stream.of(Note.ofBlock(
                    "picture-lost",
                    Note.Level.STOP,
                    "No picture is chosen",
                    "Choose one, or remove the block.",
                    BlockPlaces.near(layout, block.id(), key),
                    block.id()));
        }
        return picture.description().isBlank()
                ? Stream.of(Note.ofBlock(
                        "no-description",
                        Note.Level.QUERY,
                        "The picture has no description",
                        "Say what it shows; many mail programs block pictures, and not everybody sees them.",
                        BlockPlaces.near(layout, block.id(), key),
                        block.id()))
                : Stream.empty();
    }
}
