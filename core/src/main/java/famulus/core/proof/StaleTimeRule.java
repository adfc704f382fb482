package famulus.core.proof;

import famulus.core.prose.FoundWords;
import famulus.core.prose.Prose.Stretch;
import famulus.core.prose.WrittenDate;
import famulus.core.prose.WrittenDates;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.Month;
import java.time.YearMonth;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * {@code stale-time}: a day, month or year that has passed where the sentence looks ahead; what is said of this week, today or
 * tomorrow and names another day; figures “as of” a day long gone. A sentence that tells of the past is left alone.
 */
final class StaleTimeRule implements ProseRule {
    private static final String CODE = "stale-time";
    /** Without a year, a day longer ago is one of the next year. */
    private static final int DAYS_BACK = 60;

    private static final int MONTHS_BACK = 3;
    private static final int YEARS_BACK = 2;

    @Override
    public List<Note> read(List<ProseText> texts, Circumstances around) {
        List<Note> notes = new ArrayList<>();
        for (ProseText text : texts) {
            List<WrittenDate> dates = text.dates(around.reader());
            int at = 0;
            for (Stretch sentence : text.prose().sentences()) {
                int from = at;
                while (at < dates.size() && dates.get(at).whole().start() < sentence.end()) {
                    at++;
                }
                new Sentence(text, sentence, dates.subList(from, at), around.day()).read(notes);
            }
        }
        return notes;
    }

    /** One sentence on the day it is sent. */
    private static final class Sentence {
        private final ProseText text;
        private final Stretch stretch;
        private final String words;
        private final List<WrittenDate> dates;
        private final LocalDate day;

        Sentence(ProseText text, Stretch stretch, List<WrittenDate> dates, LocalDate day) {
            this.text = text;
            this.stretch = stretch;
            this.words = text.words(stretch);
            this.dates = dates;
            this.day = day;
        }

        void read(List<Note> notes) {
            if (!dates.isEmpty()) {
                asOf(notes);
                week("this_week", monday(), notes);
                week("next_week", monday().plusWeeks(1), notes);
            }
            beside("today", day, notes);
            beside("tomorrow", day.plusDays(1), notes);
            List<Note> passed = new ArrayList<>();
            dates(passed);
            months(passed);
            years(passed);
            // Which way a sentence looks is asked only where it matters: most sentences name no day.
            if (!passed.isEmpty() && text.has(stretch, "ahead") && !text.has(stretch, "back")) {
                notes.addAll(passed);
            }
        }

        private LocalDate monday() {
            return day.minusDays(day.getDayOfWeek().getValue() - 1L);
        }

        private void dates(List<Note> notes) {
            boolean ahead =
                    dates.stream().flatMap(one -> one.nearest(day).stream()).anyMatch(one -> !one.isBefore(day));
            if (ahead) {
                return;
            }
            for (WrittenDate date : dates) {
                date.nearest(day)
                        .filter(one -> one.isBefore(day))
                        .filter(one -> date.year().isPresent() || ChronoUnit.DAYS.between(one, day) <= DAYS_BACK)
                        .ifPresent(one -> notes.add(passed(date.whole())));
            }
        }

        private void months(List<Note> notes) {
            Matcher month = matcher("month_said");
            while (month.find()) {
                Stretch said =
                        new Stretch(stretch.start() + month.start("month"), stretch.start() + month.end("month"));
                Optional<Month> named = WrittenDates.month(month.group("month"), text.language());
                if (named.isEmpty() || ofADate(said)) {
                    continue;
                }
                Optional<Integer> year =
                        Optional.ofNullable(month.group("year")).map(Integer::parseInt);
                YearMonth now = YearMonth.from(day);
                YearMonth meant =
                        year.map(one -> YearMonth.of(one, named.get())).orElseGet(() -> lately(named.get(), now));
                boolean longAgo = year.isEmpty() && ChronoUnit.MONTHS.between(meant, now) > MONTHS_BACK;
                if (meant.isBefore(now) && !longAgo) {
                    int end = year.isPresent() ? stretch.start() + month.end("year") : said.end();
                    notes.add(passed(new Stretch(said.start(), end)));
                }
            }
        }

