package famulus.core.table;

import java.util.regex.Pattern;

/**
 * Cells that spreadsheet programs would take for formulas. Those that are written get an apostrophe in front, which such
 * programs take for "this is text"; in those that are read the apostrophe is taken away again.
 */
public final class SpreadsheetCell {
    private static final String STARTS = "=+-@\t\r";
    private static final Pattern HARMLESS = Pattern.compile("[+-]?[0-9][0-9 .,]*");

    private SpreadsheetCell() {}

    /**
     * A text as a cell in which nothing is worked out.
     *
     * <p>E.g.: {@code =1+1} becomes {@code '=1+1}; {@code +441632960187} and {@code -5.5} stay.
     */
    public static String safe(String text) {
        return starts(text) && !HARMLESS.matcher(text).matches() ? "'" + text : text;
    }

    /** The text of a cell that {@link #safe} made, or that a program wrote as {@code ="text"}. */
    public static String plain(String cell) {
        if (cell.length() > 1 && cell.charAt(0) == '\'' && starts(cell.substring(1))) {
            return cell.substring(1);
        }
        if (cell.length() > 2
                && cell.startsWith("=\"")
                && cell.endsWith("\"")
                && cell.indexOf('"', 2) == cell.length() - 1) {
            return cell.substring(2, cell.length() - 1);
        }
        return cell;
    }

    /** Whether a cell, as it came, holds a formula. */
    public static boolean isFormula(String cell) {
        return cell.length() > 1 && cell.charAt(0) == '=' && plain(cell).equals(cell);
    }

    private static boolean starts(String text) {
        return !text.isEmpty() && STARTS.indexOf(text.charAt(0)) >= 0;
    }
}
