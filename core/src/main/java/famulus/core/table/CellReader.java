package famulus.core.table;

import com.ibm.icu.util.ULocale;
import famulus.core.field.FieldDefinition;
import famulus.core.field.FieldDefinition.FieldOption;
import famulus.core.field.FieldType;
import famulus.core.record.FieldInput;
import famulus.core.record.SearchText;
import famulus.core.table.TableStyle.DateOrder;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeFormatterBuilder;
import java.util.ArrayList;
import java.util.Currency;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads cells as others write them into what fields hold: dates and numbers in the style of their table, choices by their
 * labels, yes and no in three languages, amounts with signs of currencies, links without their beginning. What comes out is
 * checked like what is typed, by {@link FieldInput}.
 */
public final class CellReader {
    private static final Set<String> YES = Set.of("yes", "y", "true", "1", "x", "ja", "j", "wahr", "oui", "o", "vrai");
    private static final Set<String> NO = Set.of("no", "n", "false", "0", "nein", "falsch", "non", "faux");
    private static final Map<String, String> SIGNS =
            Map.of("£", "GBP", "€", "EUR", "¥", "JPY", "₹", "INR", "zł", "PLN");
    private static final Set<String> DOLLARS = Set.of("USD", "CAD", "AUD", "NZD", "SGD", "HKD");
    private static final Pattern BLANKS = Pattern.compile("[\\s\\u00a0\\u202f\\u2009]+");
    private static final Pattern IN_NUMBERS = Pattern.compile("([0-9]{1,2})([./-])([0-9]{1,2})\\2([0-9]{2}|[0-9]{4})");
    private static final Pattern CLOCK = Pattern.compile("^([0-9./-]+)[ T][0-9]{1,2}:[0-9]{2}.*$");
    private static final Pattern MONEY = Pattern.compile("([^0-9+.,-]*)([+-]?[0-9][0-9.,'’]*)([^0-9]*)");
    private static final Pattern BRACKETS = Pattern.compile(".*<([^<>]+)>");
    private static final Pattern DOMAIN = Pattern.compile("(?:[\\p{L}\\p{N}-]+\\.)+\\p{L}{2,}(?:[/?#].*)?");
    private static final List<DateTimeFormatter> IN_WORDS = inWords();

    private final TableStyle style;
    private final String country;
    private final String currency;
    private final Map<FieldDefinition, Map<String, String>> codes = new HashMap<>();

    /**
     * Begins.
     *
     * @param country two letters that telephone numbers without a prefix belong to
     * @param currency three letters of amounts without a sign
     */
    public CellReader(TableStyle style, String country, String currency) {
        this.style = style;
        this.country = country;
        this.currency = currency;
    }

    private static List<DateTimeFormatter> inWords() {
        List<DateTimeFormatter> formatters = new ArrayList<>();
        for (Locale locale : List.of(Locale.ENGLISH, Locale.GERMAN, Locale.FRENCH)) {
            for (String pattern :
                    List.of("d[.] MMMM uuuu", "d[.] MMM uuuu", "MMMM d, uuuu", "MMM d, uuuu", "d-MMM-uuuu")) {
                formatters.add(new DateTimeFormatterBuilder()
                        .parseCaseInsensitive()
                        .appendPattern(pattern)
                        .toFormatter(locale));
            }
        }
        return List.copyOf(formatters);
    }

    /**
     * Reads a cell.
     *
     * <p>E.g.: with commas as decimal marks, {@code 1.048,50 €} for a field of money is {@code 1048.50 EUR}.
     *
     * @param most how many characters the field holds
     * @return the stored form, or a sentence that says why it can't be read
     */
    public FieldInput read(FieldDefinition field, int most, String cell) {
        String text = text(cell);
        if (SpreadsheetCell.isFormula(cell.strip())) {
            return refused("There is a formula in this cell. Save the file with the results in place of formulas.");
        }
        if (text.isEmpty()) {
            return new FieldInput("", Optional.empty());
        }
        Optional<String> typed =
                switch (field.type()) {
                    case DATE -> date(text);
                    case NUMBER -> number(BLANKS.matcher(text).replaceAll(""));
                    case MONEY -> money(text);
                    case YES_NO -> yesOrNo(text);
                    case CHOICE -> Optional.of(code(field, text));
                    case CHOICES -> Optional.of(codes(field, text));
                    case EMAIL -> Optional.of(address(text));
                    case LINK -> Optional.of(DOMAIN.matcher(text).matches() ? "https://" + text : text);
                    case TEXT -> Optional.of(BLANKS.matcher(text).replaceAll(" "));
                    default -> Optional.of(text);
                };
        return typed.map(one -> FieldInput.read(field, most, false, one, country, currency))
                .orElseGet(() -> refused(sentence(field.type(), text)));
    }

    /** A cell without what programs put around it. */
    public static String text(String cell) {
        return SpreadsheetCell.plain(cell.strip()).strip();
    }

    /** An e-mail address without the name that stands before it in some files. */
    public static String address(String cell) {
        String text = text(cell);
        Matcher brackets = BRACKETS.matcher(text);
        String address = brackets.matches() ? brackets.group(1).strip() : text;
        return address.regionMatches(true, 0, "mailto:", 0, 7) ? address.substring(7) : address;
    }