        /** The last of its name up to now. */
        private static YearMonth lately(Month month, YearMonth now) {
            YearMonth thisYear = YearMonth.of(now.getYear(), month);
            return thisYear.isAfter(now) ? thisYear.minusYears(1) : thisYear;
        }

        private void years(List<Note> notes) {
            if (words.indexOf("20") < 0) {
                return;
            }
            Matcher year = matcher("year_said");
            while (year.find()) {
                Stretch said = new Stretch(stretch.start() + year.start("year"), stretch.start() + year.end("year"));
                int ago = day.getYear() - Integer.parseInt(year.group("year"));
                if (ago >= 1 && ago <= YEARS_BACK && !ofADate(said)) {
                    notes.add(passed(said));
                }
            }
        }

        private void asOf(List<Note> notes) {
            Matcher asOf = matcher("as_of");
            while (asOf.find()) {
                int at = stretch.start() + asOf.end();
                dates.stream()
                        .filter(one -> one.whole().start() >= at && one.whole().start() - at <= 6)
                        .filter(one -> one.nearest(day)
                                .filter(then -> ChronoUnit.DAYS.between(then, day) > DAYS_BACK)
                                .isPresent())
                        .findFirst()
                        .ifPresent(one -> notes.add(note(
                                one.whole(),
                                "“" + text.words(one.whole()) + "” is " + ago(one) + " ago",
                                "See whether it still holds.")));
            }
        }

        private String ago(WrittenDate date) {
            long days = ChronoUnit.DAYS.between(date.nearest(day).orElseThrow(), day);
            return days < 365 ? days / 30 + " months" : "more than a year";
        }

        /** What is said of a week, and a day that lies in another one. */
        private void week(String key, LocalDate monday, List<Note> notes) {
            Matcher week = matcher(key);
            if (week.find()) {
                dates.stream()
                        .filter(one -> one.meant(day)
                                .noneMatch(then -> !then.isBefore(monday) && then.isBefore(monday.plusWeeks(1))))
                        .findFirst()
                        .ifPresent(one -> notes.add(notThen(week.group(), one.whole())));
            }
        }

        /** A weekday or date right after “today” or “tomorrow”. */
        private void beside(String key, LocalDate then, List<Note> notes) {
            Matcher said = matcher(key);
            while (said.find()) {
                int at = stretch.start() + said.end();
                Optional<WrittenDate> date = dates.stream()
                        .filter(one -> one.whole().start() >= at && one.whole().start() - at <= 4)
                        .findFirst();
                if (date.isPresent()) {
                    boolean right = date.get().meant(day).anyMatch(then::equals);
                    if (!right) {
                        notes.add(notThen(said.group(), date.get().whole()));
                    }
                    continue;
                }
                Matcher name = text.language()
                        .exact("weekday_after")
                        .matcher(text.prose().text());
                name.region(at, stretch.end());
                if (name.lookingAt()) {
                    Optional<DayOfWeek> weekday = WrittenDates.weekday(name.group("weekday"), text.language());
                    if (weekday.isPresent() && weekday.get() != then.getDayOfWeek()) {
                        notes.add(notThen(said.group(), new Stretch(name.start("weekday"), name.end("weekday"))));
                    }
                }
            }
        }

        private Note notThen(String said, Stretch about) {
            return note(
                    about,
                    "“" + text.words(about) + "” isn’t “" + said + "” on the day this is sent",
                    "Correct one of the two.");
        }

        private boolean ofADate(Stretch said) {
            return dates.stream().anyMatch(one -> one.whole().has(said.start()));
        }

        private Matcher matcher(String key) {
            // Months and years are told by their capitals and figures, all else by its words alone.
            boolean exact = key.endsWith("_said");
            Pattern pattern =
                    exact ? text.language().exact(key) : text.language().pattern(key);
            // Most sentences have none of these, and are known to have none.
            return pattern.matcher(FoundWords.has(words, pattern) ? words : "");
        }

        private Note passed(Stretch about) {
            return note(
                    about,
                    "“" + text.words(about) + "” has passed",
                    "The sentence looks ahead. Say which day is meant now.");
        }

        private Note note(Stretch about, String title, String remedy) {
            return text.note(CODE, Note.Level.QUERY, title, remedy, about);
        }
    }
}
