package famulus.core.proof;

import famulus.core.html.HtmlCleaner;
import famulus.core.html.HtmlWords;
import famulus.core.message.MessagePart;
import famulus.core.message.MessageSource.Layout;
import famulus.core.message.body.BodyText.Slot;
import famulus.core.message.body.SlotPieces;
import famulus.core.message.render.MergedHtml;
import famulus.core.proof.Fillers.Filler;
import famulus.core.syntax.Span;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.IntPredicate;

/**
 * {@code filler}: words that were to be replaced before the message leaves, wherever they come from: the template, a passage,
 * a footer, or a value of the record. While a template is written, what it would say to others is read too.
 */
final class FillerCheck implements Check {
    @Override
    public List<Note> read(ProofSubject subject) {
        List<Note> notes = new ArrayList<>();
        for (MessagePart part : MessagePart.values()) {
            Optional<Layout> layout = subject.source().layout(part);
            IntPredicate inHtml = layout.map(FillerCheck::inHtml).orElse(at -> false);
            if (!subject.sending()) {
                String source = subject.source().text(part);
                Fillers.in(source).stream()
                        .filter(one -> !inHtml.test(one.start()))
                        .forEach(one -> notes.add(one.note(part, new Span(one.start(), one.end()), "")));
            }
            MergedPlaces merged = new MergedPlaces(
                    subject.merged().merged(part).pieces(),
                    piece -> !inHtml.test(piece.span().start()));
            Fillers.in(merged.text())
                    .forEach(one -> add(one.note(part, merged.span(one.start(), one.end()), ""), notes));
            layout.ifPresent(one -> html(subject, part, one, notes));
        }
        return notes;
    }

    /** The same words found as written and as merged are one note. */
    private static void add(Note note, List<Note> notes) {
        if (notes.stream().noneMatch(other -> other.part() == note.part() && overlap(other.span(), note.span()))) {
            notes.add(note);
        }
    }

    private static boolean overlap(Span one, Span other) {
        return one.start() < other.end() && other.start() < one.end();
    }

    private static IntPredicate inHtml(Layout layout) {
        List<Slot> html =
                layout.text().slots().stream().filter(slot -> ofHtml(slot)).toList();
        return at -> html.stream().anyMatch(slot -> slot.start() <= at && at < slot.end());
    }

    private static boolean ofHtml(Slot slot) {
        return slot.key().endsWith("/source");
    }

    /** HTML of one's own is read as its reader does: its words, the descriptions of its pictures and where its links lead. */
    private static void html(ProofSubject subject, MessagePart part, Layout layout, List<Note> notes) {
        SlotPieces pieces = new SlotPieces(layout.text(), subject.merged().merged(part));
        for (Slot slot : layout.text().slots()) {
            if (!ofHtml(slot)) {
                continue;
            }
            String written = layout.text().source().substring(slot.start(), slot.end());
            List<String> read = new ArrayList<>(List.of(words(MergedHtml.of(pieces.of(slot.key())))));
            if (!subject.sending()) {
                read.add(words(written));
            }
            for (String words : read) {
                for (Filler one : Fillers.in(words)) {
                    int at = written.indexOf(one.words());
                    Span span = at < 0
                            ? new Span(slot.start(), slot.end())
                            : new Span(
                                    slot.start() + at,
                                    slot.start() + at + one.words().length());
                    add(one.note(part, span, slot.owner()), notes);
                }
            }
        }
    }

    /** Words, descriptions of pictures and addresses. */
    private static String words(String html) {
        return HtmlWords.of(HtmlCleaner.cleanSource(html).html());
    }
}
