package famulus.core.calendar;

import famulus.core.field.Path;
import famulus.core.field.Value;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.Optional;
import java.util.function.Function;

/**
 * Works days and moments out.
 *
 * @param now the moment of sending
 * @param zone where the person is
 * @param workingDays of the country the person is in
 */
public record Reckoner(Instant now, ZoneId zone, WorkingDays workingDays) {
    private static final int LAST_YEAR = 9999;

    /** The day it is where the person is. */
    public LocalDate today() {
        return now.atZone(zone).toLocalDate();
    }

    /**
     * Works a reckoning out.
     *
     * @param stored looks up what is stored at a path; never asked for {@code today} and {@code now}
     * @return the value; empty when there is nothing to start from, when it is no day, or when the calendar ends
     */
    public Optional<Value> value(Reckoning reckoning, Function<Path, Optional<Value>> stored) {
        Optional<Value> value = start(reckoning.path(), stored);
        if (!reckoning.reckoned() || value.isEmpty()) {
            return value;
        }
        try {
            Value reached = value.get();
            for (Reckoning.Step step : reckoning.steps()) {
                reached = step(reached, step);
            }
            return Optional.of(reached);
        } catch (DateTimeException | ArithmeticException beyond) {
            return Optional.empty();
        }
    }

    private Optional<Value> start(Path path, Function<Path, Optional<Value>> stored) {
        if (path.words().size() > 1) {
            return stored.apply(path);
        }
        return switch (path.root()) {
            case "today" -> Optional.of(new Value.Day(today()));
            case "now" -> Optional.of(new Value.Moment(now));
            default -> Optional.empty();
        };
    }

    /** Nothing comes of adding to what is no day. */
    private Value step(Value from, Reckoning.Step step) {
        return switch (from) {
            case Value.Day day -> day(day.day(), step);
            case Value.Moment moment -> moment(moment.instant().atZone(zone), step);
            default -> throw new DateTimeException("No day to start from");
        };
    }

    private Value day(LocalDate day, Reckoning.Step step) {
        return step.unit() == TimeUnit.HOUR
                ? new Value.Moment(
                        day.atStartOfDay(zone).plusHours(step.number()).toInstant())
                : new Value.Day(within(step(day, step)));
    }

    private Value moment(ZonedDateTime moment, Reckoning.Step step) {
        ZonedDateTime reached = step.unit() == TimeUnit.HOUR
                ? moment.plusHours(step.number())
                : moment.with(step(moment.toLocalDate(), step));
        within(reached.toLocalDate());
        return new Value.Moment(reached.toInstant());
    }

    private LocalDate step(LocalDate day, Reckoning.Step step) {
        return switch (step.unit()) {
            case DAY, HOUR -> day.plusDays(step.number());
            case WORKING_DAY -> workingDays.plus(day, step.number());
            case WEEK -> day.plusWeeks(step.number());
            case MONTH -> day.plusMonths(step.number());
        };
    }

    private static LocalDate within(LocalDate day) {
        if (day.getYear() < 1 || day.getYear() > LAST_YEAR) {
            throw new DateTimeException("Beyond the calendar");
        }
        return day;
    }
}
