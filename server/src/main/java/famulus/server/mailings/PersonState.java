package famulus.server.mailings;

import java.util.Locale;

/** How the message of a mailing to one person stands. */
public enum PersonState {
    /** To be made and sent at its time. */
    PLANNED("planned"),
    /** Made, and about to be handed over or just being so. */
    LEAVING("leaving"),
    /** The mail server did not take it for now; the outbox tries it again. */
    WAITING("tried again"),
    SENT("sent"),
    /** Held back by somebody, or by what was found. */
    HELD("held"),
    /** Handed over, and no answer came. */
    NOT_SURE("not sure it went"),
    REFUSED("rejected"),
    /** They don’t get it. */
    LEFT_OUT("does not get it");

    private final String words;

    PersonState(String words) {
        this.words = words;
    }

    /** For people, as in a table. */
    String words() {
        return words;
    }

    /** The column in which a mailing keeps how many there are. */
    String column() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** Whether it has left, or may have. */
    boolean gone() {
        return this == LEAVING || this == WAITING || this == SENT || this == NOT_SURE || this == REFUSED;
    }
}
