package famulus.server.records;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;

/**
 * Finds its way into the middle of a long list without passing over all that comes before: every five hundredth place of
 * it is remembered. Records that come and go move a position by as much until the landmarks are taken anew, behind, once
 * they are ten minutes old; whoever reads on from a place misses nothing.
 */
@Component
class Landmarks {
    /** So many places lie between two landmarks. */
    static final int APART = 500;

    private static final Duration GOOD_FOR = Duration.ofMinutes(10);

    private final RecordIndexMapper mapper;
    private final Clock clock;
    private final Map<String, Taken> taken = new ConcurrentHashMap<>();
    private final Set<String> beingTaken = ConcurrentHashMap.newKeySet();

    Landmarks(RecordIndexMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    /**
     * Landmarks of one list.
     *
     * @param places every five hundredth place, the first one first
     * @param something how many records hold something in the column
     * @param total how many there are
     */
    record Taken(List<String> places, int something, int total, Instant at) {
        /** Whether so many have come or gone since that positions are far off. */
        boolean farOff(int now) {
            return Math.abs(now - total) > Math.max(APART, total / 100);
        }

        /** The last landmark up to a position. */
        String before(int position) {
            return places.isEmpty() ? "" : places.get(Math.clamp(position / APART, 0, places.size() - 1));
        }

        /** How many places lie between that landmark and the position. */
        int past(int position) {
            return position - Math.clamp(position / APART, 0, Math.max(0, places.size() - 1)) * APART;
        }
    }

    /**
     * The landmarks of a list, sorted by a column.
     *
     * @param total how many records it has now
     */
    Taken of(CrmKind kind, String column, int total) {
        String list = kind.word() + " " + column;
        Taken before = taken.get(list);
        if (before == null || before.farOff(total)) {
            return take(list, kind, column);
        }
        if (before.at().plus(GOOD_FOR).isBefore(clock.instant()) && beingTaken.add(list)) {
            Thread.ofVirtual().start(() -> {
                try {
                    take(list, kind, column);
                } finally {
                    beingTaken.remove(list);
                }
            });
        }
        return before;
    }

    /** Takes the landmarks of a list anew. */
    Taken anew(CrmKind kind, String column) {
        return take(kind.word() + " " + column, kind, column);
    }

    private Taken take(String list, CrmKind kind, String column) {
        List<String> places = new ArrayList<>();
        List<String> next = mapper.walk(kind.word(), column, PlaceRange.all(false), List.of(), null, 0, 1);
        while (!next.isEmpty()) {
            places.add(next.getFirst());
            PlaceRange on = PlaceRange.all(false).from(places.getLast());
            next = mapper.walk(kind.word(), column, on, List.of(), null, APART, 1);
        }
        int something = mapper.countPlaces(kind.word(), column, PlaceRange.something(false));
        int nothing = mapper.countPlaces(kind.word(), column, PlaceRange.nothing());
        Taken now = new Taken(places, something, something + nothing, clock.instant());
        taken.put(list, now);
        return now;
    }
}
