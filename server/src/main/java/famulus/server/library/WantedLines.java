package famulus.server.library;

import famulus.core.field.About;
import famulus.core.message.body.Mode;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.UUID;

/**
 * Which lines of the library are wanted.
 *
 * @param usable whether only those that somebody may write from
 * @param abouts only templates about these; empty for all
 * @param ids only these, variants too; null for all but variants
 * @param recent whether only those that whoever asks has written from, the last one first
 * @param folders only those in one of these; null for all
 * @param narrowed what else they have to be
 * @param byFolder whether they come in the order of their folders, by name in each
 * @param after the line before, where they come in the order of folders; null for the first
 */
record WantedLines(
        TemplateKind kind,
        boolean usable,
        List<About> abouts,
        Collection<UUID> ids,
        boolean recent,
        Collection<UUID> folders,
        Narrowed narrowed,
        boolean byFolder,
        After after,
        int most) {

    /** A line that others follow on: its name, its folder's place, and which it is. */
    record After(String name, int place, UUID id) {}

    /**
     * What templates have to be.
     *
     * @param mine whether only those of whoever asks
     * @param favourite whether only their favourites
     * @param unused whether only those that nobody has written from
     * @param ready whether only those that are ready, or only those that are not; null for all
     * @param about only those about these records; null for all
     * @param mode only those that are written so; null for all
     * @param purpose only those for this; null for all
     * @param tag only those that have it, as {@link TemplateTags#key} says; null for all
     * @param archived those that were archived, in place of those that are not
     * @param deletedSince those that were deleted after this moment and that they may bring back, in place of those that are
     *     there; null for none
     * @param order in which order they come within a folder
     */
    record Narrowed(
            boolean mine,
            boolean favourite,
            boolean unused,
            Boolean ready,
            About about,
            Mode mode,
            String purpose,
            String tag,
            boolean archived,
            Instant deletedSince,
            Order order) {
        /** All there are, by name. */
        static final Narrowed NOT =
                new Narrowed(false, false, false, null, null, null, null, null, false, null, Order.NAME);
    }

    /** In which order lines come within a folder. */
    public enum Order {
        NAME,
        /** Those that most messages were written from first. */
        USED,
        /** Those that were changed last first. */
        CHANGED,
        /** Those that whoever asks used last first. */
        LAST_USED
    }

    /** All of a kind that somebody may see, in the order of folders. */
    static WantedLines of(TemplateKind kind, Collection<UUID> folders, Narrowed narrowed, int most) {
        return new WantedLines(kind, false, List.of(), null, false, folders, narrowed, true, null, most);
    }

    /** Templates about any of these that somebody may write from, by name. */
    static WantedLines usable(List<About> abouts, int most) {
        return new WantedLines(TemplateKind.TEMPLATE, true, abouts, null, false, null, Narrowed.NOT, false, null, most);
    }

    /** Those of some. */
    WantedLines among(Collection<UUID> some) {
        return new WantedLines(kind, usable, abouts, some, false, folders, narrowed, byFolder, null, Integer.MAX_VALUE);
    }

    /** Those that follow on a line. */
    WantedLines after(After line) {
        return new WantedLines(kind, usable, abouts, ids, recent, folders, narrowed, byFolder, line, most);
    }

    /** Those of them that whoever asks has written from, the last ones. */
    WantedLines lastUsed() {
        return new WantedLines(kind, usable, abouts, ids, true, folders, narrowed, byFolder, after, most);
    }

    /** Those of them that are favourites of whoever asks. */
    WantedLines favourites() {
        Narrowed favourite = new Narrowed(false, true, false, null, null, null, null, null, false, null, Order.NAME);
        return new WantedLines(kind, usable, abouts, ids, recent, folders, favourite, byFolder, after, most);
    }

    /** However many there are. */
    WantedLines all() {
        return new WantedLines(kind, usable, abouts, ids, recent, folders, narrowed, byFolder, null, Integer.MAX_VALUE);
    }
}
