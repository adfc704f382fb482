package famulus.core.proof;

import famulus.core.html.Cleaned;
import famulus.core.html.HtmlCleaner;
import famulus.core.message.MessageSource.Layout;
import famulus.core.message.body.Block;
import famulus.core.message.body.Content;
import famulus.core.message.body.Keys;
import java.util.ArrayList;
import java.util.List;
import org.jsoup.Jsoup;

/**
 * {@code html-cleaned}: what of a writer's own HTML is not sent; {@code no-description}: a picture in it that says nothing
 * to those who don't see it.
 */
final class SourceCheck implements Check {
    private static final int MOST_NAMED = 6;

    @Override
    public List<Note> read(ProofSubject subject) {
        List<Note> notes = new ArrayList<>();
        subject.source()
                .layout()
                .ifPresent(layout -> layout.design().body().blocks().forEach(block -> {
                    if (block.content() instanceof Content.OwnHtml html) {
                        read(block, html, layout, notes);
                    }
                }));
        return notes;
    }

    private static void read(Block block, Content.OwnHtml html, Layout layout, List<Note> notes) {
        Cleaned cleaned = HtmlCleaner.cleanSource(html.source());
        String key = Keys.source(block.id());
        List<String> removed = cleaned.removed();
        if (!removed.isEmpty()) {
            int more = removed.size() - MOST_NAMED;
            notes.add(Note.ofBlock(
                    "html-cleaned",
                    Note.Level.QUERY,
                    "Some of this HTML is not sent",
                    String.join("; ", removed.subList(0, Math.min(MOST_NAMED, removed.size())))
                            + (more > 0 ? "; and " + more + " more." : "."),
                    BlockPlaces.near(layout, block.id(), key),
                    block.id()));
        }
        if (Jsoup.parse(cleaned.html()).select("img").stream()
                .anyMatch(image -> image.attr("alt").isBlank())) {
            notes.add(Note.ofBlock(
                    "no-description",
                    Note.Level.QUERY,
                    "A picture in this HTML has no description",
                    "Give it an alt attribute that says what it shows.",
                    BlockPlaces.near(layout, block.id(), key),
                    block.id()));
        }
    }
}
