package famulus.server.records;

import famulus.server.records.Landmarks.Taken;
import famulus.server.search.Search;
import famulus.server.search.SearchIndex;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;

/**
 * Which records stand where in a list, however long it is: a window of it is read from the index at its place, and what
 * was looked for is gathered first where it is little.
 */
@Component
class RecordOrder {
    /** So many that fit a search are shown; whoever has more is told to look for more. */
    static final int MOST_FOUND = 2_000;
    /** So many that have some words are gathered; of more the list is asked one place after another. */
    private static final int MOST_GATHERED = 4_000;
    /** Of so many the places are read and put in order; more are met soon while the list is read. */
    private static final int FEW_FOUND = 1_000;

    private static final int STRETCH = 1_000;
    /** So far into a list nothing but passing over is needed. */
    private static final int NEAR = 1_000;

    private final RecordIndexMapper mapper;
    private final SearchIndex search;
    private final Landmarks landmarks;

    RecordOrder(RecordIndexMapper mapper, SearchIndex search, Landmarks landmarks) {
        this.mapper = mapper;
        this.search = search;
        this.landmarks = landmarks;
    }

    /**
     * A window of a list.
     *
     * @param total how many records the list has; of what was looked for at most {@link #MOST_FOUND}
     * @param more whether there may be more than {@code total}
     */
    record Window(int total, boolean more, List<UUID> records) {}

    /**
     * Reads a window.
     *
     * @param typed what was looked for; may be empty
     * @param narrowing which records are shown; null for all
     * @param column what the list is sorted by
     * @param from how many records to pass over
     * @param most how many to return
     */
    Window window(
            CrmKind kind, String typed, Narrowing narrowing, String column, boolean descending, int from, int most) {
        Search found = search.find(kind.word(), typed, MOST_GATHERED);
        return narrowing == null
                ? window(kind, found, column, descending, from, most)
                : narrowed(kind, found, narrowing, column, descending, from, most);
    }

    private Window window(CrmKind kind, Search found, String column, boolean descending, int from, int most) {
        if (found.all()) {
            int total = mapper.count(kind.word());
            return new Window(
                    total,
                    false,
                    ids(descending ? down(kind, column, from, most, total) : up(kind, column, from, most, total)));
        }
        if (found.gathered()) {
            Set<UUID> all = Set.copyOf(found.found());
            List<String> places = firstOf(all, kind, column, descending, Math.min(from + most, MOST_FOUND));
            int total = Math.min(all.size(), MOST_FOUND);
            return new Window(total, all.size() > MOST_FOUND, ids(part(places, from, Math.min(most, total - from))));
        }
        // Each word fits many; all of them together may fit few.
        return firstFound(kind, found, null, column, descending, from, most);
    }

    /** The first places of some records, at least {@code most} where there are so many. */
    private List<String> firstOf(Set<UUID> these, CrmKind kind, String column, boolean descending, int most) {
        return these.size() <= FEW_FOUND
                ? sorted(mapper.placesOf(column, these), descending)
                : among(these, kind, column, descending, most);
    }

    /** The first places of some records, for which the list is read from its beginning, a stretch at a time. */
    private List<String> among(Set<UUID> these, CrmKind kind, String column, boolean descending, int most) {
        List<String> places = new ArrayList<>();
        List<PlaceRange> parts =
                descending ? List.of(PlaceRange.something(true), PlaceRange.nothing()) : List.of(PlaceRange.all(false));
        for (PlaceRange part : parts) {
            PlaceRange left = part;
            List<String> stretch = null;
            while (places.size() < most && (stretch == null || stretch.size() == STRETCH)) {
                stretch = mapper.walk(kind.word(), column, left, List.of(), null, 0, STRETCH);
                for (String place : stretch) {
                    if (these.contains(ListPlace.record(place))) {
                        places.add(place);
                    }
                }
                left = stretch.isEmpty() ? left : left.after(stretch.getLast());
            }
        }
        return part(places, 0, most);
    }

    /** Of records that have some words and of those that are shown the fewer are gathered, the others are asked one by one. */
    private Window narrowed(
            CrmKind kind, Search found, Narrowing narrowing, String column, boolean descending, int from, int most) {
        if (found.gathered()) {
            return shown(narrowing.among(found.found()), kind, column, descending, from, most);
        }
        if (!found.all()) {
            return firstFound(kind, found, narrowing, column, descending, from, most);
        }
        Optional<Set<UUID>> few =
                narrowing.number() > Narrowing.FEW ? Optional.empty() : narrowing.gathered(Narrowing.FEW);
        if (few.isPresent()) {
            return shown(few.get(), kind, column, descending, from, most);
        }
        List<String> places = walked(kind, column, descending, found, narrowing, from + most);
        int total = places.size() < from + most ? places.size() : Math.max(places.size(), narrowing.number());
        return new Window(total, false, ids(part(places, from, most)));
    }

