package famulus.core.merge;

import java.time.Instant;
import java.time.ZoneId;
import java.util.Locale;
import java.util.Map;

/**
 * What a merge needs to know besides the records.
 *
 * @param locale language and region of the person written to, else of the house
 * @param zone time zone of the person, else of the house
 * @param now the moment the message is merged for
 * @param chosen values given for this one message, by path; they win over what is stored
 */
public record MergeSettings(Locale locale, ZoneId zone, Instant now, Map<Path, Value> chosen) {
    public MergeSettings {
        chosen = Map.copyOf(chosen);
    }

    /** Settings without values of their own. */
    public MergeSettings(Locale locale, ZoneId zone, Instant now) {
        this(locale, zone, now, Map.of());
    }
}
