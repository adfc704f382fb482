package famulus.core.table;

import java.util.Collection;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * How a table writes dates and numbers.
 *
 * @param dates the order of day and month where a date is written in numbers; dates of ISO 8601 are read in any case
 * @param decimal what parts the whole of a number from its fraction, a point or a comma; the other one, blanks and
 *     apostrophes group its digits
 */
public record TableStyle(DateOrder dates, char decimal) {
    /** What comes first in a date. */
    public enum DateOrder {
        DAY_FIRST,
        MONTH_FIRST
    }

    /** Countries that write the month before the day. */
    private static final Set<String> MONTH_FIRST = Set.of("US", "PH", "FM", "MH", "PW");

    private static final Pattern DATE = Pattern.compile("([0-9]{1,2})([./-])([0-9]{1,2})\\2[0-9]{2,4}(?:[ T].*)?");
    private static final Pattern POINT = Pattern.compile("[^0-9]*[0-9]+\\.(?:[0-9]{1,2}|[0-9]{4,})[^0-9.,]*");
    private static final Pattern COMMA = Pattern.compile("[^0-9]*[0-9]+,(?:[0-9]{1,2}|[0-9]{4,})[^0-9.,]*");
    private static final Pattern BOTH = Pattern.compile("[^0-9]*[0-9]{1,3}(?:[.,][0-9]{3})*([.,])[0-9]+[^0-9.,]*");
    private static final Pattern TWICE = Pattern.compile("[^0-9]*[0-9]{1,3}(?:([.,])[0-9]{3})\\1[0-9]{3}[^0-9]*");

    /**
     * Looks at cells of a file.
     *
     * <p>E.g.: one {@code 1.048,50} shows that a comma is the decimal mark, one {@code 5/21/2026} that months come first.
     *
     * @param delimiter of the file: whoever parts cells by semicolons mostly does so because commas are in numbers
     * @param country two letters, for what the cells do not show
     */
    public static TableStyle of(Collection<String> cells, char delimiter, String country) {
        int dayFirst = 0;
        int monthFirst = 0;
        int point = 0;
        int comma = 0;
        for (String cell : cells) {
            String text = cell.strip();
            Matcher date = DATE.matcher(text);
            if (date.matches()) {
                dayFirst +=
                        Integer.parseInt(date.group(1)) > 12 || date.group(2).equals(".") ? 1 : 0;
                monthFirst += Integer.parseInt(date.group(3)) > 12 ? 1 : 0;
                continue;
            }
            Matcher twice = TWICE.matcher(text);
            Matcher both = BOTH.matcher(text);
            if (twice.matches()) {
                // What stands twice in a number groups its digits.
                point += twice.group(1).equals(",") ? 1 : 0;
                comma += twice.group(1).equals(".") ? 1 : 0;
            } else if (text.indexOf('.') >= 0 && text.indexOf(',') >= 0 && both.matches()) {
                point += both.group(1).equals(".") ? 1 : 0;
                comma += both.group(1).equals(",") ? 1 : 0;
            } else {
                point += POINT.matcher(text).matches() ? 1 : 0;
                comma += COMMA.matcher(text).matches() ? 1 : 0;
            }
        }
        boolean months = monthFirst == dayFirst ? MONTH_FIRST.contains(country) : monthFirst > dayFirst;
        boolean commas = comma == point ? delimiter == ';' : comma > point;
        return new TableStyle(months ? DateOrder.MONTH_FIRST : DateOrder.DAY_FIRST, commas ? ',' : '.');
    }
}
