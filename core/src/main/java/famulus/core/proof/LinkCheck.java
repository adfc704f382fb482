package famulus.core.proof;

import famulus.core.html.HtmlWords;
import famulus.core.merge.Piece;
import famulus.core.message.MessagePart;
import famulus.core.message.MessageSource.Layout;
import famulus.core.message.body.Band;
import famulus.core.message.body.Block;
import famulus.core.message.body.BodyText.Slot;
import famulus.core.message.body.Content;
import famulus.core.message.body.Keys;
import famulus.core.message.body.SlotPieces;
import famulus.core.message.render.Address;
import famulus.core.message.render.MergedHtml;
import famulus.core.proof.Destinations.Nowhere;
import famulus.core.syntax.Problem;
import famulus.core.syntax.Span;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;

/**
 * {@code link-nowhere}: a button without an address, or an address that can't lead anywhere: none, {@code #}, a bare scheme, a
 * placeholder, one with a space in it, or of a kind that mail programs don't open. Links, links of a writer's own HTML and
 * addresses in text are judged as they leave, with values in them escaped; so are those of headers, footers and passages.
 */
final class LinkCheck implements Check {
    @Override
    public List<Note> read(ProofSubject subject) {
        List<Note> notes = new ArrayList<>();
        for (MessagePart part : MessagePart.values()) {
            Optional<Layout> layout = subject.source().layout(part);
            Predicate<Piece> plain =
                    layout.<Predicate<Piece>>map(LinkCheck::inText).orElse(piece -> true);
            MergedPlaces merged = new MergedPlaces(subject.merged().merged(part).pieces(), plain);
            for (Nowhere one : Destinations.inText(merged.text())) {
                notes.add(note(part, "“" + one.address() + "”", one.why(), merged.span(one.start(), one.end()), ""));
            }
            layout.ifPresent(one -> {
                List<Note> found = new ArrayList<>();
                read(subject, part, one, found);
                found.forEach(note -> notes.add(note.in(part)));
            });
        }
        return notes;
    }

    /** Words that are no links themselves; those of a link are judged by where it leads. */
    private static Predicate<Piece> inText(Layout layout) {
        Set<String> keys = layout.text().slots().stream().map(Slot::key).collect(Collectors.toSet());
        BitSet aside = new BitSet(layout.text().source().length());
        layout.text().slots().stream()
                .filter(slot -> slot.key().endsWith("/link")
                        || slot.key().endsWith("/source")
                        || keys.contains(slot.key() + "/link"))
                .forEach(slot -> aside.set(slot.start(), slot.end()));
        return piece -> !aside.get(piece.span().start());
    }

    private static void read(ProofSubject subject, MessagePart part, Layout layout, List<Note> notes) {
        SlotPieces pieces = new SlotPieces(layout.text(), subject.merged().merged(part));
        Stream.of(
                        layout.design().body().bands(),
                        layout.design().above(),
                        layout.design().below())
                .flatMap(List::stream)
                .forEach(band -> missing(band, layout, pieces, subject.sending(), notes));
        for (Slot slot : layout.text().slots()) {
            List<Piece> merged = pieces.of(slot.key());
            boolean shown = !merged.isEmpty();
            if (subject.sending() && !shown) {
                continue;
            }
            String written = layout.text().source().substring(slot.start(), slot.end());
            if (slot.key().endsWith("/source")) {
                html(
                        slot,
                        layout,
                        shown ? MergedHtml.of(merged) : written,
                        shown && pieces.complete(slot.key()),
                        notes);
            } else if (slot.key().endsWith("/link")) {
                link(slot, layout, written, shown && pieces.complete(slot.key()) ? merged : List.of(), notes);
            }
        }
    }

    private static void link(Slot slot, Layout layout, String written, List<Piece> merged, List<Note> notes) {
        boolean fields = written.indexOf('{') >= 0;
        // Whether an address with fields in it leads somewhere can be told only where all of them are filled.
        if (fields && merged.isEmpty()) {
            return;
        }
        String address = fields ? Address.merged(merged) : written.strip();
        Optional<Problem.Fix> fix = Destinations.lacksOnlyItsBeginning(written.strip())
                ? Optional.of(
                        new Problem.Fix("Put https:// before it", new Span(slot.start(), slot.start()), "https://"))
                : Optional.empty();
        Destinations.wrong(address)
                .map(why -> new Note(
                                StopCode.LINK_NOWHERE.code(),
                                Note.Level.STOP,
                                what(slot, layout) + " leads nowhere",
                                why,
                                MessagePart.BODY,
                                new Span(slot.start(), slot.end()),
                                List.of(),
                                fix)
                        .inBlock(slot.owner()))
                .ifPresent(notes::add);
    }

