package famulus.core.results;

/**
 * What was hoped for beside what came; money is in whole units of one currency.
 *
 * @param hoped so many replies
 * @param replies so many came
 * @param worth of each reply, as it was put down
 * @param cost as it was planned
 */
public record GoalReached(int hoped, int replies, long worth, long cost) {
    /** What the replies are worth. */
    public long brought() {
        return replies * worth;
    }

    /** What is left of it once the cost is paid; negative where it cost more. */
    public long left() {
        return brought() - cost;
    }

    /** Whether as many came as were hoped for; a goal that nobody has put down is not reached. */
    public boolean reached() {
        return hoped > 0 && replies >= hoped;
    }
}
