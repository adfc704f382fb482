package famulus.core.table;

import famulus.core.field.FieldType;
import famulus.core.record.EmailAddress;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.Pattern;

/** Finds out where columns go: by what was chosen for their headings before, by their headings, then by what they hold. */
public final class ColumnMatch {
    private static final Pattern PHONE = Pattern.compile("\\+?[0-9(][0-9 ()/.-]{5,20}[0-9]");
    private static final Pattern DATE = Pattern.compile("[0-9]{1,4}([./-])[0-9]{1,2}\\1[0-9]{1,4}");
    private static final int MOST_HEADING_ROWS = 5;

    private final List<Target> targets;
    private final Map<String, String> remembered;

    /**
     * Begins.
     *
     * @param targets where columns can go, in the order in which they are offered
     * @param remembered words of targets by headings, as {@link #key} makes them; an empty word for "left out"
     */
    public ColumnMatch(List<Target> targets, Map<String, String> remembered) {
        this.targets = List.copyOf(targets);
        this.remembered = Map.copyOf(remembered);
    }

    /** The form of a heading under which a choice is remembered. */
    public static String key(String heading) {
        return ColumnNames.fold(heading);
    }

    /**
     * Which row has the headings, from 1; 0 when none has. It is the one, among the first few, that names most targets; else
     * the first one where it has nothing but different words in it.
     */
    public int headings(List<TableRow> first) {
        int best = 0;
        long most = 0;
        for (int i = 0; i < Math.min(MOST_HEADING_ROWS, first.size()); i++) {
            long named = first.get(i).cells().stream()
                    .map(ColumnMatch::key)
                    .filter(this::names)
                    .count();
            if (named > most) {
                most = named;
                best = i + 1;
            }
        }
        return best > 0 || first.size() < 2 || !words(first.getFirst()) ? best : 1;
    }

    private boolean names(String key) {
        return !key.isEmpty()
                && (remembered.containsKey(key) || targets.stream().anyMatch(target -> fits(key, target) > 0));
    }

    private static boolean words(TableRow row) {
        Set<String> different = new HashSet<>();
        return row.cells().stream()
                .allMatch(cell -> !cell.isBlank()
                        && cell.indexOf('@') < 0
                        && cell.chars().noneMatch(Character::isDigit)
                        && different.add(key(cell)));
    }

    /**
     * Where each of some columns goes; empty for those of which nothing says it. No target is given to two columns, but that
     * of addresses.
     *
     * @param columns the headings and samples; what is said of targets in them is not asked
     */
    public List<Optional<Target>> match(List<TableColumn> columns) {
        List<Optional<Target>> match = new ArrayList<>(Collections.nCopies(columns.size(), Optional.empty()));
        Set<Target> taken = new HashSet<>();
        Set<Integer> settled = new HashSet<>();
        for (int i = 0; i < columns.size(); i++) {
            String word = remembered.get(key(columns.get(i).heading()));
            if (word != null) {
                Optional<Target> before = targets.stream()
                        .filter(target -> target.word().equals(word) && free(target, taken))
                        .findFirst();
                before.ifPresent(taken::add);
                match.set(i, before);
                settled.add(i);
            }
        }
        byHeading(columns, match, taken, settled);
        byContent(columns, match, taken, settled);
        return match;
    }

    private static boolean free(Target target, Set<Target> taken) {
        return target == Target.Other.EMAIL || !taken.contains(target);
    }

    /** The best fits come first, so that "Name" is not taken from a better heading of the same target. */
    private void byHeading(
            List<TableColumn> columns, List<Optional<Target>> match, Set<Target> taken, Set<Integer> settled) {
        record Fit(int column, Target target, int how) {}
        List<Fit> fits = new ArrayList<>();
        for (int i = 0; i < columns.size(); i++) {
            String key = key(columns.get(i).heading());
            for (Target target : targets) {
                int how = fits(key, target);
                if (how > 0) {
                    fits.add(new Fit(i, target, how));
                }
            }
        }
        fits.sort((one, other) -> Integer.compare(other.how(), one.how()));
        for (Fit fit : fits) {
            if (!settled.contains(fit.column()) && free(fit.target(), taken)) {
                match.set(fit.column(), Optional.of(fit.target()));
                taken.add(fit.target());
                settled.add(fit.column());
            }
        }
    }

    private static int fits(String key, Target target) {
        if (key.isEmpty()) {
            return 0;
        }
        String label =
                switch (target) {
                    case Target.OfField of -> of.field().label();
                    case Target.OfRelation of -> of.field().label();
                    case Target.OfName of -> "";
                    case Target.Other other -> "";
                };
        return key(label).equals(key) || key(target.word()).equals(key) ? 200 : ColumnNames.fits(key, target.word());
    }

    private void byContent(
            List<TableColumn> columns, List<Optional<Target>> match, Set<Target> taken, Set<Integer> settled) {
        for (int i = 0; i < columns.size(); i++) {
            if (settled.contains(i)) {
                continue;
            }
            List<String> samples = columns.get(i).samples();
            Optional<Target> found = Optional.empty();
            if (mostly(samples, cell -> EmailAddress.refusal(cell).isEmpty())) {
                found = first(target -> target == Target.Other.EMAIL);
            } else if (mostly(samples, ColumnMatch::isPhone)) {
                found = first(target -> ofType(target, FieldType.PHONE) && free(target, taken));
            } else if (mostly(samples, cell -> cell.startsWith("https://") || cell.startsWith("www."))) {
                found = first(target -> ofType(target, FieldType.LINK) && free(target, taken));
            }
            found.ifPresent(taken::add);
            match.set(i, found);
        }
    }

    private static boolean isPhone(String cell) {
        return PHONE.matcher(cell).matches()
                && !DATE.matcher(cell).matches()
                && cell.chars().filter(Character::isDigit).count() > 7;
    }

    private Optional<Target> first(Predicate<Target> fits) {
        return targets.stream().filter(fits).findFirst();
    }

    private static boolean ofType(Target target, FieldType type) {
        return target instanceof Target.OfField of && of.field().type() == type;
    }

    private static boolean mostly(List<String> samples, Predicate<String> fits) {
        return !samples.isEmpty() && samples.stream().filter(fits).count() * 10 >= samples.size() * 8L;
    }
}
