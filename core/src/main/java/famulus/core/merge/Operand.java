package famulus.core.merge;

import famulus.core.calendar.Reckoning;
import famulus.core.field.Path;
import java.math.BigDecimal;

/** Where a term's value comes from. */
public sealed interface Operand {

    /**
     * A value of a record, a moment such as {@code today}, or a day reckoned from one.
     *
     * @param reckoning which, and what is reckoned from it
     */
    record Reference(Reckoning reckoning) implements Operand {
        /** Where the value stands, or what it is reckoned from. */
        public Path path() {
            return reckoning.path();
        }
    }

    /**
     * A blank to write in: something the sender fills in at each use.
     *
     * @param hint tells the sender what to put in; the same hint twice is one answer
     */
    record WriteIn(String hint) implements Operand {}

    /**
     * A text given in the template itself.
     *
     * @param text what it prints
     */
    record Text(String text) implements Operand {}

    /**
     * A number given in the template itself.
     *
     * @param number its value
     */
    record Figure(BigDecimal number) implements Operand {}

    /** An explicit blank: prints nothing, and the hole it leaves is closed. */
    record Nothing() implements Operand {}
}
