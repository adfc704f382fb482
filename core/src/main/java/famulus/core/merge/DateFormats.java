package famulus.core.merge;

import com.ibm.icu.text.DateTimePatternGenerator;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Prints days and moments. CLDR gives the pattern for each format by its skeleton (UTS 35, part 4); {@code java.time}
 * prints it, since its formatters may be shared between threads.
 */
final class DateFormats {
    private final Locale locale;
    private final DateTimePatternGenerator patterns;
    private final Map<String, DateTimeFormatter> formatters = new ConcurrentHashMap<>();

    DateFormats(Locale locale) {
        this.locale = locale;
        this.patterns = DateTimePatternGenerator.getInstance(locale).freeze();
    }

    String day(LocalDate day, Optional<Format> format, LocalDate today) {
        return print(day.atStartOfDay(ZoneOffset.UTC), format, "yMMMMd", today);
    }

    String moment(ZonedDateTime moment, Optional<Format> format, LocalDate today) {
        return print(moment, format, "yMMMMdjm", today);
    }

    private String print(ZonedDateTime moment, Optional<Format> format, String skeletonElse, LocalDate today) {
        if (format.orElse(null) instanceof Format.Pattern own) {
            return pattern(own.pattern(), moment, skeletonElse);
        }
        if (format.orElse(null) instanceof Format.Named named) {
            return named.name() == FormatName.DISTANCE
                    ? Formats.distance(today, moment.toLocalDate(), locale)
                    : skeleton(skeleton(named.name()).orElse(skeletonElse)).format(moment);
        }
        return skeleton(skeletonElse).format(moment);
    }

    private String pattern(String pattern, ZonedDateTime moment, String skeletonElse) {
        try {
            return formatters
                    .computeIfAbsent("pattern " + pattern, any -> DateTimeFormatter.ofPattern(pattern, locale))
                    .format(moment);
        } catch (IllegalArgumentException | DateTimeException wrong) {
            return skeleton(skeletonElse).format(moment);
        }
    }

    private DateTimeFormatter skeleton(String skeleton) {
        return formatters.computeIfAbsent(skeleton, any -> DateTimeFormatter.ofPattern(bestPattern(skeleton), locale));
    }

    /** The generator is frozen but not promised to be safe for threads while it searches. */
    private String bestPattern(String skeleton) {
        synchronized (patterns) {
            return patterns.getBestPattern(skeleton);
        }
    }

    private static Optional<String> skeleton(FormatName name) {
        return Optional.ofNullable(
                switch (name) {
                    case SHORT_DATE -> "yMd";
                    case LONG_DATE -> "yMMMMd";
                    case WEEKDAY -> "EEEE";
                    case WEEKDAY_AND_LONG_DATE -> "EEEEyMMMMd";
                    case DAY_AND_MONTH -> "MMMMd";
                    case MONTH -> "LLLL";
                    case MONTH_AND_YEAR -> "yMMMM";
                    case YEAR -> "y";
                    case TIME -> "jm";
                    case WEEKDAY_AND_TIME -> "EEEEjm";
                    default -> null;
                });
    }
}
