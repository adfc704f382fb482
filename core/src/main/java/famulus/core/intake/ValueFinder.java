package famulus.core.intake;

import famulus.core.intake.FoundValue.Proposed;
import famulus.core.prose.WrittenLanguage;
import famulus.core.record.FoldedText;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;

/**
 * Finds in a text what is known of the person it was written to: names, days, amounts, telephone numbers, in whatever way people
 * write them. The longest come first, so that a whole name is one value and not two; case and accents do not matter, and only
 * whole words are found. E.g. of {@code person.first_name} “Zoë” and {@code deal.visit_on} 8 May 2026:
 *
 * <pre>
 *     Dear ZOE, we come on Friday, 8 May.
 *          ---             --------------
 *          {person.first_name else "there"}
 *                          {deal.visit_on as weekday}, {deal.visit_on as day and month}
 * </pre>
 */
public final class ValueFinder {
    private final List<KnownValue> known;
    private final Locale reader;
    private final LocalDate written;
    private final WrittenLanguage language;

    /**
     * A way a text may say a value.
     *
     * @param written what takes its place
     * @param rank how near the value is: 0 for the nearest
     */
    record Saying(int start, int end, KnownValue value, String written, boolean sure, int rank) {
        int length() {
            return end - start;
        }

        private Proposed proposed() {
            return new Proposed(value.path(), value.field(), written);
        }
    }

    /**
     * A finder of values.
     *
     * @param known the values, the nearest first
     * @param language of the text
     * @param reader whose country says how 4/5 is read and what a telephone number there looks like
     * @param written the day the text was written, around which its days lie
     */
    public ValueFinder(List<KnownValue> known, WrittenLanguage language, Locale reader, LocalDate written) {
        this.known = List.copyOf(known);
        this.language = language;
        this.reader = reader;
        this.written = written;
    }

    /** The values a text says, in its order; none reaches into another. */
    public List<FoundValue> in(String text) {
        List<Saying> all = new ArrayList<>();
        FoldedText folded = FoldedText.of(text);
        SaidDates dates = new SaidDates(text, folded, language, reader, written);
        SaidFigures figures = new SaidFigures(text, folded, language, reader);
        SaidWords words = new SaidWords(folded, text, new Defaults(text, language));
        for (int rank = 0; rank < known.size(); rank++) {
            KnownValue value = known.get(rank);
            int nearness = rank;
            Stream.of(words.of(value).stream(), dates.of(value).stream(), figures.of(value).stream())
                    .flatMap(found -> found)
                    .map(said -> new Saying(said.start(), said.end(), value, said.written(), said.sure(), nearness))
                    .forEach(all::add);
        }
        return apart(all);
    }

    /** Of what reaches into each other the longest is taken; fields that say the very same words are one find. */
    private static List<FoundValue> apart(List<Saying> all) {
        all.sort(Comparator.comparingInt(Saying::length)
                .reversed()
                .thenComparing(Saying::sure, Comparator.reverseOrder())
                .thenComparingInt(Saying::rank));
        BitSet taken = new BitSet();
        Map<Integer, List<Saying>> found = new LinkedHashMap<>();
        for (Saying saying : all) {
            List<Saying> same = found.get(saying.start());
            if (same != null && same.getFirst().end() == saying.end()) {
                same.add(saying);
            } else if (taken.get(saying.start(), saying.end()).isEmpty()) {
                taken.set(saying.start(), saying.end());
                found.put(saying.start(), new ArrayList<>(List.of(saying)));
            }
        }
        return found.values().stream()
                .map(same -> new FoundValue(
                        same.getFirst().start(),
                        same.getFirst().end(),
                        same.stream().map(Saying::proposed).distinct().toList(),
                        same.getFirst().sure()))
                .sorted(Comparator.comparingInt(FoundValue::start))
                .toList();
    }
}
