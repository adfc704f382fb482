package famulus.core.prose;

import famulus.core.prose.Prose.Stretch;
import famulus.core.prose.WrittenDate.DayAndMonth;
import java.time.DayOfWeek;
import java.time.Month;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.IntFunction;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Finds the days that a text names, in the ways people write them in its language: “8 May”, “May 8th, 2026”, “8. Mai”,
 * “le 8 mai”, “8.5.”, “08/05/26”, “2026-05-08”, each with or without a weekday before it or in brackets after it.
 */
public final class WrittenDates {
    /** Countries that write the month first. */
    private static final String MONTH_FIRST = "US";

    private static final int CENTURY = 2000;
    private static final Map<WrittenLanguage, WrittenDates> ALL = new ConcurrentHashMap<>();

    private final List<Pattern> forms;
    private final Pattern before;
    private final Pattern after;
    private final Map<String, Month> months;
    private final Map<String, DayOfWeek> weekdays;

    private WrittenDates(WrittenLanguage language) {
        months = numbered(language, "months", Month::of);
        weekdays = numbered(language, "weekdays", DayOfWeek::of);
        String month = "(?<month>" + any(months) + ")";
        String weekday = "(?<weekday>" + any(weekdays) + ")\\.?";
        String year = "(?:,?\\s+(?<year>(?:19|20)\\d\\d)(?!\\d|[.:]\\d))?";
        String day = "(?<![\\d.:/-])(?<day>\\d{1,2})";
        // In German alone 8.5. is a day without its year; elsewhere that is a version, or the end of a sentence.
        boolean dotted = language == WrittenLanguage.GERMAN;
        forms = List.of(
                form(day + "(?:st|nd|rd|th|er|\\.)?\\s*(?:of\\s+)?" + month + "(?:\\.(?=\\s+\\d))?" + year
                        + "(?![\\p{L}\\d])"),
                form("(?<![\\p{L}])" + month + "\\s+(?<day>\\d{1,2})(?:st|nd|rd|th)?(?![\\d:%\\p{L}])" + year),
                form(day + "(?<by>\\.)\\s?(?<second>\\d{1,2})\\.(?:\\s?(?<year>" + (dotted ? "(?:20)?" : "20")
                        + "\\d\\d)(?!\\d|[.:]\\d))" + (dotted ? "?(?!\\d)" : "")),
                form(day + "(?<by>[/.-])(?<second>\\d{1,2})\\k<by>(?<year>(?:20)?\\d\\d)(?!\\d)"),
                form(day + "(?<by>/)(?<second>\\d{1,2})(?![\\d/])"),
                form("(?<!\\d)(?<year>20\\d\\d)-(?<second>\\d{2})-(?<day>\\d{2})(?!\\d)"));
        before = form("(?<![\\p{L}])" + weekday + "(?:,|\\s*,?\\s+"
                + language.list("before_day").stream().map(Pattern::quote).collect(Collectors.joining("|", "(?:", ")"))
                + ",?)?\\s*$");
        after = form("^\\s*\\(\\s*" + weekday + "\\s*\\)");
    }

    private static Pattern form(String written) {
        return Pattern.compile(written, Pattern.UNICODE_CHARACTER_CLASS);
    }

    private static String any(Map<String, ?> names) {
        return names.keySet().stream()
                .sorted(Comparator.comparingInt(String::length).reversed())
                .map(Pattern::quote)
                .collect(Collectors.joining("|"));
    }

    /** Names of a list by number: those of one place in it are parted by a stroke. */
    private static <T> Map<String, T> numbered(WrittenLanguage language, String key, IntFunction<T> of) {
        Map<String, T> all = new LinkedHashMap<>();
        List<String> places = language.list(key);
        for (int i = 0; i < places.size(); i++) {
            for (String name : places.get(i).split("\\|")) {
                all.put(name, of.apply(i + 1));
            }
        }
        return all;
    }

    /**
     * The days a text names, in its order.
     *
     * @param reader where its reader is, which says how 4/5 is read; both ways where no country is named in English
     */
    public static List<WrittenDate> in(String text, WrittenLanguage language, Locale reader) {
        return ALL.computeIfAbsent(language, WrittenDates::new).find(text, language, reader);
    }

    /** The weekday that a name is; empty for any other word. */
    public static Optional<DayOfWeek> weekday(String name, WrittenLanguage language) {
        return Optional.ofNullable(
                ALL.computeIfAbsent(language, WrittenDates::new).weekdays.get(name.replace(".", "")));
    }

