package famulus.core.message.personal;

import famulus.core.merge.Piece;
import famulus.core.merge.WordsWriter;
import famulus.core.message.body.Band;
import famulus.core.message.body.Block;
import famulus.core.message.body.Body;
import famulus.core.message.body.Column;
import famulus.core.message.body.Content;
import famulus.core.message.body.Keys;
import famulus.core.message.body.Look;
import famulus.core.message.body.RichText;
import famulus.core.message.body.RichText.Marks;
import famulus.core.message.body.RichText.Paragraph;
import famulus.core.message.body.RichText.Run;
import famulus.core.message.body.SlotPieces;
import famulus.core.message.render.Address;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * The blocks of a merged message as those of a message of its own: what is not shown to its reader is gone, choices are made,
 * and a passage that can stand among other blocks is these blocks.
 */
final class PersonalBody extends Rewriting {
    private final SlotPieces pieces;
    private final Map<String, MergedText> texts;
    private final Map<String, String> links;

    /**
     * Makes such bodies.
     *
     * @param texts takes the texts as they are merged, by key
     * @param links takes how addresses with values in them were written, by what they are merged to
     */
    PersonalBody(SlotPieces pieces, Map<String, MergedText> texts, Map<String, String> links) {
        this.pieces = pieces;
        this.texts = texts;
        this.links = links;
    }

    Body of(Body body) {
        return body.with(body.bands().stream()
                .filter(band -> pieces.shown(band.id(), band.shownWhen()))
                .map(this::band)
                .filter(band -> band.blocks().findAny().isPresent())
                .toList());
    }

    private Band band(Band band) {
        List<Column> columns = band.columns().stream()
                .map(column -> new Column(
                        column.share(),
                        column.upright(),
                        column.blocks().stream().flatMap(this::blocks).toList()))
                .toList();
        return new Band(band.id(), columns, band.look(), "", band.hiddenOnSmall());
    }

    private Stream<Block> blocks(Block block) {
        if (!pieces.shown(block.id(), block.shownWhen())) {
            return Stream.empty();
        }
        if (block.content() instanceof Content.Passage passage && standsAlone(block, passage)) {
            return passage.bands().stream()
                    .filter(band -> pieces.shown(band.id(), band.shownWhen()))
                    .flatMap(Band::blocks)
                    .flatMap(this::blocks);
        }
        Content content = content(block.id(), block.content());
        return Stream.of(new Block(block.id(), content, block.look(), "", block.hiddenOnSmall()));
    }

    /** Whether a passage looks the same as blocks among others: it has neither columns nor a ground of its own. */
    private static boolean standsAlone(Block block, Content.Passage passage) {
        return block.look().equals(Look.USUAL)
                && !block.hiddenOnSmall()
                && passage.bands().stream()
                        .allMatch(band ->
                                band.columns().size() == 1 && band.look().equals(Look.USUAL) && !band.hiddenOnSmall());
    }

    /** Lines whose field is missing, or says nothing, are left out as they are when a card is shown. */
    @Override
    List<String> facts(String id, List<String> facts) {
        List<String> said = new ArrayList<>();
        for (int at = 0; at < facts.size(); at++) {
            String key = Keys.fact(id, at);
            if (!pieces.hasGap(key) && !pieces.saysNothing(key)) {
                TextWriter writer = new TextWriter();
                said.add(writer.add(pieces.of(key)));
                texts.put(Keys.fact(id, said.size() - 1), writer.text());
            }
        }
        return said;
    }

    @Override
    String words(String key, String written) {
        if (written.isEmpty()) {
            return "";
        }
        TextWriter writer = new TextWriter();
        String source = writer.add(pieces.of(key));
        texts.put(key, writer.text());
        return source;
    }

    /** An address with its values in it; one that lacks a value stays as it was written. */
    @Override
    String address(String key, String written) {
        if (written.isEmpty()) {
            return "";
        }
        String source = linked(key, written);
        texts.put(key, new MergedText(source, List.of()));
        return source;
    }

    @Override
    RichText rich(String id, RichText text) {
        TextWriter writer = new TextWriter();
        List<Paragraph> paragraphs = new ArrayList<>();
        for (int p = 0; p < text.paragraphs().size(); p++) {
            paragraph(id, p, text.paragraphs().get(p), writer, paragraphs.isEmpty())
                    .ifPresent(paragraphs::add);
        }
        texts.put(MergedText.rich(id), writer.text());
        return new RichText(paragraphs);
    }

    /** Nothing for a paragraph that says nothing to this reader although something is written in it. */
    private Optional<Paragraph> paragraph(String id, int p, Paragraph paragraph, TextWriter writer, boolean first) {
        List<Run> runs = paragraph.runs();
        boolean written = runs.stream().anyMatch(run -> !run.text().isEmpty());
        List<Piece> all = IntStream.range(0, runs.size())
                .boxed()
                .flatMap(r -> pieces.of(Keys.run(id, p, r)).stream())
                .toList();
        if (written && all.stream().noneMatch(PersonalBody::saysSomething)) {
            return Optional.empty();
        }
        if (!first) {
            writer.nextParagraph();
        }
        List<Run> said = new ArrayList<>();
        for (int r = 0; r < runs.size(); r++) {
            String source = writer.add(pieces.of(Keys.run(id, p, r)));
            if (!source.isEmpty()) {
                Marks marks = runs.get(r).marks();
                said.add(new Run(source, linked(marks, Keys.runLink(id, p, r))));
            }
        }
        return Optional.of(new Paragraph(paragraph.kind(), paragraph.align(), paragraph.level(), said));
    }

    private static boolean saysSomething(Piece piece) {
        return switch (piece.origin()) {
            case WRITTEN, RECORD, FALLBACK, CHOSEN, ANSWERED -> !piece.text().isBlank();
            case GAP, ASKED, BROKEN -> true;
            case BLANK, BRANCH, CHOICE_END, CHOICE_PASSED -> false;
        };
    }

    private Marks linked(Marks marks, String key) {
        if (marks.link().isEmpty()) {
            return marks;
        }
        String link = linked(key, marks.link());
        return new Marks(
                marks.bold(), marks.italic(), marks.underline(), marks.strike(), marks.colour(), marks.size(), link);
    }

    private String linked(String key, String written) {
        if (!pieces.complete(key)) {
            return written;
        }
        String source = new WordsWriter().words(Address.merged(pieces.of(key)));
        if (!source.equals(written)) {
            links.put(source, written);
        }
        return source;
    }
}
