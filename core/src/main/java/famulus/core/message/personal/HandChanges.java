package famulus.core.message.personal;

import famulus.core.message.compare.Change.Of;
import famulus.core.message.compare.Change.Stretch;
import famulus.core.message.compare.WordDifference;
import famulus.core.message.personal.MergedText.FilledValue;
import java.util.ArrayList;
import java.util.List;

/**
 * What became of a merged text in somebody's hands, found from the words alone.
 *
 * @param values those that still stand, with where they stand now
 * @param changed what was changed by hand, in order
 */
public record HandChanges(List<Kept> values, List<Changed> changed) {
    public HandChanges {
        values = List.copyOf(values);
        changed = List.copyOf(changed);
    }

    /** A value that still stands as it was merged. */
    public record Kept(int start, int end, FilledValue value) {}

    /**
     * Words that somebody changed.
     *
     * @param start where they begin now; where words were only taken out, the place where they were
     * @param was what stood there
     */
    public record Changed(int start, int end, String was) {}

    /**
     * Finds what was changed.
     *
     * @param merged as merging gave it
     * @param now the source of the text as it is
     */
    public static HandChanges of(MergedText merged, String now) {
        Finder finder = new Finder(merged);
        WordDifference.of(merged.source(), now).forEach(finder::next);
        finder.endChange();
        return new HandChanges(finder.values, finder.changed);
    }

    private static final class Finder {
        private final MergedText merged;
        private final List<Kept> values = new ArrayList<>();
        private final List<Changed> changed = new ArrayList<>();
        private int then;
        private int now;
        /** The change that is being read; its end is where its words end now. */
        private int start = -1;

        private int end;
        private final StringBuilder was = new StringBuilder();
        /** Space that both have, after a change: part of it when another one follows. */
        private String between = "";

        private Finder(MergedText merged) {
            this.merged = merged;
        }

        private void next(Stretch stretch) {
            String text = stretch.text();
            if (stretch.of() == Of.BOTH) {
                both(text);
                return;
            }
            if (start < 0) {
                start = now;
            }
            was.append(between);
            between = "";
            if (stretch.of() == Of.BEFORE) {
                was.append(text);
                then += text.length();
            } else {
                now += text.length();
            }
            end = now;
        }

        private void both(String text) {
            if (start >= 0 && text.isBlank() && text.indexOf('\n') < 0) {
                between = text;
            } else {
                endChange();
            }
            for (FilledValue value : merged.values()) {
                if (value.start() >= then && value.end() <= then + text.length()) {
                    int shift = now - then;
                    values.add(new Kept(value.start() + shift, value.end() + shift, value));
                }
            }
            then += text.length();
            now += text.length();
        }

        private void endChange() {
            if (start >= 0) {
                changed.add(new Changed(start, end, was.toString()));
            }
            start = -1;
            between = "";
            was.setLength(0);
        }
    }
}
