package famulus.core.merge;

import com.ibm.icu.text.RelativeDateTimeFormatter;
import com.ibm.icu.text.RelativeDateTimeFormatter.AbsoluteUnit;
import com.ibm.icu.text.RelativeDateTimeFormatter.Direction;
import com.ibm.icu.text.RelativeDateTimeFormatter.RelativeUnit;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;

/**
 * How far one day is from another, in the unit people would say: days up to two weeks, weeks up to eight, then months,
 * then years.
 *
 * @param days signed; positive when the day is still to come
 */
record Distance(long days) {
    private static final long DAYS_UP_TO = 14;
    private static final long WEEKS_UP_TO = 8L * 7;
    private static final long MONTHS_UP_TO = 548;

    static Distance between(LocalDate from, LocalDate to) {
        return new Distance(ChronoUnit.DAYS.between(from, to));
    }

    String print(RelativeDateTimeFormatter formatter) {
        if (days == 0) {
            return formatter.format(Direction.THIS, AbsoluteUnit.DAY);
        }
        if (Math.abs(days) == 1) {
            return formatter.format(days > 0 ? Direction.NEXT : Direction.LAST, AbsoluteUnit.DAY);
        }
        long far = Math.abs(days);
        Direction direction = days > 0 ? Direction.NEXT : Direction.LAST;
        if (far < DAYS_UP_TO) {
            return formatter.format(far, direction, RelativeUnit.DAYS);
        }
        if (far < WEEKS_UP_TO) {
            return formatter.format(Math.round(far / 7.0), direction, RelativeUnit.WEEKS);
        }
        if (far < MONTHS_UP_TO) {
            return formatter.format(Math.round(far / 30.44), direction, RelativeUnit.MONTHS);
        }
        return formatter.format(Math.round(far / 365.25), direction, RelativeUnit.YEARS);
    }
}
