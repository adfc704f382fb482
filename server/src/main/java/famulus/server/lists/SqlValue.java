package famulus.server.lists;

/**
 * A path's value as SQL; null where it is missing.
 *
 * @param sort how it is compared
 * @param value a text without blanks at its ends, a number, an amount, a day, a moment, or {@code yes} and {@code no};
 *     for several choices their codes with line breaks between
 * @param raw the value as it is stored, blanks and all
 * @param currency for amounts; else null
 */
record SqlValue(Sort sort, Sql value, Sql raw, Sql currency) {
    /** Ways to be compared. */
    enum Sort {
        TEXT,
        NUMBER,
        MONEY,
        DAY,
        MOMENT,
        ANSWER,
        SEVERAL
    }

    static SqlValue of(Sort sort, Sql value) {
        return new SqlValue(sort, value, value, null);
    }

    /** Whether it is missing. */
    Sql missing() {
        return Sql.put("(%s is null)", value);
    }
}
