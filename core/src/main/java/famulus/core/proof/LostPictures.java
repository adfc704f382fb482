package famulus.core.proof;

import famulus.core.message.MessageSource.Layout;
import famulus.core.message.body.Block;
import famulus.core.message.body.Content;
import famulus.core.message.body.Keys;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** {@code picture-lost}: a picture that was chosen and is not there any more, as in a version that was brought back. */
public final class LostPictures {
    private LostPictures() {}

    /** The pictures that a design shows. */
    public static Set<String> shown(Layout layout) {
        return layout.design()
                .body()
                .blocks()
                .map(block -> picture(block.content()))
                .filter(picture -> !picture.isBlank())
                .collect(Collectors.toSet());
    }

    /**
     * Says which blocks show nothing.
     *
     * @param lost the pictures that are not there
     */
    public static List<Note> notes(Layout layout, Set<String> lost) {
        if (lost.isEmpty()) {
            return List.of();
        }
        return layout.design()
                .body()
                .blocks()
                .filter(block -> lost.contains(picture(block.content())))
                .map(block -> note(layout, block))
                .toList();
    }

    private static String picture(Content content) {
        return switch (content) {
            case Content.Picture picture -> picture.picture();
            case Content.Pairing pairing -> pairing.picture().picture();
            case Content.Card card -> card.picture();
            case Content.VideoStill still -> still.picture();
            default -> "";
        };
    }

    private static Note note(Layout layout, Block block) {
        return Note.ofBlock(
                "picture-lost",
                Note.Level.STOP,
                "The picture is not in the cupboard any more",
                "Choose another one, or take the block out.",
                BlockPlaces.near(layout, block.id(), Keys.description(block.id())),
                block.id());
    }
}
