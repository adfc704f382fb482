package famulus.core.search;

import famulus.core.record.SearchText;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The line of a text that has most of what was typed, with the places marked. */
public final class HitLine {
    /** So much of a line is shown. */
    private static final int LONGEST = 110;
    /** So much of it before the first place. */
    private static final int AHEAD = 30;
    /** A place that comes later would not be seen in a narrow list. */
    private static final int LATEST = 44;

    private static final Pattern WORD = Pattern.compile("[\\p{L}\\p{N}][\\p{L}\\p{M}\\p{N}]*");

    private HitLine() {}

    /** A stretch of the line; {@code hit} where it is what was typed. */
    public record Part(String text, boolean hit) {}

    private record Place(int start, int end) {}

    /**
     * The line.
     *
     * @param typed words as {@link SearchText#typed} gives them
     * @return nothing where no line has any of them
     */
    public static List<Part> of(String text, List<String> typed) {
        String best = "";
        List<Place> places = List.of();
        int most = 0;
        for (String line : text.split("\\R")) {
            List<Place> found = new ArrayList<>();
            int different = places(line, typed, found);
            if (different > most) {
                most = different;
                best = line;
                places = found;
            }
        }
        return most == 0 ? List.of() : shown(best, places);
    }

    /** Finds the places of a line, and returns how many of the words typed it has. */
    private static int places(String line, List<String> typed, List<Place> found) {
        Set<String> had = new HashSet<>();
        Matcher word = WORD.matcher(line);
        while (word.find()) {
            String folded = SearchText.folded(word.group());
            Optional<String> fitting = typed.stream()
                    .filter(one -> WordFit.of(folded, one).isPresent())
                    .findFirst();
            if (fitting.isPresent()) {
                had.add(fitting.get());
                found.add(place(word, folded, fitting.get()));
            }
        }
        return had.size();
    }

    /** As much of the word as was typed, where folding has left it as long as it was; else all of it. */
    private static Place place(Matcher word, String folded, String typed) {
        int at = folded.indexOf(typed);
        return at >= 0 && folded.length() == word.group().length()
                ? new Place(word.start() + at, word.start() + at + typed.length())
                : new Place(word.start(), word.end());
    }

    private static List<Part> shown(String line, List<Place> places) {
        int from = places.getFirst().start() > LATEST
                ? beginning(line, places.getFirst().start() - AHEAD)
                : 0;
        int to = Math.min(line.length(), from + LONGEST);
        List<Part> parts = new ArrayList<>();
        if (from > 0) {
            parts.add(new Part("… ", false));
        }
        int at = from;
        for (Place place : places) {
            if (place.start() < at || place.end() > to) {
                continue;
            }
            if (place.start() > at) {
                parts.add(new Part(line.substring(at, place.start()), false));
            }
            parts.add(new Part(line.substring(place.start(), place.end()), true));
            at = place.end();
        }
        if (at < to) {
            parts.add(new Part(line.substring(at, to), false));
        }
        if (to < line.length()) {
            parts.add(new Part(" …", false));
        }
        return parts;
    }

    /** The beginning of the word after a place. */
    private static int beginning(String line, int at) {
        int space = line.indexOf(' ', at);
        return space < 0 ? at : space + 1;
    }
}
