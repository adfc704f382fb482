package famulus.core.prose;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A text as its reader reads it: without the message that is quoted below it, in paragraphs and sentences. A line is a paragraph;
 * a full stop after a figure, a title or a single letter ends no sentence.
 */
public final class Prose {
    private static final Pattern QUOTED = Pattern.compile(
            "^(?:>.*|-{2,} ?(?:Original|Ursprüngliche|Message|Forwarded|Weitergeleitete).*"
                    + "|(?:On|Am|Le) .{4,120}(?:wrote|schrieb.{0,60}|a écrit)\\s?:\\s*"
                    + "|\\*?(?:From|Von|De)\\s?:.{3,200}\\n\\*?(?:Sent|Gesendet|Envoyé|Date|Datum|To|An|À)\\s?:.*)$",
            Pattern.MULTILINE);
    private static final Pattern END =
            Pattern.compile("[.!?…]+[\"”“’»)\\]]*(?=\\s+[\"“„«(¿]?[\\p{Lu}\\p{N}]|\\s*$)|\\n", Pattern.MULTILINE);
    /** What ends with a full stop and no sentence. */
    private static final Pattern SHORTENED = Pattern.compile(
            "(?:^|[^\\p{L}])(?:\\p{L}|\\d{1,2}|Mr|Mrs|Ms|Dr|St|No|Nr|Prof|Ltd|Co|Inc|ca|Tel|bzw|vgl|inkl|zzgl|Mme|Mlle|env|approx|e\\.g|i\\.e|z\\. ?B|u\\. ?a|d\\. ?h|p\\. ex)$");

    private final String text;
    private final List<Stretch> paragraphs = new ArrayList<>();
    private final List<Stretch> sentences = new ArrayList<>();

    /** A part of a text, from its first character to before its last. */
    public record Stretch(int start, int end) {
        /** Its words. */
        public String of(String text) {
            return text.substring(start, end);
        }

        /** Whether a place lies in it. */
        public boolean has(int at) {
            return start <= at && at < end;
        }
    }

    private Prose(String text) {
        this.text = text.substring(0, quoted(text));
        read();
    }

    /** Reads a text. */
    public static Prose of(String text) {
        return new Prose(text);
    }

    /** Where the message begins that is quoted below a text; the end of the text where none is. */
    public static int quoted(String text) {
        Matcher quoted = QUOTED.matcher(text);
        return quoted.find() ? quoted.start() : text.length();
    }

    private void read() {
        int from = 0;
        int paragraph = 0;
        Matcher end = END.matcher(text);
        while (end.find()) {
            boolean line = text.charAt(end.start()) == '\n';
            if (!line && shortened(end)) {
                continue;
            }
            add(sentences, from, line ? end.start() : end.end());
            from = end.end();
            if (line) {
                add(paragraphs, paragraph, end.start());
                paragraph = end.end();
            }
        }
        add(sentences, from, text.length());
        add(paragraphs, paragraph, text.length());
    }

    private boolean shortened(Matcher end) {
        boolean oneStop = end.end() - end.start() == 1 && text.charAt(end.start()) == '.';
        int within = Math.max(0, end.start() - 12);
        return oneStop
                && end.end() < text.length()
                && SHORTENED.matcher(text.substring(within, end.start())).find();
    }

    private void add(List<Stretch> all, int start, int end) {
        int first = start;
        int last = end;
        while (first < last && Character.isWhitespace(text.charAt(first))) {
            first++;
        }
        while (last > first && Character.isWhitespace(text.charAt(last - 1))) {
            last--;
        }
        if (first < last) {
            all.add(new Stretch(first, last));
        }
    }

    /** What is read; places in it are places in the text it was read from. */
    public String text() {
        return text;
    }

    /** Its paragraphs, in order; none is blank. */
    public List<Stretch> paragraphs() {
        return List.copyOf(paragraphs);
    }

    /** Its sentences, in order; none is blank. */
    public List<Stretch> sentences() {
        return List.copyOf(sentences);
    }

    /** The sentence that a place lies in; the whole text where it lies between two. */
    public Stretch sentenceAt(int at) {
        int low = 0;
        int high = sentences.size() - 1;
        while (low <= high) {
            int middle = (low + high) >>> 1;
            Stretch one = sentences.get(middle);
            if (one.has(at)) {
                return one;
            }
            if (one.start() > at) {
                high = middle - 1;
            } else {
                low = middle + 1;
            }
        }
        return new Stretch(0, text.length());
    }
}
