package famulus.server.records;

import famulus.core.record.SearchText;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.UUID;

/**
 * Where a record stands in a list: a text that sorts, sign by sign, like the list. What the sorted column holds comes
 * first, then the record's name, then its identifier, so that no two are the same. A place that begins with
 * {@link #NOTHING} is that of a record whose column holds nothing; these come last whichever way the list is sorted.
 *
 * <pre>
 *     ListPlace.of(ListPlace.text("Mill Lane"), ListPlace.text("Kärcher Zoë"), id)   // 0mill lane⇥karcher zoe⇥6f1c…
 * </pre>
 */
final class ListPlace {
    /** With this begins the place of a record whose column holds something. */
    static final String SOMETHING = "0";
    /** With this begins the place of one whose column holds nothing. */
    static final String NOTHING = "1";

    /** No place has a smaller sign in it. */
    static final String SMALLEST = "\u0000";

    private static final int LONGEST_KEY = 60;
    private static final int LENGTH_OF_ID = 36;
    private static final int LONGEST_NAME = 80;
    private static final BigDecimal SHIFT = BigDecimal.TEN.pow(15);
    private static final DateTimeFormatter TO_THE_MILLISECOND =
            DateTimeFormatter.ofPattern("uuuuMMddHHmmssSSS").withZone(ZoneOffset.UTC);

    private ListPlace() {}

    /**
     * A place.
     *
     * @param key what the column holds, made by one of the methods here; empty for nothing
     * @param name the record's name, made by {@link #text}
     */
    static String of(String key, String name, UUID id) {
        String begin = key.isEmpty() ? NOTHING : SOMETHING + cut(key, LONGEST_KEY) + "\t";
        return begin + cut(name, LONGEST_NAME) + "\t" + id;
    }

    /** With this begin the places, sorted by name, of all records of a name, made by {@link #text}. */
    static String ofName(String name) {
        return SOMETHING + cut(name, LONGEST_KEY) + "\t" + cut(name, LONGEST_NAME) + "\t";
    }

    /** The record that stands at a place. */
    static UUID record(String place) {
        return UUID.fromString(place.substring(place.length() - LENGTH_OF_ID));
    }

    /** The place of the same record with another key. */
    static String with(String place, String key) {
        int end = place.lastIndexOf('\t');
        String begin = place.startsWith(NOTHING) ? NOTHING : "";
        int start = begin.isEmpty() ? place.indexOf('\t') + 1 : begin.length();
        return of(key, place.substring(start, end), UUID.fromString(place.substring(end + 1)));
    }

    /** A text, sorted without regard to case and accents. */
    static String text(String text) {
        return text == null ? "" : SearchText.folded(text);
    }

    /** A number from −10¹⁵ to 10¹⁵, to six places behind the point. */
    static String number(BigDecimal number) {
        return number == null
                ? ""
                : "%024d"
                        .formatted(number.add(SHIFT)
                                .setScale(6, RoundingMode.HALF_UP)
                                .unscaledValue());
    }

    static String day(LocalDate day) {
        return day == null ? "" : day.toString();
    }

    static String moment(Instant moment) {
        return moment == null ? "" : TO_THE_MILLISECOND.format(moment);
    }

    private static String cut(String text, int most) {
        return text.length() <= most ? text : text.substring(0, most);
    }
}
