package famulus.core.intake;

import famulus.core.merge.WordsWriter;
import famulus.core.message.body.Band;
import famulus.core.message.body.Block;
import famulus.core.message.body.Body;
import famulus.core.message.body.Column;
import famulus.core.message.body.Content;
import famulus.core.message.body.Conversion;
import famulus.core.message.body.Mode;
import java.util.ArrayList;
import java.util.List;

/** A message from elsewhere as a letter of ours. A signature that is left out makes room for the one of whoever sends it. */
public final class LetterFromWords {
    private LetterFromWords() {}

    /**
     * The letter.
     *
     * @param message its words are words: a brace in them begins no field
     * @param withoutSignature whether the old signature is left out
     * @param withoutThread whether the messages quoted below are left out
     */
    public static Body of(OldEnds message, boolean withoutSignature, boolean withoutThread) {
        StringBuilder text = new StringBuilder(message.words());
        if (!withoutSignature && !message.signature().isEmpty()) {
            text.append('\n').append(message.signature());
        }
        if (!withoutThread && !message.thread().isEmpty()) {
            text.append("\n\n").append(message.thread());
        }
        Body letter = Conversion.convert(Mode.PLAIN, Body.EMPTY, new WordsWriter().words(text.toString()), Mode.LETTER)
                .body();
        return withoutSignature && !message.signature().isEmpty() ? signed(letter) : letter;
    }

    /** The same with the sender's signature as its last block. */
    private static Body signed(Body letter) {
        Band last = letter.bands().getLast();
        Column column = last.columns().getLast();
        List<Block> blocks = new ArrayList<>(column.blocks());
        blocks.add(Block.of("signature", new Content.Signature()));
        Column signed = new Column(column.share(), column.upright(), blocks);
        List<Band> bands = new ArrayList<>(letter.bands());
        bands.set(
                bands.size() - 1,
                new Band(last.id(), List.of(signed), last.look(), last.shownWhen(), last.hiddenOnSmall()));
        return letter.with(bands);
    }
}
