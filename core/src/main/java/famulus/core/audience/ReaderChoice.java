package famulus.core.audience;

import java.util.Set;
import java.util.UUID;

/**
 * What somebody has chosen to get of messages that go to several people at once.
 *
 * @param nothing whether they want none of them
 * @param refused topics they want nothing about, by identifier
 * @param pace how often they want one at most
 */
public record ReaderChoice(boolean nothing, Set<UUID> refused, Pace pace) {
    /** Who has chosen nothing gets all. */
    public static final ReaderChoice NONE = new ReaderChoice(false, Set.of(), Pace.ANY);

    public ReaderChoice {
        refused = Set.copyOf(refused);
    }

    /** How often somebody wants a message at most. */
    public enum Pace {
        ANY(0, ""),
        WEEKLY(7, "one a week"),
        MONTHLY(30, "one a month"),
        QUARTERLY(90, "one in three months");

        private final int days;
        private final String words;

        Pace(int days, String words) {
            this.days = days;
            this.words = words;
        }

        /** How many days lie between two at least; 0 where it does not matter. */
        public int days() {
            return days;
        }

        /** As in “wants … at most”. */
        public String words() {
            return words;
        }
    }
}
