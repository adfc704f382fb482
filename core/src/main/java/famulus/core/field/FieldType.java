package famulus.core.field;

import java.util.EnumSet;
import java.util.Set;

/** The types a field can have. */
public enum FieldType {
    /** One line of text. */
    TEXT,
    /** Text of several lines. */
    LONG_TEXT,
    NUMBER,
    /** An amount with its own currency. */
    MONEY,
    DATE,
    DATE_TIME,
    /** One of a field's choices. */
    CHOICE,
    /** Any number of a field's choices. */
    CHOICES,
    YES_NO,
    EMAIL,
    LINK,
    PHONE,
    /** A colleague. */
    USER,
    /** Another record; its own fields are reached through it. */
    RELATION;

    /** Types that print as running text. */
    public static final Set<FieldType> TEXTUAL = EnumSet.of(TEXT, LONG_TEXT, CHOICE, EMAIL, LINK);
    /** Types that have a day. */
    public static final Set<FieldType> DATED = EnumSet.of(DATE, DATE_TIME);
}
