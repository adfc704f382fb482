package famulus.core.merge;

import java.math.BigDecimal;

/** Where a term's value comes from. */
public sealed interface Operand {

    /**
     * A value of a record, or a moment such as {@code today}.
     *
     * @param path which
     */
    record Reference(Path path) implements Operand {}

    /**
     * A text given in the template itself.
     *
     * @param text what it prints
     */
    record Words(String text) implements Operand {}

    /**
     * A number given in the template itself.
     *
     * @param number its value
     */
    record Figure(BigDecimal number) implements Operand {}

    /** An explicit blank: prints nothing, and the hole it leaves is closed. */
    record Nothing() implements Operand {}
}
