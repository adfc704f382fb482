package famulus.core.intake;

import famulus.core.field.Value;
import famulus.core.prose.Prose.Stretch;
import famulus.core.prose.WrittenDate;
import famulus.core.prose.WrittenDates;
import famulus.core.prose.WrittenLanguage;
import famulus.core.record.FoldedText;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.format.TextStyle;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** Finds days, in the ways people write them; see {@link WrittenDates}. */
final class SaidDates {
    /** A day without its year is one so near the day the text was written on. */
    private static final int NEAR = 300;
    /** A weekday by itself means the nearest day of that name, in days. */
    private static final int WITHIN_A_WEEK = 6;

    private final String text;
    private final FoldedText folded;
    private final Locale language;
    private final LocalDate written;
    private final List<WrittenDate> dates;
    /** What may stand between a weekday and its day. */
    private final List<String> beforeDay;

    SaidDates(String text, FoldedText folded, WrittenLanguage language, Locale reader, LocalDate written) {
        this.text = text;
        this.folded = folded;
        this.language = language.locale();
        this.written = written;
        this.beforeDay = language.list("before_day");
        this.dates = WrittenDates.in(text, language, reader);
    }

    List<Wording> of(KnownValue known) {
        return day(known.value())
                .map(day -> Stream.concat(
                                dates.stream()
                                        .filter(date -> says(date, day))
                                        .map(date -> said(date, known.path().toString())),
                                weekdays(day, known.path().toString()))
                        .toList())
                .orElse(List.of());
    }

    /** A weekday without its day, as in “see you on Friday”: it may be any other one too, so it is asked about. */
    private Stream<Wording> weekdays(LocalDate day, String path) {
        return Math.abs(ChronoUnit.DAYS.between(written, day)) > WITHIN_A_WEEK
                ? Stream.empty()
                : folded.all(day.getDayOfWeek().getDisplayName(TextStyle.FULL, language)).stream()
                        .filter(name -> dates.stream()
                                .noneMatch(date -> name.start() < date.whole().end()
                                        && name.end() > date.whole().start()))
                        .map(name -> new Wording(name.start(), name.end(), "{" + path + " as weekday}", false));
    }

    /** The day a moment is printed with depends on where its reader is; either of two may be meant. */
    private static Optional<LocalDate> day(Value value) {
        return switch (value) {
            case Value.Day day -> Optional.of(day.day());
            case Value.Moment moment -> Optional.of(LocalDate.ofInstant(moment.instant(), ZoneOffset.UTC));
            default -> Optional.empty();
        };
    }

    private boolean says(WrittenDate date, LocalDate day) {
        boolean named =
                date.days().stream().anyMatch(one -> one.day() == day.getDayOfMonth() && one.month() == day.getMonth());
        boolean thatYear = date.year()
                .map(year -> year == day.getYear())
                .orElseGet(() -> Math.abs(ChronoUnit.DAYS.between(written, day)) <= NEAR);
        return named
                && thatYear
                && date.weekday().map(day.getDayOfWeek()::equals).orElse(true);
    }

    /** A weekday beside a day without its year, or in figures, is asked for by itself. */
    private Wording said(WrittenDate date, String path) {
        Stretch whole = date.whole();
        String words = whole.of(text);
        boolean figures = words.replaceAll("\\P{L}", "").length()
                <= date.name().map(name -> name.of(text).length()).orElse(0) + 2;
        String alone = "{" + path + " as "
                + (figures ? "short date" : date.year().isPresent() ? "long date" : "day and month") + "}";
        if (date.name().isEmpty()) {
            return new Wording(whole.start(), whole.end(), alone, true);
        }
        Stretch name = date.name().get();
        String weekday = "{" + path + " as weekday}";
        if (name.start() > whole.start()) {
            String between = text.substring(lastOfDay(date, name), name.start());
            return new Wording(
                    whole.start(),
                    whole.end(),
                    alone + between + weekday + text.substring(name.end(), whole.end()),
                    true);
        }
        if (date.year().isPresent() && !figures) {
            return new Wording(whole.start(), whole.end(), "{" + path + " as weekday and long date}", true);
        }
        return new Wording(whole.start(), whole.end(), weekday + between(date, name) + alone, true);
    }

    /** What stands between a weekday and the day after it: “, the ”. */
    private String between(WrittenDate date, Stretch name) {
        int end = date.whole().end();
        int to = blanks(name.end(), end);
        for (String word : beforeDay) {
            if (text.startsWith(word + " ", to)) {
                to = blanks(to + word.length(), end);
            }
        }
        return text.substring(name.end(), to);
    }

    private int blanks(int from, int end) {
        int to = from;
        while (to < end && !Character.isLetterOrDigit(text.charAt(to))) {
            to++;
        }
        return to;
    }

    /** Where the day ends that a weekday in brackets follows. */
    private int lastOfDay(WrittenDate date, Stretch name) {
        return text.lastIndexOf('(', name.start()) >= date.whole().start()
                ? text.substring(0, text.lastIndexOf('(', name.start()))
                        .stripTrailing()
                        .length()
                : name.start();
    }
}