    /** @param complete whether every field in it is filled, so that the addresses are whole */
    private static void html(Slot slot, Layout layout, String html, boolean complete, List<Note> notes) {
        String written = layout.text().source().substring(slot.start(), slot.end());
        Document document = Jsoup.parse(html);
        document.select("a[href], area[href]").forEach(link -> {
            String address = link.attr("href").strip();
            if (complete || address.indexOf('{') < 0) {
                Destinations.wrong(address)
                        .ifPresent(why -> notes.add(note(
                                MessagePart.BODY,
                                "The link “" + link.text() + "”",
                                why,
                                place(slot, written, address),
                                slot.owner())));
            }
        });
        document.select("a, script, style").remove();
        String words = HtmlWords.of(document.body().html());
        for (Nowhere one : Destinations.inText(words)) {
            notes.add(note(
                    MessagePart.BODY,
                    "“" + one.address() + "”",
                    one.why(),
                    place(slot, written, one.address()),
                    slot.owner()));
        }
    }

    /** Where something was written, when it was written so; what a field gave stands somewhere in the whole. */
    private static Span place(Slot slot, String written, String words) {
        int at = words.isEmpty() ? -1 : written.indexOf(words);
        return at < 0
                ? new Span(slot.start(), slot.end())
                : new Span(slot.start() + at, slot.start() + at + words.length());
    }

    private static Note note(MessagePart part, String what, String why, Span span, String block) {
        return new Note(
                        StopCode.LINK_NOWHERE.code(),
                        Note.Level.STOP,
                        what + " leads nowhere",
                        why,
                        part,
                        span,
                        List.of())
                .inBlock(block);
    }

    /** Blocks without an address, those of passages too; such as this person is not shown are not judged for them. */
    private static void missing(Band band, Layout layout, SlotPieces pieces, boolean sending, List<Note> notes) {
        if (sending && !shown(band.id(), band.shownWhen(), pieces)) {
            return;
        }
        band.blocks()
                .filter(block -> !sending || shown(block.id(), block.shownWhen(), pieces))
                .forEach(block -> {
                    missing(block, layout, notes);
                    block.content().inside().forEach(one -> missing(one, layout, pieces, sending, notes));
                });
    }

    private static boolean shown(String id, String shownWhen, SlotPieces pieces) {
        return shownWhen.isBlank()
                || pieces.of(Keys.when(id)).stream()
                        .anyMatch(piece -> piece.origin() == famulus.core.merge.Origin.BRANCH);
    }

    /** Buttons, stills and social links are nothing without an address. */
    private static void missing(Block block, Layout layout, List<Note> notes) {
        switch (block.content()) {
            case Content.Button button -> {
                if (button.link().isBlank()) {
                    notes.add(nowhere(block, layout, "The button", Keys.label(block.id())));
                }
            }
            case Content.VideoStill still -> {
                if (still.address().isBlank()) {
                    notes.add(nowhere(block, layout, "The video still", Keys.description(block.id())));
                }
            }
            case Content.SocialLinks links -> {
                for (int i = 0; i < links.links().size(); i++) {
                    if (links.links().get(i).address().isBlank()) {
                        notes.add(nowhere(block, layout, "A social link", Keys.fact(block.id(), i)));
                    }
                }
            }
            case Content.Text other -> {}
            case Content.Picture other -> {}
            case Content.Pairing other -> {}
            case Content.Divider other -> {}
            case Content.Spacer other -> {}
            case Content.Items other -> {}
            case Content.Event other -> {}
            case Content.Card other -> {}
            case Content.Signature other -> {}
            case Content.Passage other -> {}
            case Content.Feed other -> {}
            case Content.OwnHtml other -> {}
            case Content.Unknown other -> {}
        }
    }

    private static Note nowhere(Block block, Layout layout, String what, String near) {
        return Note.ofBlock(
                StopCode.LINK_NOWHERE.code(),
                Note.Level.STOP,
                what + " leads nowhere",
                "Give it an address.",
                BlockPlaces.near(layout, block.id(), near),
                block.id());
    }

    private static String what(Slot slot, Layout layout) {
        if (layout.text().ofHouseStyle(slot.start())) {
            return "A link of the header, footer or small print";
        }
        return layout.design()
                .body()
                .block(slot.owner())
                .map(block -> switch (block.content()) {
                    case Content.Button button -> "The button";
                    case Content.Picture picture -> "The picture";
                    case Content.VideoStill still -> "The video still";
                    case Content.SocialLinks links -> "A social link";
                    case Content.Text other -> "A link";
                    case Content.Pairing other -> "A link";
                    case Content.Divider other -> "A link";
                    case Content.Spacer other -> "A link";
                    case Content.Items other -> "A link";
                    case Content.Event other -> "A link";
                    case Content.Card other -> "A link";
                    case Content.Signature other -> "A link";
                    case Content.Passage other -> "A link";
                    case Content.Feed other -> "A link";
                    case Content.OwnHtml other -> "A link";
                    case Content.Unknown other -> "A link";
                })
                .orElse("A link");
    }
}
