package famulus.server.library;

import famulus.core.field.About;
import famulus.core.message.body.Mode;
import famulus.server.library.TemplateShelf.Shelved;
import famulus.server.team.Colleague;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.UUID;

/**
 * Which lines of the library are wanted.
 *
 * @param usable whether only those that somebody may write from
 * @param abouts only templates about these; empty for all
 * @param folders only those in one of these; null for all
 * @param narrowed what else they have to be
 */
record WantedLines(TemplateKind kind, boolean usable, List<About> abouts, Collection<UUID> folders, Narrowed narrowed) {

    /**
     * What templates have to be.
     *
     * @param mine whether only those of whoever asks
     * @param favourite whether only their favourites
     * @param unused whether only those that nobody has written from
     * @param ready whether only those that are ready, or only those that are not; null for all
     * @param mustFix whether only those that nobody could send as they stand
     * @param about only those about these records; null for all
     * @param mode only those that are written so; null for all
     * @param purpose only those for this; null for all
     * @param tag only those that have it, as {@link TemplateTags#key} says; null for all
     * @param language only those that are written in it besides another one, by ISO 639; null for all
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
            boolean mustFix,
            About about,
            Mode mode,
            String purpose,
            String tag,
            String language,
            boolean archived,
            Instant deletedSince,
            Order order) {
        /** All there are, by name. */
        static final Narrowed NOT =
                new Narrowed(false, false, false, null, false, null, null, null, null, null, false, null, Order.NAME);
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

    /** Whether one that stands there is wanted; what is kept of it elsewhere is asked elsewhere. */
    boolean fits(Shelved one, Colleague asking) {
        return (abouts.isEmpty() || abouts.contains(one.about()))
                && (folders == null || folders.contains(one.folder()))
                && (!narrowed.mine() || one.ownerId().equals(asking.id()))
                && wished(narrowed.ready(), one.ready())
                && wished(narrowed.about(), one.about())
                && wished(narrowed.mode(), one.mode())
                && wished(narrowed.purpose(), one.purpose());
    }

    private static boolean wished(Object wanted, Object one) {
        return wanted == null || wanted.equals(one);
    }

    /** All of a kind that somebody may see. */
    static WantedLines of(TemplateKind kind, Collection<UUID> folders, Narrowed narrowed) {
        return new WantedLines(kind, false, List.of(), folders, narrowed);
    }

    /** Templates about any of these that somebody may write from. */
    static WantedLines usable(List<About> abouts) {
        return new WantedLines(TemplateKind.TEMPLATE, true, abouts, null, Narrowed.NOT);
    }
}
