package famulus.core.table;

import famulus.core.field.FieldDefinition;
import java.util.Arrays;
import java.util.Optional;

/** Where the cells of a column go. */
public sealed interface Target {
    /** The word by which it is chosen and remembered. */
    String word();

    /** Into a field, which holds so many characters. */
    record OfField(FieldDefinition field, int most) implements Target {
        @Override
        public String word() {
            return field.name();
        }
    }

    /** First name and surname in one cell, into the fields of both. */
    record OfName(OfField first, OfField last) implements Target {
        @Override
        public String word() {
            return "full_name";
        }
    }

    /** Into a field that leads to another record, which is found by what it is called. */
    record OfRelation(FieldDefinition field) implements Target {
        @Override
        public String word() {
            return field.name();
        }
    }

    /** What is no field of the record itself. */
    enum Other implements Target {
        /** An address of a person; several columns may go here. */
        EMAIL("email"),
        /** The contact a deal is about, by address or by name. */
        CONTACT("contact"),
        /** Their name, where a column for them has no address; no column leads here by itself. */
        CONTACT_NAME("contact.name"),
        LINE_DESCRIPTION("line.description"),
        LINE_QUANTITY("line.quantity"),
        LINE_UNIT("line.unit"),
        LINE_PRICE("line.price"),
        LINE_DISCOUNT("line.discount"),
        LINE_TAX("line.tax"),
        LINE_NOTE("line.note");

        private final String word;

        Other(String word) {
            this.word = word;
        }

        @Override
        public String word() {
            return word;
        }

        /** Whether it is a part of a line of a deal. */
        public boolean isLine() {
            return word.startsWith("line.");
        }

        /** The one with a word. */
        public static Optional<Other> of(String word) {
            return Arrays.stream(values()).filter(one -> one.word.equals(word)).findFirst();
        }
    }
}
