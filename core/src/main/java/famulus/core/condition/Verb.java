package famulus.core.condition;

import famulus.core.field.FieldType;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/** Ways to compare. The longer of two that begin alike stands first, so that it is read first. */
public enum Verb {
    IS_NOT_ONE_OF("is not one of", Takes.SEVERAL, Group.WORDS, Group.FIGURES, Group.COLLEAGUE),
    IS_ONE_OF("is one of", Takes.SEVERAL, Group.WORDS, Group.FIGURES, Group.COLLEAGUE),
    IS_MORE_THAN_AGO("is more than", " ago", Group.DAYS),
    IS_MORE_THAN("is more than", Takes.ONE, Group.FIGURES),
    IS_LESS_THAN("is less than", Takes.ONE, Group.FIGURES),
    IS_AT_LEAST("is at least", Takes.ONE, Group.FIGURES),
    IS_AT_MOST("is at most", Takes.ONE, Group.FIGURES),
    IS_BETWEEN("is between", Takes.TWO, Group.FIGURES, Group.DAYS),
    IS_BEFORE("is before", Takes.ONE, Group.DAYS),
    IS_AFTER("is after", Takes.ONE, Group.DAYS),
    IS_WITHIN_NEXT("is within the next", "", Group.DAYS),
    IS_WITHIN_LAST("is within the last", "", Group.DAYS),
    IS_WITHIN("is within", "", Group.DAYS),
    IS_EMPTY("is empty", Takes.NOTHING, Group.values()),
    IS_FILLED("is filled", Takes.NOTHING, Group.values()),
    IS_NOT("is not", Takes.ONE, Group.WORDS, Group.FIGURES, Group.DAYS, Group.ANSWER, Group.COLLEAGUE),
    IS("is", Takes.ONE, Group.WORDS, Group.FIGURES, Group.DAYS, Group.ANSWER, Group.COLLEAGUE),
    DOES_NOT_CONTAIN("does not contain", Takes.ONE, Group.WORDS, Group.SEVERAL),
    CONTAINS("contains", Takes.ONE, Group.WORDS, Group.SEVERAL),
    STARTS_WITH("starts with", Takes.ONE, Group.WORDS);

    private final String written;
    private final Takes takes;
    private final String after;
    private final Set<Group> groups;

    Verb(String written, Takes takes, Group... groups) {
        this(written, takes, "", groups);
    }

    Verb(String written, String after, Group... groups) {
        this(written, Takes.DAYS, after, groups);
    }

    Verb(String written, Takes takes, String after, Group... groups) {
        this.written = written;
        this.takes = takes;
        this.after = after;
        this.groups = EnumSet.copyOf(Arrays.asList(groups));
    }

    /** The words between the value and what it is compared with. */
    public String written() {
        return written;
    }

    /** The words after a number of days; usually none. */
    public String after() {
        return after;
    }

    /** How much it compares with. */
    public Takes takes() {
        return takes;
    }

    /** Whether values of a group can be compared so. */
    public boolean fits(Group group) {
        return groups.contains(group);
    }

    /** The verbs for values of a group, in the order they are offered. */
    public static List<Verb> of(Group group) {
        List<Verb> offered = List.of(
                IS,
                IS_NOT,
                IS_ONE_OF,
                IS_NOT_ONE_OF,
                CONTAINS,
                DOES_NOT_CONTAIN,
                STARTS_WITH,
                IS_MORE_THAN,
                IS_LESS_THAN,
                IS_AT_LEAST,
                IS_AT_MOST,
                IS_BEFORE,
                IS_AFTER,
                IS_BETWEEN,
                IS_WITHIN_NEXT,
                IS_WITHIN_LAST,
                IS_WITHIN,
                IS_MORE_THAN_AGO,
                IS_FILLED,
                IS_EMPTY);
        return offered.stream().filter(verb -> verb.fits(group)).toList();
    }

    /** What a verb compares with. */
    public enum Takes {
        NOTHING,
        ONE,
        TWO,
        SEVERAL,
        /** A number of days. */
        DAYS
    }

    /** Types that are compared alike. */
    public enum Group {
        WORDS,
        FIGURES,
        DAYS,
        ANSWER,
        SEVERAL,
        COLLEAGUE;

        /** The group of a type; a relation counts by the name of what it leads to. */
        public static Group of(FieldType type) {
            return switch (type) {
                case TEXT, LONG_TEXT, CHOICE, EMAIL, LINK, PHONE -> WORDS;
                case NUMBER, MONEY -> FIGURES;
                case DATE, DATE_TIME -> DAYS;
                case YES_NO -> ANSWER;
                case CHOICES -> SEVERAL;
                case USER, RELATION -> COLLEAGUE;
            };
        }
    }
}
