package famulus.server.lists;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.stream.IntStream;

/**
 * Which people are asked: all of them, some who stand for all, or those whose identifiers lie in one of several ranges, so
 * that very many are asked one range after another. Identifiers are random, so ranges of the same width hold about as many.
 *
 * @param most so many of those with the first identifiers; 0 for no limit
 * @param from the first identifier of the range, null where it is not limited
 * @param to the first identifier after the range, null where it is not limited
 */
record Portion(int most, UUID from, UUID to) {
    /** Everybody. */
    static final Portion ALL = new Portion(0, null, null);

    private static final int RANGES = 16;

    /** So many of those with the first identifiers; everybody for 0. */
    static Portion some(int most) {
        return new Portion(most, null, null);
    }

    /** Ranges that hold everybody between them. */
    static List<Portion> ranges() {
        return IntStream.range(0, RANGES)
                .mapToObj(turn -> new Portion(0, start(turn), start(turn + 1)))
                .toList();
    }

    private static UUID start(int turn) {
        return turn == 0 || turn == RANGES ? null : new UUID((long) turn << Long.SIZE - 4, 0);
    }

    /** Whether it is everybody. */
    boolean isAll() {
        return equals(ALL);
    }

    /** What limits the rows {@code x} of a table to these, to be put behind its name. */
    Sql limits() {
        List<Sql> limits = new ArrayList<>();
        if (from != null) {
            limits.add(Sql.of("x.id >= ?", from));
        }
        if (to != null) {
            limits.add(Sql.of("x.id < ?", to));
        }
        Sql where = limits.isEmpty() ? Sql.of("") : Sql.join(" and ", limits).wrapped(" where ", "");
        return most == 0 ? where : where.then(Sql.of(" order by x.id limit ?", most));
    }
}