    private Window shown(Set<UUID> records, CrmKind kind, String column, boolean descending, int from, int most) {
        List<String> places = firstOf(records, kind, column, descending, from + most);
        return new Window(records.size(), false, ids(part(places, from, most)));
    }

    private Window firstFound(
            CrmKind kind, Search found, Narrowing narrowing, String column, boolean descending, int from, int most) {
        int asked = Math.min(from + most, MOST_FOUND);
        List<String> places = walked(kind, column, descending, found, narrowing, asked + 1);
        boolean more = places.size() > asked;
        int total = more ? MOST_FOUND : places.size();
        return new Window(total, more, ids(part(places, from, Math.min(most, MOST_FOUND - from))));
    }

    private List<String> walked(
            CrmKind kind, String column, boolean descending, Search found, Narrowing narrowed, int most) {
        Narrowing.Statement narrowing = narrowed == null ? null : narrowed.statement();
        if (!descending) {
            return mapper.walk(kind.word(), column, PlaceRange.all(false), found.words(), narrowing, 0, most);
        }
        List<String> places = new ArrayList<>(
                mapper.walk(kind.word(), column, PlaceRange.something(true), found.words(), narrowing, 0, most));
        if (places.size() < most) {
            places.addAll(mapper.walk(
                    kind.word(), column, PlaceRange.nothing(), found.words(), narrowing, 0, most - places.size()));
        }
        return places;
    }

    private List<String> up(CrmKind kind, String column, int from, int most, int total) {
        if (from < NEAR) {
            return mapper.walk(kind.word(), column, PlaceRange.all(false), List.of(), null, from, most);
        }
        List<String> places = from(landmarks.of(kind, column, total), kind, column, from, most);
        // Whoever looks at the very end is not shown less than there is because landmarks are a little old.
        return places.size() < Math.min(most, total - from)
                ? from(landmarks.anew(kind, column), kind, column, from, most)
                : places;
    }

    private List<String> from(Taken marks, CrmKind kind, String column, int from, int most) {
        PlaceRange on = PlaceRange.all(false).from(marks.before(from));
        return mapper.walk(kind.word(), column, on, List.of(), null, marks.past(from), most);
    }

    private List<String> down(CrmKind kind, String column, int from, int most, int total) {
        if (from < NEAR) {
            List<String> places = new ArrayList<>(
                    mapper.walk(kind.word(), column, PlaceRange.something(true), List.of(), null, from, most));
            if (places.size() == most) {
                return places;
            }
            int something = mapper.countPlaces(kind.word(), column, PlaceRange.something(false));
            int passed = Math.max(0, from - something);
            places.addAll(mapper.walk(
                    kind.word(), column, PlaceRange.nothing(), List.of(), null, passed, most - places.size()));
            return places;
        }
        int something = landmarks.of(kind, column, total).something();
        int end = Math.max(0, something - from);
        int begin = Math.max(0, end - most);
        List<String> places = new ArrayList<>(end > begin ? up(kind, column, begin, end - begin, total) : List.of());
        Collections.reverse(places);
        if (places.size() < most) {
            places.addAll(up(kind, column, Math.max(something, from), most - places.size(), total));
        }
        return places;
    }

    private static List<String> sorted(List<String> places, boolean descending) {
        Comparator<String> up = Comparator.naturalOrder();
        if (!descending) {
            return places.stream().sorted(up).toList();
        }
        Comparator<String> nothingLast = Comparator.comparing(place -> place.startsWith(ListPlace.NOTHING));
        return places.stream()
                .sorted(nothingLast.thenComparing((one, other) ->
                        one.startsWith(ListPlace.NOTHING) ? up.compare(one, other) : up.compare(other, one)))
                .toList();
    }

    private static List<String> part(List<String> places, int from, int most) {
        int begin = Math.min(from, places.size());
        return places.subList(begin, Math.min(places.size(), begin + Math.max(0, most)));
    }

    private static List<UUID> ids(List<String> places) {
        return places.stream().map(ListPlace::record).toList();
    }
}
