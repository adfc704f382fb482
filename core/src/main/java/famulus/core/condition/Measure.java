package famulus.core.condition;

import famulus.core.calendar.Reckoning;
import famulus.core.syntax.Quoted;
import java.math.BigDecimal;

/** What a value is compared with. */
public sealed interface Measure {
    /** The written form. */
    String written();

    /** A text; also a day, as {@code "2026-05-04"}, and the label of a choice. */
    record Text(String text) implements Measure {
        @Override
        public String written() {
            return Quoted.of(text);
        }
    }

    /**
     * A number, or an amount of money.
     *
     * @param currency three letters of ISO 4217; empty for an amount in whatever currency the value has
     */
    record Figure(BigDecimal number, String currency) implements Measure {
        @Override
        public String written() {
            return currency.isEmpty() ? number.toPlainString() : number.toPlainString() + " " + currency;
        }
    }

    /** Yes or no. */
    record Answer(boolean yes) implements Measure {
        @Override
        public String written() {
            return yes ? "yes" : "no";
        }
    }

    /** Another value, or a day reckoned from one. */
    record Other(Reckoning reckoning) implements Measure {
        @Override
        public String written() {
            return reckoning.written();
        }
    }
}
