package famulus.core.proof;

import famulus.core.html.HtmlCleaner;
import famulus.core.html.HtmlWords;
import famulus.core.merge.Piece;
import famulus.core.message.MessagePart;
import famulus.core.message.MessageSource.Layout;
import famulus.core.message.body.BodyText.Slot;
import famulus.core.message.body.SlotPieces;
import famulus.core.message.render.MergedHtml;
import famulus.core.prose.FoundWords;
import famulus.core.prose.Prose;
import famulus.core.prose.Prose.Stretch;
import famulus.core.prose.WrittenDate;
import famulus.core.prose.WrittenDates;
import famulus.core.prose.WrittenLanguage;
import famulus.core.syntax.Span;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * One text of a message as it will be read, and where its words were written: without addresses, conditions, descriptions of
 * pictures and what a style says around it; own HTML by its words.
 */
final class ProseText {
    private static final List<String> UNREAD = List.of("/link", "/source", "/when", "/end", "/description", "/day");

    private final MessagePart part;
    private final String block;
    private final Prose prose;
    private final WrittenLanguage language;
    private final Places places;
    private final Kind kind;
    private final FoundWords found;
    private List<WrittenDate> dates;

    /** Where the words of a text were written. */
    private interface Places {
        /** A stretch of the text in its source. */
        Span span(int start, int end);

        /** Whether it stands there letter by letter, so that a part of it can be replaced. */
        boolean literal(int start, int end);
    }

    private ProseText(MessagePart part, String block, String text, WrittenLanguage language, Places places, Kind kind) {
        this.part = part;
        this.block = block;
        this.prose = Prose.of(text);
        this.found = FoundWords.in(prose.text());
        this.language = language;
        this.places = places;
        this.kind = kind;
    }

    /** What a text is within its message. */
    private enum Kind {
        WORDS,
        /** Words with links among them. */
        LINKED,
        /** What a style says around the words. */
        AROUND
    }

    /** A text that is in no message yet. */
    static ProseText of(String text, WrittenLanguage language) {
        Places places = new Places() {
            @Override
            public Span span(int start, int end) {
                return new Span(start, end);
            }

            @Override
            public boolean literal(int start, int end) {
                return true;
            }
        };
        return new ProseText(MessagePart.BODY, "", text, language, places, Kind.WORDS);
    }

    /** The texts of a message; none for one in a language that is not known. */
    static List<ProseText> of(ProofSubject subject) {
        MergedPlaces body = words(subject, MessagePart.BODY, false);
        List<Html> html = html(subject);
        String all = body.text() + html.stream().map(Html::words).collect(Collectors.joining("\n", "\n", ""));
        Optional<WrittenLanguage> told =
                WrittenLanguage.of(all, subject.around().reader());
        if (told.isEmpty()) {
            return List.of();
        }
        WrittenLanguage language = told.get();
        List<ProseText> texts = new ArrayList<>();
        for (MessagePart part : List.of(MessagePart.SUBJECT, MessagePart.PREVIEW_TEXT)) {
            texts.add(of(part, words(subject, part, false), language, Kind.WORDS));
        }
        texts.add(of(MessagePart.BODY, body, language, links(subject) ? Kind.LINKED : Kind.WORDS));
        html.forEach(one -> texts.add(new ProseText(
                one.part(),
                one.slot().owner(),
                one.words(),
                language,
                one,
                one.around() ? Kind.AROUND : one.written().contains("href") ? Kind.LINKED : Kind.WORDS)));
        if (subject.source().own().isPresent()) {
            MessagePart own = MessagePart.PLAIN_TEXT;
            texts.add(of(own, words(subject, own, false), language, Kind.WORDS));
        }
        MessagePart style = subject.source().layout().isPresent() ? MessagePart.BODY : MessagePart.AROUND;
        texts.add(of(style, words(subject, style, true), language, Kind.AROUND));
        return texts;
    }

    private static boolean links(ProofSubject subject) {
        return subject.source().layout().stream()
                .flatMap(layout -> layout.text().slots().stream()
                        .filter(slot -> !layout.text().ofHouseStyle(slot.start())))
                .anyMatch(slot -> slot.key().endsWith("/link"));
    }

    private static ProseText of(MessagePart part, MergedPlaces words, WrittenLanguage language, Kind kind) {
        Places places = new Places() {
            @Override
            public Span span(int start, int end) {
                return words.span(start, end);
            }

            @Override
            public boolean literal(int start, int end) {
                return words.literal(start, end);
            }
        };
        return new ProseText(part, "", words.text(), language, places, kind);
    }

