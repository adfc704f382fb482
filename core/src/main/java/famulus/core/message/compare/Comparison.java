package famulus.core.message.compare;

import com.github.difflib.DiffUtils;
import com.github.difflib.patch.AbstractDelta;
import famulus.core.message.MessageSource;
import famulus.core.message.MessageSource.Layout;
import famulus.core.message.body.Block;
import famulus.core.message.body.BodyText.Slot;
import famulus.core.message.compare.Change.Kind;
import famulus.core.message.compare.Change.Of;
import famulus.core.message.compare.Change.Stretch;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/** Compares two versions of a message. */
public final class Comparison {
    private final List<Change> changes = new ArrayList<>();

    private Comparison() {}

    /** What differs, in the order of the later version; what is only in the earlier one stands where it would have. */
    public static List<Change> of(MessageSource before, MessageSource after) {
        Comparison comparison = new Comparison();
        comparison.words("Subject", before.subject(), after.subject());
        comparison.words("Preview text", before.previewText(), after.previewText());
        if (before.layout().isPresent() && after.layout().isPresent()) {
            comparison.blocks(before.layout().get(), after.layout().get());
        } else {
            comparison.words("Text", plain(before), plain(after));
        }
        return List.copyOf(comparison.changes);
    }

    private static String plain(MessageSource source) {
        return source.layout()
                .map(layout -> String.join("\n", texts(layout).values()))
                .orElse(source.body());
    }

    private void words(String where, String before, String after) {
        if (!before.equals(after)) {
            changes.add(new Change(Kind.CHANGED, where, WordDifference.of(before, after), false));
        }
    }

    private void blocks(Layout before, Layout after) {
        Map<String, String> wordsBefore = texts(before);
        Map<String, String> wordsAfter = texts(after);
        Map<String, Block> blocksBefore = blocks(before);
        Map<String, Block> blocksAfter = blocks(after);
        List<String> orderBefore = new ArrayList<>(blocksBefore.keySet());
        List<String> orderAfter = new ArrayList<>(blocksAfter.keySet());
        Set<String> moved = moved(orderBefore, orderAfter);
        int passed = 0;
        for (int at = 0; at < orderAfter.size(); at++) {
            String id = orderAfter.get(at);
            int was = orderBefore.indexOf(id);
            if (was >= 0 && !moved.contains(id)) {
                gone(orderBefore.subList(passed, Math.max(passed, was)), blocksBefore, blocksAfter, wordsBefore);
                passed = Math.max(passed, was + 1);
            }
            String where = called(blocksAfter.get(id), at);
            if (was < 0) {
                changes.add(new Change(Kind.ADDED, where, only(Of.AFTER, wordsAfter.get(id)), false));
                continue;
            }
            boolean words = !wordsBefore.get(id).equals(wordsAfter.get(id));
            boolean settings = !words && !blocksBefore.get(id).equals(blocksAfter.get(id));
            if (words || settings || moved.contains(id)) {
                changes.add(new Change(
                        words || settings ? Kind.CHANGED : Kind.MOVED,
                        where,
                        WordDifference.of(wordsBefore.get(id), wordsAfter.get(id)),
                        settings));
            }
        }
        gone(orderBefore.subList(passed, orderBefore.size()), blocksBefore, blocksAfter, wordsBefore);
        if (!before.design().body().page().equals(after.design().body().page())) {
            changes.add(new Change(Kind.CHANGED, "Page", List.of(), true));
        }
        if (changes.isEmpty() && !before.design().body().equals(after.design().body())) {
            changes.add(new Change(Kind.CHANGED, "Bands", List.of(), true));
        }
    }

    private void gone(
            List<String> ids, Map<String, Block> before, Map<String, Block> after, Map<String, String> words) {
        for (String id : ids) {
            if (!after.containsKey(id)) {
                int at = new ArrayList<>(before.keySet()).indexOf(id);
                changes.add(
                        new Change(Kind.REMOVED, called(before.get(id), at), only(Of.BEFORE, words.get(id)), false));
            }
        }
    }

    /** The blocks of both versions that don't stand in the same order any more. */
    private static Set<String> moved(List<String> before, List<String> after) {
        List<String> from = before.stream().filter(after::contains).toList();
        List<String> to = after.stream().filter(before::contains).toList();
        Set<String> moved = new HashSet<>();
        for (AbstractDelta<String> delta : DiffUtils.diff(from, to).getDeltas()) {
            moved.addAll(delta.getTarget().getLines());
        }
        return moved;
    }

    private static List<Stretch> only(Of of, String text) {
        return text.isEmpty() ? List.of() : List.of(new Stretch(of, text));
    }

    private static String called(Block block, int at) {
        String kind = block.content().kind();
        return kind.substring(0, 1).toUpperCase(Locale.ROOT) + kind.substring(1) + " " + (at + 1);
    }

    private static Map<String, Block> blocks(Layout layout) {
        Map<String, Block> blocks = new LinkedHashMap<>();
        layout.design().body().blocks().forEach(block -> blocks.put(block.id(), block));
        return blocks;
    }

    /** The words of each block, its strings a line each; the runs of a paragraph share one. */
    private static Map<String, String> texts(Layout layout) {
        Map<String, StringBuilder> texts = new LinkedHashMap<>();
        layout.design().body().blocks().forEach(block -> texts.put(block.id(), new StringBuilder()));
        int end = -1;
        for (Slot slot : layout.text().slots()) {
            StringBuilder text = texts.get(slot.owner());
            boolean mark = slot.key().endsWith("/when") || slot.key().endsWith("/end");
            if (text == null || mark || layout.text().ofHouseStyle(slot.start())) {
                continue;
            }
            if (!text.isEmpty() && slot.start() != end) {
                text.append('\n');
            }
            text.append(layout.text().source(), slot.start(), slot.end());
            end = slot.end();
        }
        Map<String, String> all = new LinkedHashMap<>();
        texts.forEach((id, text) -> all.put(id, text.toString()));
        return all;
    }
}
