package famulus.core.merge;

import famulus.core.field.FieldType;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** The formats with a name, and the types of value each fits. */
public enum FormatName {
    CAPITALS("capitals", FieldType.TEXTUAL),
    LOWER_CASE("lower case", FieldType.TEXTUAL),
    SENTENCE("sentence", FieldType.TEXTUAL),
    NAME("name", FieldType.TEXTUAL),
    INITIALS("initials", EnumSet.of(FieldType.TEXT, FieldType.USER)),
    FIRST_WORD("first word", FieldType.TEXTUAL),
    WHOLE("whole", EnumSet.of(FieldType.NUMBER)),
    PERCENT("percent", EnumSet.of(FieldType.NUMBER)),
    WORDS("words", EnumSet.of(FieldType.NUMBER)),
    MONEY("money", EnumSet.of(FieldType.MONEY)),
    WHOLE_MONEY("whole money", EnumSet.of(FieldType.MONEY)),
    PLAIN_AMOUNT("plain amount", EnumSet.of(FieldType.MONEY)),
    SHORT_DATE("short date", FieldType.DATED),
    LONG_DATE("long date", FieldType.DATED),
    WEEKDAY("weekday", FieldType.DATED),
    WEEKDAY_AND_LONG_DATE("weekday and long date", FieldType.DATED),
    DAY_AND_MONTH("day and month", FieldType.DATED),
    MONTH("month", FieldType.DATED),
    MONTH_AND_YEAR("month and year", FieldType.DATED),
    YEAR("year", FieldType.DATED),
    DISTANCE("distance", FieldType.DATED),
    TIME("time", EnumSet.of(FieldType.DATE_TIME)),
    WEEKDAY_AND_TIME("weekday and time", EnumSet.of(FieldType.DATE_TIME)),
    LIST("list", EnumSet.of(FieldType.CHOICES)),
    COUNT("count", EnumSet.of(FieldType.CHOICES)),
    FIRST("first", EnumSet.of(FieldType.CHOICES)),
    INTERNATIONAL("international", EnumSet.of(FieldType.PHONE)),
    NATIONAL("national", EnumSet.of(FieldType.PHONE)),
    FULL_NAME("full name", EnumSet.of(FieldType.USER)),
    FIRST_NAME("first name", EnumSet.of(FieldType.USER));

    private final String written;
    private final Set<FieldType> types;

    FormatName(String written, Set<FieldType> types) {
        this.written = written;
        this.types = types;
    }

    /** The words after {@code as}. */
    public String written() {
        return written;
    }

    /** Whether a value of this type can be printed so. */
    public boolean fits(FieldType type) {
        return types.contains(type);
    }

    /** Finds a format by its words, in any case. */
    public static Optional<FormatName> written(String words) {
        return Arrays.stream(values())
                .filter(name -> name.written.equalsIgnoreCase(words))
                .findFirst();
    }

    /** The formats that fit a type, in the order they are offered. */
    public static List<FormatName> fitting(FieldType type) {
        return Arrays.stream(values()).filter(name -> name.fits(type)).toList();
    }
}
