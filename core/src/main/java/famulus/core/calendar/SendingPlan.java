package famulus.core.calendar;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.PriorityQueue;

/**
 * When each of many messages leaves. E.g. from Tuesday 8:00, over four hours, each within the working hours of its reader, and no
 * more than sixty within an hour:
 *
 * <pre>{@code
 * new SendingPlan(tuesday, Duration.ofHours(4), true, 60, 500).times(readers, List.of())
 * }</pre>
 *
 * @param start no message leaves before it
 * @param over the time they are spread over; zero for all at the start
 * @param theirHours whether each leaves only while its reader is at work; then they are spread over what of that time is worked,
 *     from the first moment on at which their reader is at work
 * @param perHour no more leave within any sixty minutes; at least one
 * @param perDay no more leave within any twenty-four hours; at least one
 */
public record SendingPlan(Instant start, Duration over, boolean theirHours, int perHour, int perDay) {
    private static final LocalTime OPENS = LocalTime.of(8, 0);
    private static final LocalTime CLOSES = LocalTime.of(17, 0);
    private static final Duration HOUR = Duration.ofHours(1);
    private static final Duration DAY = Duration.ofHours(24);

    public SendingPlan {
        if (over.isNegative() || perHour < 1 || perDay < 1) {
            throw new IllegalArgumentException("Nothing could leave by this plan");
        }
    }

    /**
     * Somebody who is written to.
     *
     * @param zone by whose clock they live
     * @param days which days are worked where they are
     */
    public record Reader(ZoneId zone, WorkingDays days) {}

    /** A message that could leave at a moment. */
    private record Turn(Instant at, int reader) {}

    /**
     * When each message leaves, in the order of the readers; earlier readers go first where nothing else decides.
     *
     * @param gone when messages left that count towards the limits already, in any order
     */
    public List<Instant> times(List<Reader> readers, List<Instant> gone) {
        PriorityQueue<Turn> turns =
                new PriorityQueue<>(Comparator.comparing(Turn::at).thenComparing(Turn::reader));
        for (int i = 0; i < readers.size(); i++) {
            turns.add(new Turn(wished(readers.get(i), i, readers.size()), i));
        }
        List<Instant> left = new ArrayList<>(gone.stream().sorted().toList());
        Instant[] times = new Instant[readers.size()];
        while (!turns.isEmpty()) {
            Turn turn = turns.poll();
            Instant free = free(turn.at(), left);
            Instant next = within(free, readers.get(turn.reader()));
            if (next.equals(turn.at())) {
                // Turns come in the order of time, so that what has left stays sorted.
                left.add(next);
                times[turn.reader()] = next;
            } else {
                turns.add(new Turn(next, turn.reader()));
            }
        }
        return Arrays.asList(times);
    }

    /** When the message of the {@code turn}th of so many would leave if there were no limits. */
    private Instant wished(Reader reader, int turn, int of) {
        if (!theirHours) {
            return start.plus(over.multipliedBy(turn).dividedBy(of));
        }
        // What of the time falls outside a reader's hours is left out of it: all that would have left then would else
        // leave together when the next day begins.
        Instant opens = within(start, reader);
        Duration before =
                worked(opens, opens.plus(over), reader).multipliedBy(turn).dividedBy(of);
        Instant at = opens;
        for (Instant closes = closes(at, reader); before.compareTo(Duration.between(at, closes)) >= 0; ) {
            before = before.minus(Duration.between(at, closes));
            at = within(closes, reader);
            closes = closes(at, reader);
        }
        return at.plus(before);
    }

    /** How much of the time between two moments a reader is at work; at the first one they are. */
    private Duration worked(Instant from, Instant to, Reader reader) {
        Duration worked = Duration.ZERO;
        for (Instant at = from; at.isBefore(to); at = within(closes(at, reader), reader)) {
            Instant closes = closes(at, reader);
            worked = worked.plus(Duration.between(at, closes.isBefore(to) ? closes : to));
        }
        return worked;
    }

    private static Instant closes(Instant at, Reader reader) {
        return at.atZone(reader.zone()).with(CLOSES).toInstant();
    }

    /** The first moment from one on at which neither limit is reached. */
    private Instant free(Instant at, List<Instant> left) {
        Instant hour = free(at, left, perHour, HOUR);
        Instant day = free(at, left, perDay, DAY);
        return hour.isAfter(day) ? hour : day;
    }

    private static Instant free(Instant at, List<Instant> left, int most, Duration span) {
        if (left.size() < most) {
            return at;
        }
        Instant over = left.get(left.size() - most).plus(span);
        return over.isAfter(at) ? over : at;
    }

    /** The first moment from one on at which a reader is at work, where that matters. */
    private Instant within(Instant at, Reader reader) {
        if (!theirHours) {
            return at;
        }
        ZonedDateTime there = at.atZone(reader.zone());
        LocalDate day = there.toLocalDate();
        if (!reader.days().worked(day) || !there.toLocalTime().isBefore(CLOSES)) {
            LocalDate next = reader.days().plus(day, reader.days().worked(day) ? 1 : 0);
            return next.atTime(OPENS).atZone(reader.zone()).toInstant();
        }
        return there.toLocalTime().isBefore(OPENS)
                ? day.atTime(OPENS).atZone(reader.zone()).toInstant()
                : at;
    }
}
