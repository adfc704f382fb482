package famulus.server.materials;

import famulus.server.materials.PictureService.PictureContent;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;

/**
 * Keeps the copies that were asked for last, since a proof and a list of messages ask for the same ones again and again.
 * A picture is never changed, so that a copy stays good as long as the picture is there; another process makes its own.
 */
final class PictureCopies {
    /** In bytes; some sixty pictures as messages show them. */
    private static final long MOST = 12_000_000;

    private final Map<String, PictureContent> copies = new LinkedHashMap<>(16, 0.75f, true);
    private long bytes;

    /** The copy of a key, as it was kept, else as it is made now. */
    Optional<PictureContent> of(String key, Supplier<Optional<PictureContent>> making) {
        synchronized (copies) {
            PictureContent kept = copies.get(key);
            if (kept != null) {
                return Optional.of(kept);
            }
        }
        // Made outside: drawing takes a while, and two that draw the same at once do no harm.
        Optional<PictureContent> made = making.get();
        made.ifPresent(copy -> keep(key, copy));
        return made;
    }

    private void keep(String key, PictureContent copy) {
        synchronized (copies) {
            PictureContent before = copies.put(key, copy);
            bytes += copy.content().length - (before == null ? 0 : before.content().length);
            var oldest = copies.entrySet().iterator();
            while (bytes > MOST && oldest.hasNext()) {
                bytes -= oldest.next().getValue().content().length;
                oldest.remove();
            }
        }
    }

    /** Lets go of all copies of a picture. */
    void forget(String picture) {
        synchronized (copies) {
            copies.entrySet().removeIf(entry -> {
                boolean of = entry.getKey().startsWith(picture);
                bytes -= of ? entry.getValue().content().length : 0;
                return of;
            });
        }
    }
}
