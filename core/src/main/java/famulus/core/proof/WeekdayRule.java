package famulus.core.proof;

import famulus.core.prose.Prose.Stretch;
import famulus.core.prose.WrittenDate;
import famulus.core.prose.WrittenLanguage;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.format.TextStyle;
import java.time.temporal.ChronoUnit;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** {@code weekday-date}: a weekday that does not belong to its date, and a day that no calendar has. */
final class WeekdayRule implements ProseRule {
    @Override
    public List<Note> read(List<ProseText> texts, Circumstances around) {
        List<Note> notes = new ArrayList<>();
        for (ProseText text : texts) {
            for (WrittenDate date : text.dates(around.reader())) {
                wrong(text, date, around.day()).ifPresent(notes::add);
            }
        }
        return notes;
    }

    private static Optional<Note> wrong(ProseText text, WrittenDate date, LocalDate day) {
        String written = text.words(date.whole());
        if (!date.exists()) {
            return Optional.of(
                    note(text, date.whole(), "There is no “" + written + "”", "Correct the date.", List.of()));
        }
        if (date.weekday().isEmpty() || fits(text, date, day)) {
            return Optional.empty();
        }
        LocalDate meant = date.nearest(day).orElseThrow();
        String right = name(meant.getDayOfWeek(), TextStyle.FULL, text.language());
        return Optional.of(note(
                text,
                date.whole(),
                text.words(date.number()) + " " + month(meant, text.language()) + " " + meant.getYear() + " is a "
                        + meant.getDayOfWeek().getDisplayName(TextStyle.FULL, Locale.ENGLISH),
                "Correct the weekday (" + right + ") or the date.",
                instead(text, date, written, meant)));
    }

    /** Whether a day is the weekday it is called; one without its year may be told of years later. */
    private static boolean fits(ProseText text, WrittenDate date, LocalDate day) {
        Stretch sentence = text.prose().sentenceAt(date.whole().start());
        boolean told = date.year().isEmpty() && text.has(sentence, "back");
        boolean longPast = date.year().isEmpty() && text.has(sentence, "long_past");
        return longPast
                || Stream.concat(date.meant(day), told ? date.past(day) : Stream.empty())
                        .anyMatch(one -> one.getDayOfWeek() == date.weekday().get());
    }

    private static String month(LocalDate day, WrittenLanguage language) {
        return day.getMonth().getDisplayName(TextStyle.FULL, language.locale());
    }

    private static Note note(ProseText text, Stretch about, String title, String remedy, List<String> instead) {
        return text.note(StopCode.WEEKDAY_DATE.code(), Note.Level.STOP, title, remedy, about, instead);
    }

    /** The same with the right weekday, and with the nearest day of the month that is the weekday it names. */
    private static List<String> instead(ProseText text, WrittenDate date, String written, LocalDate meant) {
        int from = date.whole().start();
        Stretch name = date.name().orElseThrow();
        String said = text.words(name);
        TextStyle style = said.replace(".", "").length() > 4 ? TextStyle.FULL : TextStyle.SHORT;
        String right = cased(said, name(meant.getDayOfWeek(), style, text.language()));
        DayOfWeek wanted = date.weekday().orElseThrow();
        Optional<LocalDate> other = Stream.of(
                        meant.with(TemporalAdjusters.previous(wanted)), meant.with(TemporalAdjusters.next(wanted)))
                .filter(one -> one.getMonth() == meant.getMonth())
                .min(Comparator.comparingLong(one -> Math.abs(ChronoUnit.DAYS.between(meant, one))));
        return Stream.concat(
                        Stream.of(replaced(written, name, from, right)),
                        other.stream().map(day -> replaced(written, date.number(), from, "" + day.getDayOfMonth())))
                .toList();
    }

    private static String replaced(String written, Stretch part, int from, String by) {
        return written.substring(0, part.start() - from) + by + written.substring(part.end() - from);
    }

    private static String name(DayOfWeek day, TextStyle style, WrittenLanguage language) {
        return day.getDisplayName(style, language.locale()).replace(".", "");
    }

    private static String cased(String like, String name) {
        return Character.isUpperCase(like.codePointAt(0))
                ? name.substring(0, 1).toUpperCase(Locale.ROOT) + name.substring(1)
                : name;
    }
}
