package famulus.core.message.body;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/**
 * Puts texts that are kept elsewhere into a body: what its passages say, and the sender's signature. The blocks that stand
 * for them stay; what they hold is given identifiers of its own, so that one passage may be used twice.
 */
public final class Inserts {
    private Inserts() {}

    /**
     * A kept text.
     *
     * @param name what it is called
     * @param body what it says; passages within it are left out
     */
    public record Insert(String name, Body body) {}

    /** A body with what its passages say now; one that is not there stays empty, and has no name. */
    public static Body passages(Body body, Function<String, Optional<Insert>> kept) {
        return eachBlock(body, block -> {
            if (!(block.content() instanceof Content.Passage passage)) {
                return block;
            }
            Content content = kept.apply(passage.passage())
                    .map(insert ->
                            new Content.Passage(passage.passage(), insert.name(), within(block.id(), insert.body())))
                    .orElseGet(() -> new Content.Passage(passage.passage(), "", List.of()));
            return with(block, content);
        });
    }

    /**
     * A feed as it was read last.
     *
     * @param name what it is called
     * @param entries the newest first
     */
    public record KeptFeed(String name, List<Content.Entry> entries) {}

    /** A body with what its feeds have now; one that is not there stays empty, and has no name. */
    public static Body feeds(Body body, Function<String, Optional<KeptFeed>> kept) {
        return eachBlock(body, block -> {
            if (!(block.content() instanceof Content.Feed feed)) {
                return block;
            }
            KeptFeed found = kept.apply(feed.feed()).orElse(new KeptFeed("", List.of()));
            return with(
                    block, new Content.Feed(feed.feed(), feed.most(), feed.summaries(), found.name(), found.entries()));
        });
    }

    /** A body signed with a designed signature. */
    public static Body signed(Body body, Body signature) {
        return eachBlock(
                body,
                block -> block.content() instanceof Content.Signature
                        ? with(block, new Content.Signature(within(block.id(), signature)))
                        : block);
    }

    /** Whether a body has a block of this kind of content. */
    public static boolean has(Body body, Class<? extends Content> kind) {
        return body.blocks().anyMatch(block -> kind.isInstance(block.content()));
    }

    /** The blocks whose words are written elsewhere: signatures, and passages. By identifier. */
    public static Set<String> writtenElsewhere(Body body) {
        return body.blocks()
                .filter(block ->
                        block.content() instanceof Content.Signature || block.content() instanceof Content.Passage)
                .map(Block::id)
                .collect(Collectors.toSet());
    }

    /** Bands whose identifiers begin as given, so that they can stand beside others; those that do so already stay. */
    public static List<Band> owned(String beginning, List<Band> bands) {
        return renamed(bands, id -> id.startsWith(beginning) ? id : beginning + id);
    }

    private static List<Band> within(String outer, Body body) {
        return renamed(body.bands(), id -> outer + "-" + id);
    }

    private static List<Band> renamed(List<Band> bands, UnaryOperator<String> name) {
        return bands.stream()
                .map(band -> new Band(
                        name.apply(band.id()),
                        columns(
                                band,
                                block -> new Block(
                                        name.apply(block.id()),
                                        block.content(),
                                        block.look(),
                                        block.shownWhen(),
                                        block.hiddenOnSmall())),
                        band.look(),
                        band.shownWhen(),
                        band.hiddenOnSmall()))
                .toList();
    }

    private static Body eachBlock(Body body, UnaryOperator<Block> change) {
        return body.with(body.bands().stream()
                .map(band -> band.with(columns(band, change)))
                .toList());
    }

    private static List<Column> columns(Band band, UnaryOperator<Block> change) {
        return band.columns().stream()
                .map(column -> column.with(column.blocks().stream().map(change).toList()))
                .toList();
    }

    private static Block with(Block block, Content content) {
        return new Block(block.id(), content, block.look(), block.shownWhen(), block.hiddenOnSmall());
    }
}
