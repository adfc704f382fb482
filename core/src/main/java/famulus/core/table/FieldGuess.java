package famulus.core.table;

import famulus.core.field.FieldType;
import famulus.core.record.EmailAddress;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.Pattern;

/**
 * The field that could be made for a column.
 *
 * @param choices what may be chosen in it; empty where it is no choice
 */
public record FieldGuess(FieldType type, List<String> choices) {
    private static final int FEW = 12;
    private static final int LONG = 150;
    private static final Pattern NUMBER_LIKE_A_NAME = Pattern.compile("[+0].*[0-9].*");

    /**
     * Looks at what a column holds.
     *
     * @param cells some of its cells, without blank ones
     */
    public static FieldGuess of(List<String> cells, TableStyle style) {
        CellReader reader = new CellReader(style, "GB", "GBP");
        if (cells.isEmpty()) {
            return new FieldGuess(FieldType.TEXT, List.of());
        }
        if (all(cells, cell -> CellReader.yesOrNo(cell).isPresent()) && !all(cells, cell -> cell.matches("[0-9]"))) {
            return new FieldGuess(FieldType.YES_NO, List.of());
        }
        if (mostly(cells, cell -> reader.date(cell).isPresent())) {
            return new FieldGuess(FieldType.DATE, List.of());
        }
        // A number with a zero or a plus in front is a customer number or a telephone number: nobody adds it up.
        if (mostly(cells, cell -> reader.number(cell.replace(" ", "")).isPresent())
                && cells.stream()
                        .noneMatch(cell -> cell.length() > 1
                                && NUMBER_LIKE_A_NAME.matcher(cell).matches()
                                && cell.indexOf(style.decimal()) != 1)) {
            return new FieldGuess(FieldType.NUMBER, List.of());
        }
        if (mostly(cells, cell -> EmailAddress.refusal(cell).isEmpty())) {
            return new FieldGuess(FieldType.EMAIL, List.of());
        }
        if (mostly(cells, cell -> cell.matches("https?://\\S+|www\\.\\S+"))) {
            return new FieldGuess(FieldType.LINK, List.of());
        }
        if (cells.stream().anyMatch(cell -> cell.length() > LONG || cell.indexOf('\n') >= 0)) {
            return new FieldGuess(FieldType.LONG_TEXT, List.of());
        }
        return choices(cells).orElseGet(() -> new FieldGuess(FieldType.TEXT, List.of()));
    }

    private static boolean all(List<String> cells, Predicate<String> fits) {
        return cells.stream().allMatch(fits);
    }

    /** A mistake here and there does not make a column of dates one of texts: its row will be said to have one. */
    private static boolean mostly(List<String> cells, Predicate<String> fits) {
        return cells.stream().filter(fits).count() * 5 >= cells.size() * 4L;
    }

    /** A few words that come again and again are choices. */
    private static Optional<FieldGuess> choices(List<String> cells) {
        Set<String> different = new LinkedHashSet<>();
        for (String cell : cells) {
            different.add(cell.strip());
        }
        boolean few = different.size() <= FEW && cells.size() >= different.size() * 4;
        boolean brief = different.stream().allMatch(one -> one.length() <= 40);
        return few && brief ? Optional.of(new FieldGuess(FieldType.CHOICE, List.copyOf(different))) : Optional.empty();
    }
}
