package famulus.core.message.render;

import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import biweekly.property.DateEnd;
import biweekly.property.DateStart;
import famulus.core.field.Value;
import famulus.core.merge.Merger;
import famulus.core.message.body.Block;
import famulus.core.message.body.Content;
import famulus.core.message.body.Keys;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.time.format.FormatStyle;
import java.util.ArrayList;
import java.util.Date;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The events of a message, and their calendar files (RFC 5545). Times are written in UTC, which every calendar program
 * shows right whatever it knows of time zones, across a clock change too; a whole day is written as a date.
 */
final class CalendarFiles {
    private final ToRender message;
    private final MergedBody words;
    private final Map<String, Optional<Event>> events = new LinkedHashMap<>();

    /** An event worked out: {@code when} is its day and hours in words. */
    record Event(String title, String place, ZonedDateTime start, ZonedDateTime end, boolean wholeDay, String when) {}

    CalendarFiles(ToRender message, MergedBody words) {
        this.message = message;
        this.words = words;
    }

    /** The event of a block; absent when its day is missing. */
    Optional<Event> event(Block block) {
        return events.computeIfAbsent(block.id(), any -> worked(block.id(), (Content.Event) block.content()));
    }

    private Optional<Event> worked(String id, Content.Event event) {
        ZoneId zone = event.zone().isEmpty() ? message.settings().zone() : ZoneId.of(event.zone());
        return words.value(Keys.day(id))
                .flatMap(value -> start(value, event.time(), zone))
                .map(start -> {
                    boolean wholeDay = event.time() == null
                            && words.value(Keys.day(id))
                                    .filter(Value.Day.class::isInstance)
                                    .isPresent();
                    ZonedDateTime end = wholeDay ? start.plusDays(1) : start.plus(Duration.ofMinutes(event.minutes()));
                    return new Event(
                            words.text(Keys.label(id)),
                            words.text(Keys.place(id)),
                            start,
                            end,
                            wholeDay,
                            when(start, end, wholeDay));
                });
    }

    private static Optional<ZonedDateTime> start(Value value, LocalTime time, ZoneId zone) {
        return switch (value) {
            case Value.Day day -> Optional.of(at(day.day(), time, zone));
            case Value.Moment moment -> {
                ZonedDateTime there = moment.instant().atZone(zone);
                yield Optional.of(time == null ? there : at(there.toLocalDate(), time, zone));
            }
            default -> Optional.empty();
        };
    }

    private static ZonedDateTime at(LocalDate day, LocalTime time, ZoneId zone) {
        return time == null ? day.atStartOfDay(zone) : day.atTime(time).atZone(zone);
    }

    private String when(ZonedDateTime start, ZonedDateTime end, boolean wholeDay) {
        Value.Day day = new Value.Day(start.toLocalDate());
        Merger merger = new Merger(message.settings());
        String date = merger.print(
                day,
                Optional.of(new famulus.core.merge.Format.Named(famulus.core.merge.FormatName.WEEKDAY_AND_LONG_DATE)));
        if (wholeDay) {
            return date;
        }
        DateTimeFormatter hour = DateTimeFormatter.ofLocalizedTime(FormatStyle.SHORT)
                .withLocale(message.settings().locale());
        String hours = hour.format(start) + " – " + hour.format(end);
        boolean elsewhere = !start.getZone().equals(message.settings().zone());
        String zone = elsewhere
                ? " (" + start.getZone().getId().replaceFirst(".*/", "").replace('_', ' ') + ")"
                : "";
        return date + ", " + hours + zone;
    }

    /** The files of all events that are shown. */
    List<Rendering.Calendar> all() {
        List<Rendering.Calendar> files = new ArrayList<>();
        events.forEach((id, event) ->
                event.ifPresent(one -> files.add(new Rendering.Calendar(name(files.size()), file(id, one)))));
        return files;
    }

    /** What the file of an event that is shown is called. */
    String name(Block block) {
        int before = 0;
        for (Map.Entry<String, Optional<Event>> one : events.entrySet()) {
            if (one.getKey().equals(block.id())) {
                break;
            }
            before += one.getValue().isPresent() ? 1 : 0;
        }
        return name(before);
    }

    private static String name(int before) {
        return before == 0 ? "event.ics" : "event-" + (before + 1) + ".ics";
    }

    private String file(String id, Event event) {
        Instant now = message.settings().now();
        ICalendar calendar = new ICalendar();
        calendar.setProductId("-//Famulus//EN");
        VEvent one = new VEvent();
        // The same message gives the same identifier, so that a calendar program takes it in once.
        one.setUid(Long.toHexString(event.start().toEpochSecond()) + "-" + id + "-"
                + Integer.toHexString((event.title() + event.place()).hashCode()) + "@famulus");
        one.setDateTimeStamp(Date.from(now));
        one.setSummary(event.title());
        if (!event.place().isEmpty()) {
            one.setLocation(event.place());
        }
        if (event.wholeDay()) {
            one.setDateStart(new DateStart(day(event.start()), false));
            one.setDateEnd(new DateEnd(day(event.end()), false));
        } else {
            one.setDateStart(new DateStart(Date.from(event.start().toInstant()), true));
            one.setDateEnd(new DateEnd(Date.from(event.end().toInstant()), true));
        }
        calendar.addEvent(one);
        return Biweekly.write(calendar).go();
    }

    private static biweekly.util.ICalDate day(ZonedDateTime at) {
        return new biweekly.util.ICalDate(
                new biweekly.util.DateTimeComponents(at.getYear(), at.getMonthValue(), at.getDayOfMonth()), false);
    }
}