    /** The month that a name is; empty for any other word. */
    public static Optional<Month> month(String name, WrittenLanguage language) {
        return Optional.ofNullable(
                ALL.computeIfAbsent(language, WrittenDates::new).months.get(name.replace(".", "")));
    }

    private List<WrittenDate> find(String text, WrittenLanguage language, Locale reader) {
        List<WrittenDate> found = new ArrayList<>();
        BitSet taken = new BitSet(text.length());
        List<Stretch> lines = withFigures(text);
        FoundWords known = FoundWords.in(text);
        for (Pattern form : lines.isEmpty() ? List.<Pattern>of() : forms) {
            List<Stretch> places = known.all(form);
            Matcher date = form.matcher(text).useTransparentBounds(true).useAnchoringBounds(false);
            for (Stretch line : lines) {
                if (places.stream().noneMatch(one -> line.has(one.start()))) {
                    continue;
                }
                date.region(line.start(), line.end());
                while (date.find()) {
                    int next = taken.nextSetBit(date.start());
                    if (next < 0 || next >= date.end()) {
                        found(text, date, form, language, reader).ifPresent(one -> {
                            found.add(one);
                            taken.set(one.whole().start(), one.whole().end());
                        });
                    }
                }
            }
        }
        found.sort(Comparator.comparingInt(one -> one.whole().start()));
        return found;
    }

    /** A day stands on one line, and has a figure in it: most lines have none, and need not be looked through. */
    private static List<Stretch> withFigures(String text) {
        List<Stretch> lines = new ArrayList<>();
        int from = 0;
        boolean figure = false;
        for (int i = 0; i <= text.length(); i++) {
            char at = i < text.length() ? text.charAt(i) : '\n';
            figure |= at >= '0' && at <= '9';
            if (at == '\n') {
                if (figure) {
                    lines.add(new Stretch(from, i));
                }
                from = i + 1;
                figure = false;
            }
        }
        return lines;
    }

    private Optional<WrittenDate> found(
            String text, Matcher date, Pattern form, WrittenLanguage language, Locale reader) {
        Map<String, Integer> groups = form.namedGroups();
        int day = Integer.parseInt(date.group("day"));
        String by = groups.containsKey("by") ? date.group("by") : "";
        List<DayAndMonth> days = groups.containsKey("month")
                ? List.of(new DayAndMonth(day, months.get(date.group("month"))))
                : inFigures(day, Integer.parseInt(date.group("second")), by, language, reader);
        Optional<Integer> year = Optional.ofNullable(groups.containsKey("year") ? date.group("year") : null)
                .map(Integer::parseInt)
                .map(number -> number < 100 ? CENTURY + number : number);
        Stretch number = new Stretch(date.start("day"), date.end("day"));
        Stretch whole = new Stretch(date.start(), date.end());
        String line = text.substring(Math.max(0, date.start() - 24), date.start());
        Matcher ahead = before.matcher(line);
        Matcher behind = after.matcher(text.substring(date.end(), Math.min(text.length(), date.end() + 24)));
        Optional<Stretch> name = Optional.empty();
        if (ahead.find()) {
            int from = date.start() - line.length();
            name = Optional.of(new Stretch(from + ahead.start("weekday"), from + ahead.end("weekday")));
            whole = new Stretch(from + ahead.start("weekday"), date.end());
        } else if (behind.find()) {
            name = Optional.of(new Stretch(date.end() + behind.start("weekday"), date.end() + behind.end("weekday")));
            whole = new Stretch(date.start(), date.end() + behind.end());
        }
        // “1/2” alone may be a half, and “3.5.” the end of a sentence.
        boolean figure = groups.containsKey("by") && year.isEmpty() && !by.equals(".");
        if (days.isEmpty() || (figure && name.isEmpty())) {
            return Optional.empty();
        }
        Optional<DayOfWeek> weekday = name.map(one -> weekdays.get(one.of(text)));
        return Optional.of(new WrittenDate(whole, days, year, weekday, name, number));
    }

    private static List<DayAndMonth> inFigures(
            int first, int second, String by, WrittenLanguage language, Locale reader) {
        List<DayAndMonth> days = new ArrayList<>();
        boolean monthFirst = reader.getCountry().equals(MONTH_FIRST) && by.equals("/");
        boolean eitherWay = by.equals("/")
                && language == WrittenLanguage.ENGLISH
                && reader.getCountry().isEmpty();
        if ((!monthFirst || eitherWay) && second >= 1 && second <= 12) {
            days.add(new DayAndMonth(first, Month.of(second)));
        }
        if ((monthFirst || eitherWay) && first >= 1 && first <= 12) {
            days.add(new DayAndMonth(second, Month.of(first)));
        }
        return days;
    }
}
