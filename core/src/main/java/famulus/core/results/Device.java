package famulus.core.results;

import java.util.Locale;
import java.util.regex.Pattern;

/**
 * What a message was read on, as far as the program that reads it says so.
 *
 * <p>RFC 9110, 10.1.5, leaves to each program what it says of itself, and many say less than they could: a tablet often says
 * what a computer would. Only who followed a link can be told like this; pictures are often fetched for whoever opens a message.
 */
public enum Device {
    COMPUTER("a computer"),
    PHONE("a phone"),
    TABLET("a tablet"),
    /** Its program says nothing that tells. */
    UNKNOWN("not known");

    private static final Pattern TABLETS = Pattern.compile("ipad|tablet");
    private static final Pattern PHONES = Pattern.compile("iphone|ipod|mobile|phone");
    private static final Pattern COMPUTERS = Pattern.compile("windows nt|macintosh|x11;|cros |linux x86|linux i686");

    private final String words;

    Device(String words) {
        this.words = words;
    }

    /** What it is called in a sentence. */
    public String words() {
        return words;
    }

    /**
     * Reads what a program says of itself.
     *
     * @param program as the header {@code User-Agent} has it; empty for nothing
     */
    public static Device of(String program) {
        String said = program.toLowerCase(Locale.ROOT);
        if (TABLETS.matcher(said).find()) {
            return TABLET;
        }
        if (PHONES.matcher(said).find()) {
            return PHONE;
        }
        if (said.contains("android")) {
            // Those that are held in one hand say “mobile” as well.
            return TABLET;
        }
        return COMPUTERS.matcher(said).find() ? COMPUTER : UNKNOWN;
    }
}