    /** A number, plain; empty when it is none in this style. */
    public Optional<String> number(String text) {
        String digits = text.replace("'", "").replace("’", "");
        char grouping = style.decimal() == ',' ? '.' : ',';
        if (digits.indexOf(grouping) >= 0) {
            int end = digits.indexOf(style.decimal());
            String whole = end < 0 ? digits : digits.substring(0, end);
            if (!whole.matches("[+-]?[0-9]{1,3}(?:[.,][0-9]{3})+")) {
                return Optional.empty();
            }
            digits = whole.replace(String.valueOf(grouping), "") + (end < 0 ? "" : digits.substring(end));
        }
        String plain = digits.replace(style.decimal(), '.');
        return plain.matches("[+-]?[0-9]+(?:\\.[0-9]+)?") ? Optional.of(plain) : Optional.empty();
    }

    private Optional<String> money(String text) {
        Matcher parts = MONEY.matcher(BLANKS.matcher(text).replaceAll(""));
        if (!parts.matches()) {
            return Optional.empty();
        }
        String sign = parts.group(1).isEmpty() ? parts.group(3) : parts.group(1);
        return number(parts.group(2)).flatMap(amount -> currency(sign).map(code -> cents(amount) + " " + code));
    }

    /** Programs write more zeros behind the point than a currency has. */
    private static String cents(String amount) {
        return amount.indexOf('.') < 0 ? amount : amount.replaceAll("0+$", "").replaceAll("\\.$", "");
    }

    private Optional<String> currency(String sign) {
        if (sign.isEmpty()) {
            return Optional.of(currency);
        }
        if (sign.equals("$")) {
            return Optional.of(DOLLARS.contains(currency) ? currency : "USD");
        }
        if (SIGNS.containsKey(sign)) {
            return Optional.of(SIGNS.get(sign));
        }
        try {
            return Optional.of(
                    Currency.getInstance(sign.toUpperCase(Locale.ROOT)).getCurrencyCode());
        } catch (IllegalArgumentException unknown) {
            return Optional.empty();
        }
    }

    /** A date of ISO 8601; empty when it is none in this style. */
    public Optional<String> date(String text) {
        Matcher clock = CLOCK.matcher(text);
        String day = clock.matches() ? clock.group(1) : text;
        try {
            Matcher numbers = IN_NUMBERS.matcher(day);
            if (numbers.matches()) {
                int first = Integer.parseInt(numbers.group(1));
                int second = Integer.parseInt(numbers.group(3));
                boolean days =
                        style.dates() == DateOrder.DAY_FIRST || numbers.group(2).equals(".");
                return Optional.of(LocalDate.of(year(numbers.group(4)), days ? second : first, days ? first : second)
                        .toString());
            }
            return Optional.of(LocalDate.parse(day.replace('/', '-')).toString());
        } catch (DateTimeException other) {
            return IN_WORDS.stream()
                    .flatMap(formatter -> parsed(formatter, day).stream())
                    .findFirst();
        }
    }

    private static int year(String digits) {
        int year = Integer.parseInt(digits);
        if (digits.length() == 4) {
            return year;
        }
        return year < 70 ? 2000 + year : 1900 + year;
    }

    private static Optional<String> parsed(DateTimeFormatter formatter, String text) {
        try {
            return Optional.of(LocalDate.parse(text, formatter).toString());
        } catch (DateTimeException other) {
            return Optional.empty();
        }
    }

    /** Yes or no, in three languages; empty for anything else. */
    static Optional<String> yesOrNo(String text) {
        String folded = SearchText.folded(text);
        if (YES.contains(folded)) {
            return Optional.of("yes");
        }
        return NO.contains(folded) ? Optional.of("no") : Optional.empty();
    }

    private String code(FieldDefinition field, String text) {
        return codes.computeIfAbsent(field, CellReader::codes).getOrDefault(SearchText.folded(text), text);
    }

    private String codes(FieldDefinition field, String text) {
        List<String> found = new ArrayList<>();
        for (String one : text.split("[;|\\n]|,(?=\\s)")) {
            if (!one.isBlank()) {
                found.add(code(field, one.strip()));
            }
        }
        return String.join("\n", found);
    }

    /** Codes by all that their choices are called, folded; names of countries and languages also in German and French. */
    private static Map<String, String> codes(FieldDefinition field) {
        Map<String, String> codes = new HashMap<>();
        for (FieldOption choice : field.choices()) {
            String code = choice.code();
            List<String> names = new ArrayList<>(List.of(choice.label(), code));
            names.addAll(choice.earlier());
            if (field.name().equals("country")) {
                ULocale place = new ULocale("und_" + code);
                names.add(place.getDisplayCountry(ULocale.GERMAN));
                names.add(place.getDisplayCountry(ULocale.FRENCH));
                names.add(place.getISO3Country());
            } else if (field.name().equals("language")) {
                ULocale language = new ULocale(code);
                names.add(language.getDisplayLanguage(ULocale.GERMAN));
                names.add(language.getDisplayLanguage(ULocale.FRENCH));
                names.add(language.getDisplayLanguage(language));
            }
            names.forEach(name -> codes.putIfAbsent(SearchText.folded(name), code));
        }
        return codes;
    }

    private String sentence(FieldType type, String text) {
        String shown = "“" + (text.length() > 60 ? text.substring(0, 60) + "…" : text) + "”";
        return switch (type) {
            case DATE ->
                shown + " is not a date, read with the " + (style.dates() == DateOrder.DAY_FIRST ? "day" : "month")
                        + " first.";
            case NUMBER -> shown + " is not a number, read with a decimal " + mark() + ".";
            case MONEY -> shown + " is not an amount, read with a decimal " + mark() + ".";
            default -> shown + " is neither yes nor no.";
        };
    }

    private String mark() {
        return style.decimal() == ',' ? "comma" : "point";
    }

    private static FieldInput refused(String sentence) {
        return new FieldInput("", Optional.of(sentence));
    }
}
