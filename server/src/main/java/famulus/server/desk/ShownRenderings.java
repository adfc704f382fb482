package famulus.server.desk;

import famulus.core.message.MessageSource.Layout;
import famulus.core.message.body.Body;
import famulus.core.message.body.BodyJson;
import famulus.core.message.body.BodyText;
import famulus.core.message.body.Content;
import famulus.core.message.body.Inserts;
import famulus.core.message.body.Keys;
import famulus.core.message.body.SlotPieces;
import famulus.core.message.render.Rendering;
import famulus.server.desk.Chip.Role;
import famulus.server.desk.ProofService.Proof;
import famulus.server.desk.ShownRendering.ShownInside;
import famulus.server.desk.ShownRendering.ShownSlot;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** A letter or designed message as it is seen, with what is written where in it. */
final class ShownRenderings {
    private ShownRenderings() {}

    /** The strings of the body that are written here; what the house style says is not, nor what signatures and passages do. */
    private static List<ShownSlot> slots(Layout layout) {
        Set<String> elsewhere = Inserts.writtenElsewhere(layout.design().body());
        return layout.text().slots().stream()
                .filter(slot -> !layout.text().ofHouseStyle(slot.start()) && !elsewhere.contains(slot.owner()))
                .filter(slot -> !slot.key().equals(Keys.when(slot.owner()))
                        && !slot.key().endsWith("/end"))
                .map(slot -> new ShownSlot(slot.key(), slot.start(), slot.end()))
                .toList();
    }

    /** The conditions of blocks and bands as sentences. */
    private static Map<String, String> conditions(Layout layout, List<Chip> chips) {
        Map<Integer, String> sentences = new HashMap<>();
        chips.stream()
                .filter(chip -> chip.role() == Role.WHEN)
                .forEach(chip -> sentences.put(chip.start(), chip.label()));
        Map<String, String> conditions = new LinkedHashMap<>();
        for (BodyText.Slot slot : layout.text().slots()) {
            if (slot.key().equals(Keys.when(slot.owner()))) {
                conditions.put(slot.owner(), sentences.getOrDefault(slot.start(), ""));
            }
        }
        return conditions;
    }

    static ShownRendering of(Rendering rendering, Proof proof, List<Chip> chips) {
        return new ShownRendering(
                rendering.html(),
                rendering.text(),
                rendering.html().getBytes(StandardCharsets.UTF_8).length,
                rendering.calendars().stream().map(Rendering.Calendar::name).toList(),
                proof.source().layout().map(ShownRenderings::slots).orElse(List.of()),
                proof.source().layout().map(layout -> conditions(layout, chips)).orElse(Map.of()),
                proof.source().layout().map(layout -> inside(layout, proof)).orElse(Map.of()));
    }

    private static Map<String, ShownInside> inside(Layout layout, Proof proof) {
        Map<String, ShownInside> inside = new LinkedHashMap<>();
        SlotPieces pieces = new SlotPieces(layout.text(), proof.merged().body());
        layout.design()
                .body()
                .blocks()
                .filter(block -> !block.content().inside().isEmpty())
                .forEach(block -> inside.put(
                        block.id(),
                        new ShownInside(
                                block.content() instanceof Content.Passage passage ? passage.name() : "",
                                words(block.id(), layout, pieces),
                                BodyJson.write(new Body(block.content().inside())))));
        layout.design().body().blocks().forEach(block -> {
            if (block.content() instanceof Content.Feed feed && !feed.name().isEmpty()) {
                String titles = feed.shown().stream().map(Content.Entry::title).collect(Collectors.joining("\n"));
                inside.put(block.id(), new ShownInside(feed.name(), titles, ""));
            }
        });
        return inside;
    }

    /** The merged words of a block, a line for each paragraph. */
    private static String words(String block, Layout layout, SlotPieces pieces) {
        StringBuilder words = new StringBuilder();
        String before = "";
        for (BodyText.Slot slot : layout.text().slots()) {
            String text = slot.owner().equals(block) && !slot.key().endsWith("/link") ? pieces.text(slot.key()) : "";
            if (!text.isBlank()) {
                // Runs of one paragraph differ in what stands after the point.
                String paragraph = slot.key().replaceFirst("\\.\\d+$", "");
                words.append(words.isEmpty() || paragraph.equals(before) ? "" : "\n")
                        .append(text);
                before = paragraph;
            }
        }
        return words.toString();
    }
}
