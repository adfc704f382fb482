package famulus.core.field;

import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;

/** A stored value of one of the {@link FieldType}s. Always data: nothing in it is ever read as markup or as a field. */
public sealed interface Value {

    /** Whether it counts as missing: no characters but spaces, or nothing chosen. */
    default boolean missing() {
        return false;
    }

    /**
     * Text, a choice's label, an e-mail address, a link.
     *
     * @param also what else it is taken for in comparisons: labels that a choice had before
     */
    record Text(String text, List<String> also) implements Value {
        public Text {
            also = List.copyOf(also);
        }

        /** Text that goes by no other name. */
        public Text(String text) {
            this(text, List.of());
        }

        @Override
        public boolean missing() {
            return text.isBlank();
        }
    }

    /** A number. */
    record Number(BigDecimal number) implements Value {}

    /**
     * An amount of money.
     *
     * @param amount in the currency's main unit
     * @param currency three letters of ISO 4217
     */
    record Money(BigDecimal amount, String currency) implements Value {}

    /** A day of the calendar, without a zone. */
    record Day(LocalDate day) implements Value {}

    /** A point in time, printed in the zone of the person written to. */
    record Moment(Instant instant) implements Value {}

    /** Labels of what was chosen, in the order of the field's choices. */
    record Several(List<String> labels) implements Value {
        public Several {
            labels = List.copyOf(labels);
        }

        @Override
        public boolean missing() {
            return labels.stream().allMatch(String::isBlank);
        }
    }

    /** Yes or no. */
    record YesNo(boolean yes) implements Value {}

    /** A telephone number as stored, with the country prefix if it is known. */
    record Phone(String number) implements Value {
        @Override
        public boolean missing() {
            return number.isBlank();
        }
    }

    /** A colleague's name. */
    record Name(String first, String last) implements Value {
        @Override
        public boolean missing() {
            return first.isBlank() && last.isBlank();
        }
    }
}
