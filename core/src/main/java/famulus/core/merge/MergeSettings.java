package famulus.core.merge;

import famulus.core.calendar.Reckoner;
import famulus.core.calendar.WorkingDays;
import famulus.core.field.Path;
import famulus.core.field.Value;
import java.time.Instant;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;

/**
 * What a merge needs to know besides the records.
 *
 * @param locale language and region of the person written to, else of the house
 * @param zone time zone of the person, else of the house
 * @param now the moment the message is merged for
 * @param workingDays of the country the person is in, else of the house
 * @param chosen values given for this one message, by path; they win over what is stored
 * @param answers what the sender put in where the template asks, by hint
 */
public record MergeSettings(
        Locale locale,
        ZoneId zone,
        Instant now,
        WorkingDays workingDays,
        Map<Path, Value> chosen,
        Map<String, String> answers) {
    public MergeSettings {
        chosen = Map.copyOf(chosen);
        answers = Map.copyOf(answers);
    }

    /** Settings with plain working days, and without values and answers of their own. */
    public MergeSettings(Locale locale, ZoneId zone, Instant now) {
        this(locale, zone, now, WorkingDays.PLAIN, Map.of(), Map.of());
    }

    /** The same with another value of a field. */
    public MergeSettings choosing(Path path, Value value) {
        Map<Path, Value> all = new HashMap<>(chosen);
        all.put(path, value);
        return new MergeSettings(locale, zone, now, workingDays, all, answers);
    }

    /** What works out days and moments for this merge. */
    public Reckoner reckoner() {
        return new Reckoner(now, zone, workingDays);
    }
}
