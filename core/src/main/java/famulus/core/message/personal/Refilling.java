package famulus.core.message.personal;

import famulus.core.merge.MergeParser;
import famulus.core.merge.Node;
import famulus.core.message.body.Body;
import famulus.core.message.body.RichText;
import famulus.core.message.body.RichText.Paragraph;
import famulus.core.message.body.RichText.Run;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.parser.Parser;

/**
 * Puts fields in the places of words, throughout a message. Each of its texts is shown to somebody who says what to put where;
 * fields that stand there already are not shown, and stay. Addresses are left as they are, and of HTML all but its words.
 */
public final class Refilling extends Rewriting {
    /** Stands for each character of a field in what is shown. */
    public static final char HIDDEN = '\uFFFC';

    /** Parts paragraphs in what is shown. */
    public static final char PARAGRAPH = '\u2029';

    /** Takes a place in what is shown, and none on the screen. */
    private static final char UNSEEN = '\u200b';
    /** Tags, comments, and characters that are written in signs. */
    private static final Pattern TAGS = Pattern.compile("<!--.*?(?:-->|\\z)|<[^<>]*>|&#?\\w{1,12};", Pattern.DOTALL);
    /** What begins or ends a line of its own. */
    private static final Pattern PARTING =
            Pattern.compile("</?(?:p|div|h[1-6]|li|tr|td|th|br|blockquote|ul|ol|table)\\b", Pattern.CASE_INSENSITIVE);

    private final Function<SaidText, List<Refill>> refills;

    /**
     * What a message is made of.
     *
     * @param words those of a plain message; empty for one that has a body
     */
    public record Texts(String subject, String previewText, String words, Optional<Body> body) {}

    /**
     * One text of a message.
     *
     * @param key as {@link MergedText} has it, or of {@link famulus.core.message.body.Keys}
     * @param words what it says, with {@link #HIDDEN} for fields; paragraphs are parted by {@link #PARAGRAPH}
     * @param source the same as it is written, with its fields
     * @param breaks where its words begin to look otherwise, or another paragraph begins: no field reaches over one
     */
    public record SaidText(String key, String words, String source, List<Integer> breaks) {
        public SaidText {
            breaks = List.copyOf(breaks);
        }

        /** Whether a field can take the place of a stretch. */
        public boolean whole(int start, int end) {
            return breaks.stream().noneMatch(at -> start < at && at < end);
        }
    }

    /**
     * What is put into a text.
     *
     * @param start the first character it takes the place of
     * @param end where what follows begins
     * @param written a field in its written form
     */
    public record Refill(int start, int end, String written) {
        /**
         * A stretch of a text with some of these put in; those that don't lie in it whole are left out.
         *
         * @param from where it begins in the text that the places are counted in
         * @param refills in order; of two that reach into each other the first is taken
         */
        static String into(String stretch, int from, List<Refill> refills) {
            StringBuilder written = new StringBuilder();
            int done = 0;
            for (Refill refill : refills) {
                int start = refill.start() - from;
                int end = refill.end() - from;
                if (start < done || end > stretch.length() || refill.written().isEmpty()) {
                    continue;
                }
                written.append(stretch, done, start);
                written.repeat('\\', backslashes(written)).append(refill.written());
                done = end;
            }
            return written.append(stretch, done, stretch.length()).toString();
        }

        /** How many stand at the end: before a brace each of them has to be written twice. */
        private static int backslashes(CharSequence written) {
            int count = 0;
            while (count < written.length() && written.charAt(written.length() - 1 - count) == '\\') {
                count++;
            }
            return count;
        }
    }

    private Refilling(Function<SaidText, List<Refill>> refills) {
        this.refills = refills;
    }

    /**
     * A message with fields put into it.
     *
     * @param refills what to put into a text, in any order; nothing that reaches into another or into a field, or from bold into
     *     plain words, is put in
     */
    public static Texts of(Texts message, Function<SaidText, List<Refill>> refills) {
        Refilling filling = new Refilling(refills);
        return new Texts(
                filling.words(MergedText.SUBJECT, message.subject()),
                filling.words(MergedText.PREVIEW_TEXT, message.previewText()),
                message.body().isPresent() ? "" : filling.words(MergedText.BODY, message.words()),
                message.body().map(filling::body));
    }

    @Override
    String address(String key, String written) {
        return written;
    }

    @Override
    String words(String key, String written) {
        return written.isBlank() ? written : Refill.into(written, 0, asked(key, written, List.of()));
    }

    /** The words of HTML are shown without its tags; no field reaches over one, nor into a word that is written in signs. */
    @Override
    String ownHtml(String key, String source) {
        if (source.isBlank()) {
            return source;
        }
        StringBuilder words = new StringBuilder(shown(source));
        StringBuilder read = new StringBuilder(source);
        Matcher tags = TAGS.matcher(source);
        while (tags.find()) {
            boolean parts = PARTING.matcher(tags.group()).lookingAt();
            for (int at = tags.start(); at < tags.end(); at++) {
                words.setCharAt(at, HIDDEN);
                read.setCharAt(at, UNSEEN);
            }
            String sign = Parser.unescapeEntities(tags.group(), false);
            if (parts || sign.length() == 1) {
                read.setCharAt(tags.start(), parts ? PARAGRAPH : sign.charAt(0));
            }
        }
        SaidText said = new SaidText(key, words.toString(), read.toString(), List.of());
        List<Refill> put = refills.apply(said).stream()
                .filter(refill -> words.substring(refill.start(), refill.end()).indexOf(HIDDEN) < 0)
                .sorted(Comparator.comparingInt(Refill::start))
                .toList();
        return Refill.into(source, 0, put);
    }

    @Override
    RichText rich(String id, RichText text) {
        String all = source(text);
        if (all.isBlank()) {
            return text;
        }
        StringBuilder source = new StringBuilder(all);
        List<Integer> breaks = new ArrayList<>();
        int at = 0;
        for (Paragraph paragraph : text.paragraphs()) {
            for (Run run : paragraph.runs()) {
                at += run.text().length();
                breaks.add(at);
            }
            if (at < source.length()) {
                source.setCharAt(at++, PARAGRAPH);
            }
        }
        return refilled(text, asked(MergedText.rich(id), source.toString(), breaks), marks -> marks);
    }

    private List<Refill> asked(String key, String source, List<Integer> breaks) {
        return refills.apply(new SaidText(key, shown(source), source, breaks)).stream()
                .sorted(Comparator.comparingInt(Refill::start))
                .toList();
    }

    /** A text without its fields. */
    private static String shown(String source) {
        char[] shown = new char[source.length()];
        Arrays.fill(shown, HIDDEN);
        for (Node node : MergeParser.parse(source).all()) {
            if (node instanceof Node.Literal literal) {
                source.getChars(
                        literal.span().start(),
                        literal.span().end(),
                        shown,
                        literal.span().start());
            }
        }
        return new String(shown);
    }
}
