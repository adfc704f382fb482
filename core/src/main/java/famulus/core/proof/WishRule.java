package famulus.core.proof;

import famulus.core.calendar.HolidayRule;
import famulus.core.prose.Prose.Stretch;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;

/** {@code stale-time} in what one wishes: a happy Easter in July, a nice weekend on a Monday. */
final class WishRule implements ProseRule {
    private static final Set<DayOfWeek> EARLY = Set.of(DayOfWeek.MONDAY, DayOfWeek.TUESDAY, DayOfWeek.WEDNESDAY);
    /** Where summer is in January. */
    private static final Set<String> SOUTH = Set.of("AU", "NZ", "ZA", "AR", "CL", "UY", "BR", "PE", "BO", "PY", "NA");

    private static final HolidayRule EASTER = HolidayRule.read("easter").orElseThrow();

    /** A wish, and when it is none too early or late. */
    private record Wish(String key, Predicate<LocalDate> fits, boolean ofTheNorth) {}

    private static final List<Wish> WISHES = List.of(
            new Wish("wish_christmas", day -> within(day, MonthDay.of(11, 15), MonthDay.of(1, 6)), false),
            new Wish("wish_new_year", day -> within(day, MonthDay.of(12, 1), MonthDay.of(1, 31)), false),
            new Wish("wish_easter", WishRule::aroundEaster, false),
            new Wish("wish_weekend", day -> !EARLY.contains(day.getDayOfWeek()), false),
            new Wish("wish_spring", day -> within(day, MonthDay.of(2, 10), MonthDay.of(6, 5)), true),
            new Wish("wish_summer", day -> within(day, MonthDay.of(5, 10), MonthDay.of(9, 10)), true),
            new Wish("wish_autumn", day -> within(day, MonthDay.of(8, 20), MonthDay.of(12, 1)), true),
            new Wish("wish_winter", day -> within(day, MonthDay.of(11, 10), MonthDay.of(3, 5)), true));

    @Override
    public List<Note> read(List<ProseText> texts, Circumstances around) {
        List<Note> notes = new ArrayList<>();
        boolean south = SOUTH.contains(around.reader().getCountry());
        List<String> unfit = WISHES.stream()
                .filter(wish -> !wish.fits().test(around.day()) && !(south && wish.ofTheNorth()))
                .map(Wish::key)
                .toList();
        for (ProseText text : texts) {
            for (Stretch said : text.all(text.language().anyOf(unfit))) {
                if (!text.has(text.prose().sentenceAt(said.start()), "back")) {
                    notes.add(text.note(
                            "stale-time",
                            Note.Level.QUERY,
                            "“" + text.words(said) + "” doesn’t fit the day this is sent",
                            "Change it, or leave it out.",
                            said));
                }
            }
        }
        return notes;
    }

    private static boolean within(LocalDate day, MonthDay from, MonthDay to) {
        MonthDay on = MonthDay.from(day);
        return from.isAfter(to) ? !on.isBefore(from) || !on.isAfter(to) : !on.isBefore(from) && !on.isAfter(to);
    }

    private static boolean aroundEaster(LocalDate day) {
        LocalDate easter = EASTER.in(day.getYear());
        return !day.isBefore(easter.minusDays(24)) && !day.isAfter(easter.plusDays(8));
    }
}
