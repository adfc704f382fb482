package famulus.core.message;

import famulus.core.message.body.Body;
import famulus.core.message.body.BodyText;
import famulus.core.message.body.Design;
import famulus.core.message.body.HouseStyle;
import famulus.core.message.body.Inserts;
import java.nio.charset.StandardCharsets;
import java.util.UUID;

/**
 * The plain text of a letter or designed message that somebody keeps by hand, in the place of the one that is derived from it.
 *
 * @param words in the merge language; what the style says around the message is not in it
 * @param of what the message said when the words were last looked at, as {@link #saying} gives it
 */
public record OwnText(String words, String of) {
    /**
     * The same for a message whose strings were written anew, which says the same: of that one, unless it had drifted before.
     *
     * @param anew its words, written anew likewise
     * @param before the message as it was
     */
    public OwnText taken(String anew, Design before, Body now) {
        return new OwnText(anew, of.equals(saying(before)) ? saying(before.of(now)) : of);
    }

    /** What a message says, without its style and whoever signs it, as a digest: another message has another one. */
    public static String saying(Design design) {
        Body unsigned = Inserts.signed(design.body(), Body.EMPTY);
        String words = BodyText.of(new Design(design.mode(), unsigned, HouseStyle.BARE, "", ""))
                .source();
        return UUID.nameUUIDFromBytes(words.getBytes(StandardCharsets.UTF_8)).toString();
    }
}
