package famulus.core.proof;

import famulus.core.message.MessageSource.Layout;
import famulus.core.message.body.Block;
import famulus.core.message.body.BodyText;
import famulus.core.message.body.BodyText.Slot;
import famulus.core.syntax.Span;
import java.util.Set;
import java.util.stream.Collectors;

/** Where notes about blocks stand among the words, so that notes keep the order of the message. */
final class BlockPlaces {
    private BlockPlaces() {}

    /** The string of a key; where the block has none such, the beginning of its first one, or of what follows it. */
    static Span near(Layout layout, String block, String key) {
        BodyText text = layout.text();
        return text.slot(key).map(slot -> new Span(slot.start(), slot.end())).orElseGet(() -> {
            Set<String> from = layout.design()
                    .body()
                    .blocks()
                    .map(Block::id)
                    .dropWhile(id -> !id.equals(block))
                    .collect(Collectors.toSet());
            int at = text.slots().stream()
                    .filter(slot -> from.contains(slot.owner()) || text.ofHouseStyle(slot.start()))
                    .mapToInt(Slot::start)
                    .findFirst()
                    .orElse(text.source().length());
            return new Span(at, at);
        });
    }
}
