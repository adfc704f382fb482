package famulus.core.prose;

import famulus.core.prose.Prose.Stretch;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Finds patterns in a text, most of whose lines have been read before: those of one message are alike whoever gets it, and stay as
 * they are while somebody writes in another one. Where a pattern holds is remembered by line, and found once.
 *
 * <p>What is found is what {@link Matcher#find()} finds in the whole text, for patterns that reach no more than {@value #AHEAD}
 * characters beyond the end of the line they begin in.
 */
public final class FoundWords {
    /** So far into the lines that follow a pattern is looked for. */
    private static final int AHEAD = 60;
    /** What stands so far before a pattern may decide on it. */
    private static final int BACK = 8;
    /** Longer lines are read each time: to keep them would take more than it gives. */
    private static final int LONGEST = 2_000;
    /** So many lines are remembered, and as many of those before them. */
    private static final int MOST = 2_000;

    /** What says where a text, rather than a word, begins or ends; such a pattern is looked for in the whole of it. */
    private static final Pattern ANCHORS = Pattern.compile("(?<![\\[\\\\])\\^|(?<!\\\\)\\$|\\\\[AzZG]|\\(\\?\\w*m");

    private static final Map<Pattern, Boolean> BY_LINE = new ConcurrentHashMap<>();
    private static volatile Map<String, Line> lines = new ConcurrentHashMap<>();
    private static volatile Map<String, Line> before = Map.of();

    private final String text;
    private List<Placed> placed;

    /** A line, and where it begins in the text. */
    private record Placed(int start, Line line) {}

    private FoundWords(String text) {
        this.text = text;
    }

    /** A text to be looked through. */
    public static FoundWords in(String text) {
        return new FoundWords(text);
    }

    /** Whether a pattern holds anywhere in a sentence or line, which stands by itself. */
    public static boolean has(String sentence, Pattern pattern) {
        return line(sentence, 0, sentence.length()).found(pattern).length > 0;
    }

    /** Where a pattern holds, in order; no two places overlap. */
    public List<Stretch> all(Pattern pattern) {
        List<Stretch> found = new ArrayList<>();
        if (!BY_LINE.computeIfAbsent(
                pattern, one -> !ANCHORS.matcher(one.pattern()).find())) {
            Matcher matcher = pattern.matcher(text);
            while (matcher.find()) {
                found.add(new Stretch(matcher.start(), matcher.end()));
            }
            return found;
        }
        int end = 0;
        for (Placed one : placed()) {
            int[] places = one.line().found(pattern);
            for (int i = 0; i < places.length; i += 2) {
                int start = one.start() + places[i];
                if (start >= end) {
                    end = one.start() + places[i + 1];
                    found.add(new Stretch(start, end));
                }
            }
        }
        return found;
    }

    private List<Placed> placed() {
        if (placed == null) {
            placed = new ArrayList<>();
            int start = 0;
            while (start < text.length()) {
                int next = Math.min(text.length(), end(start) + 1);
                // With what stands before it, and whole lines after it, so that all looks as it does in the text.
                int from = Math.max(0, start - BACK);
                int to = next;
                while (to < text.length() && to < next + AHEAD) {
                    to = Math.min(text.length(), end(to) + 1);
                }
                placed.add(new Placed(from, line(text.substring(from, to), start - from, next - from)));
                start = next;
            }
        }
        return placed;
    }

    private int end(int from) {
        int end = text.indexOf('\n', from);
        return end < 0 ? text.length() : end;
    }

    private static Line line(String words, int from, int to) {
        if (words.length() > LONGEST) {
            return new Line(words, from, to);
        }
        // What follows a line, and whether something stands before it, is part of what is remembered.
        String key = from + " " + to + " " + words;
        Line known = lines.get(key);
        if (known == null) {
            known = before.get(key);
            if (known == null) {
                known = new Line(words, from, to);
            }
            remember(key, known);
        }
        return known;
    }

    private static void remember(String key, Line line) {
        Map<String, Line> now = lines;
        if (now.size() >= MOST) {
            before = now;
            now = new ConcurrentHashMap<>();
            lines = now;
        }
        now.put(key, line);
    }

    /** A line among what stands around it, which remembers where patterns begin in it. */
    private static final class Line {
        private static final int[] NOWHERE = {};

        private final String words;
        private final int from;
        private final int to;
        private final Map<Pattern, int[]> found = new ConcurrentHashMap<>();

        private Line(String words, int from, int to) {
            this.words = words;
            this.from = from;
            this.to = to;
        }

        /** Starts and ends in turn, of what begins in the line. */
        int[] found(Pattern pattern) {
            int[] known = found.get(pattern);
            if (known == null) {
                known = find(pattern);
                found.put(pattern, known);
            }
            return known;
        }

        private int[] find(Pattern pattern) {
            Matcher matcher = pattern.matcher(words)
                    .useTransparentBounds(true)
                    .useAnchoringBounds(false)
                    .region(from, words.length());
            List<Integer> places = new ArrayList<>();
            while (matcher.find() && matcher.start() < to) {
                places.add(matcher.start());
                places.add(matcher.end());
            }
            return places.isEmpty()
                    ? NOWHERE
                    : places.stream().mapToInt(Integer::intValue).toArray();
        }
    }
}
