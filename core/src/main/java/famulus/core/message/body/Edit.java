package famulus.core.message.body;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * A change of a body that can be undone: undoing is doing {@link #inverse}. An edit names what it touches by identifier,
 * so that it still fits a body that somebody else has changed elsewhere meanwhile.
 */
public sealed interface Edit {

    /**
     * Where a block stands.
     *
     * @param band the identifier of its band
     * @param column counted from 0
     * @param at how many blocks of the column stand before it
     */
    record Place(String band, int column, int at) {}

    /** Puts a block in. */
    record Insert(Block block, Place place) implements Edit {}

    /** Takes a block out. */
    record Remove(String block) implements Edit {}

    /** Moves a block; the place is counted without it. */
    record Move(String block, Place to) implements Edit {}

    /** Puts another block of the same identifier in the place of one. */
    record Change(Block block) implements Edit {}

    /** Parts a text block before a paragraph; what follows becomes a block of its own below it. */
    record Split(String block, int paragraph, String second) implements Edit {}

    /** Joins a text block with the one below it, which is gone then. */
    record Join(String block, String second) implements Edit {}

    /** Puts a band in before the one that is {@code at}. */
    record InsertBand(Band band, int at) implements Edit {}

    /** Takes a band out with all that is in it. */
    record RemoveBand(String band) implements Edit {}

    /**
     * The body after it.
     *
     * @return empty when it does not fit: a block or place it names is not there, or an identifier is there already
     */
    default Optional<Body> on(Body body) {
        return switch (this) {
            case Insert insert ->
                body.block(insert.block().id()).isPresent()
                        ? Optional.empty()
                        : inserted(body, insert.block(), insert.place());
            case Remove remove -> body.block(remove.block()).map(block -> without(body, block.id()));
            case Move move ->
                body.block(move.block()).flatMap(block -> inserted(without(body, block.id()), block, move.to()));
            case Change change ->
                body.block(change.block().id()).map(block -> replaced(body, block.id(), List.of(change.block())));
            case Split split -> split(body, split);
            case Join join -> join(body, join);
            case InsertBand insert -> insertBand(body, insert);
            case RemoveBand remove ->
                indexOf(body, remove.band()).map(at -> {
                    List<Band> bands = new ArrayList<>(body.bands());
                    bands.remove((int) at);
                    return body.with(bands);
                });
        };
    }

    /**
     * What takes it back.
     *
     * @param before the body it has been, or is to be, done on
     * @return empty when it does not fit that body
     */
    default Optional<Edit> inverse(Body before) {
        if (on(before).isEmpty()) {
            return Optional.empty();
        }
        return switch (this) {
            case Insert insert -> Optional.of(new Remove(insert.block().id()));
            case Remove remove ->
                before.block(remove.block())
                        .flatMap(block -> placeOf(before, block.id()).map(place -> new Insert(block, place)));
            case Move move -> placeOf(before, move.block()).map(place -> new Move(move.block(), place));
            case Change change -> before.block(change.block().id()).map(Change::new);
            case Split split -> Optional.of(new Join(split.block(), split.second()));
            case Join join ->
                before.block(join.block())
                        .map(block -> new Split(
                                join.block(),
                                ((Content.Text) block.content())
                                        .text()
                                        .paragraphs()
                                        .size(),
                                join.second()));
            case InsertBand insert -> Optional.of(new RemoveBand(insert.band().id()));
            case RemoveBand remove ->
                indexOf(before, remove.band())
                        .map(at -> new InsertBand(before.bands().get(at), at));
        };
    }

    /** Where a block stands. */
    static Optional<Place> placeOf(Body body, String id) {
        for (Band band : body.bands()) {
            for (int column = 0; column < band.columns().size(); column++) {
                List<Block> blocks = band.columns().get(column).blocks();
                for (int at = 0; at < blocks.size(); at++) {
                    if (blocks.get(at).id().equals(id)) {
                        return Optional.of(new Place(band.id(), column, at));
                    }
                }
            }
        }
        return Optional.empty();
    }

    private static Optional<Integer> indexOf(Body body, String band) {
        for (int at = 0; at < body.bands().size(); at++) {
            if (body.bands().get(at).id().equals(band)) {
                return Optional.of(at);
            }
        }
        return Optional.empty();
    }

    private static Optional<Body> insertBand(Body body, InsertBand insert) {
        boolean known = indexOf(body, insert.band().id()).isPresent()
                || insert.band().blocks().anyMatch(block -> body.block(block.id())
                        .isPresent());
        if (known || insert.at() < 0 || insert.at() > body.bands().size()) {
            return Optional.empty();
        }
        List<Band> bands = new ArrayList<>(body.bands());
        bands.add(insert.at(), insert.band());
        return Optional.of(body.with(bands));
    }

    private static Optional<Body> inserted(Body body, Block block, Place place) {
        return indexOf(body, place.band())
                .map(at -> body.bands().get(at))
                .filter(band -> place.column() >= 0
                        && place.column() < band.columns().size()
                        && place.at() >= 0
                        && place.at()
                                <= band.columns().get(place.column()).blocks().size())
                .map(band -> changed(body, band.id(), place.column(), blocks -> {
                    List<Block> more = new ArrayList<>(blocks);
                    more.add(place.at(), block);
                    return more;
                }));
    }

    private static Body without(Body body, String id) {
        return replaced(body, id, List.of());
    }

    private static Body replaced(Body body, String id, List<Block> by) {
        Place place = placeOf(body, id).orElseThrow();
        return changed(body, place.band(), place.column(), blocks -> {
            List<Block> other = new ArrayList<>(blocks);
            other.remove(place.at());
            other.addAll(place.at(), by);
            return other;
        });
    }

    private static Body changed(Body body, String bandId, int column, UnaryOperator<List<Block>> change) {
        List<Band> bands = new ArrayList<>(body.bands());
        bands.replaceAll(band -> {
            if (!band.id().equals(bandId)) {
                return band;
            }
            List<Column> columns = new ArrayList<>(band.columns());
            Column before = columns.get(column);
            columns.set(column, before.with(change.apply(before.blocks())));
            return band.with(columns);
        });
        return body.with(bands);
    }

    private static Optional<Body> split(Body body, Split split) {
        if (body.block(split.second()).isPresent()) {
            return Optional.empty();
        }
        return body.block(split.block())
                .filter(block -> block.content() instanceof Content.Text)
                .flatMap(block -> {
                    List<RichText.Paragraph> all =
                            ((Content.Text) block.content()).text().paragraphs();
                    if (split.paragraph() < 0 || split.paragraph() > all.size()) {
                        return Optional.empty();
                    }
                    Block first = withText(block, block.id(), all.subList(0, split.paragraph()));
                    Block second = withText(block, split.second(), all.subList(split.paragraph(), all.size()));
                    return Optional.of(replaced(body, block.id(), List.of(first, second)));
                });
    }

    private static Optional<Body> join(Body body, Join join) {
        Optional<Place> first = placeOf(body, join.block());
        Optional<Place> second = placeOf(body, join.second());
        boolean below = first.isPresent()
                && second.isPresent()
                && second.get()
                        .equals(new Place(
                                first.get().band(),
                                first.get().column(),
                                first.get().at() + 1));
        if (!below) {
            return Optional.empty();
        }
        Block one = body.block(join.block()).orElseThrow();
        Block other = body.block(join.second()).orElseThrow();
        // Only blocks that look and hold alike can be told apart again by taking it back.
        if (!(one.content() instanceof Content.Text a)
                || !(other.content() instanceof Content.Text b)
                || !one.look().equals(other.look())
                || !one.shownWhen().equals(other.shownWhen())
                || one.hiddenOnSmall() != other.hiddenOnSmall()) {
            return Optional.empty();
        }
        List<RichText.Paragraph> all = new ArrayList<>(a.text().paragraphs());
        all.addAll(b.text().paragraphs());
        return Optional.of(replaced(without(body, other.id()), one.id(), List.of(withText(one, one.id(), all))));
    }

    private static Block withText(Block like, String id, List<RichText.Paragraph> paragraphs) {
        return new Block(
                id, new Content.Text(new RichText(paragraphs)), like.look(), like.shownWhen(), like.hiddenOnSmall());
    }
}