    private static MergedPlaces words(ProofSubject subject, MessagePart part, boolean ofStyle) {
        Predicate<Piece> read = subject.source()
                .layout(part)
                .<Predicate<Piece>>map(
                        layout -> piece -> read(layout, piece.span().start(), ofStyle))
                .orElse(piece -> !ofStyle);
        return new MergedPlaces(subject.merged().merged(part).pieces(), read);
    }

    private static boolean read(Layout layout, int at, boolean ofStyle) {
        return layout.text().ofHouseStyle(at) == ofStyle
                && layout.text()
                        .slotAt(at)
                        .filter(slot -> at < slot.end())
                        .map(slot -> UNREAD.stream().noneMatch(slot.key()::endsWith))
                        .orElse(true);
    }

    /** Own HTML: its words stand somewhere in its source, mostly as they are. */
    private record Html(MessagePart part, Slot slot, boolean around, String written, String words) implements Places {
        @Override
        public Span span(int start, int end) {
            int at = written.indexOf(words.substring(start, end));
            return at < 0
                    ? new Span(slot.start(), slot.end())
                    : new Span(slot.start() + at, slot.start() + at + end - start);
        }

        @Override
        public boolean literal(int start, int end) {
            return written.contains(words.substring(start, end));
        }
    }

    private static List<Html> html(ProofSubject subject) {
        return Stream.of(MessagePart.BODY, MessagePart.AROUND)
                .flatMap(part -> subject.source().layout(part).stream().flatMap(layout -> html(part, layout, subject)))
                .toList();
    }

    private static Stream<Html> html(MessagePart part, Layout layout, ProofSubject subject) {
        SlotPieces pieces = new SlotPieces(layout.text(), subject.merged().merged(part));
        return layout.text().slots().stream()
                .filter(slot -> slot.key().endsWith("/source"))
                .filter(slot -> !pieces.of(slot.key()).isEmpty())
                .map(slot -> new Html(
                        part,
                        slot,
                        layout.text().ofHouseStyle(slot.start()),
                        layout.text().source().substring(slot.start(), slot.end()),
                        words(MergedHtml.of(pieces.of(slot.key())))));
    }

    private static String words(String html) {
        return HtmlWords.of(HtmlCleaner.cleanSource(html).html());
    }

    /** Which text of the message it is. */
    MessagePart part() {
        return part;
    }

    /** Whether it has links besides its words. */
    boolean links() {
        return kind == Kind.LINKED;
    }

    /** Whether its sender says it: anywhere but in what a style says around it. */
    boolean ofMessage() {
        return kind != Kind.AROUND;
    }

    /** Whether its sender says it, in the body; not what a style says around it. */
    boolean ofBody() {
        return part == MessagePart.BODY && kind != Kind.AROUND;
    }

    /** What is read. */
    Prose prose() {
        return prose;
    }

    /** The words of a stretch. */
    String words(Stretch stretch) {
        return stretch.of(prose.text());
    }

    /** The language of the whole message. */
    WrittenLanguage language() {
        return language;
    }

    /** The days it names, in its order; looked for once. */
    List<WrittenDate> dates(Locale reader) {
        if (dates == null) {
            dates = WrittenDates.in(prose.text(), language, reader);
        }
        return dates;
    }

    /** Where the words kept under a key stand; capitals don't matter. */
    List<Stretch> all(String key) {
        return all(language.pattern(key));
    }

    /** Where a pattern holds. */
    List<Stretch> all(Pattern pattern) {
        return found.all(pattern);
    }

    /** Whether a sentence has words kept under a key. */
    boolean has(Stretch sentence, String key) {
        return FoundWords.has(words(sentence), language.pattern(key));
    }

    /** Where a stretch was written. */
    Span span(Stretch stretch) {
        return places.span(stretch.start(), stretch.end());
    }

    /** A note about a stretch that is dealt with by hand. */
    Note note(String code, Note.Level level, String title, String remedy, Stretch about) {
        return note(code, level, title, remedy, about, List.of());
    }

    /**
     * A note about a stretch.
     *
     * @param instead what may have been meant in its place; not offered where the stretch is a value of a record
     */
    Note note(String code, Note.Level level, String title, String remedy, Stretch about, List<String> instead) {
        List<String> nearest = places.literal(about.start(), about.end()) ? instead : List.of();
        return new Note(code, level, title, remedy, part, span(about), nearest).inBlock(block);
    }
}
