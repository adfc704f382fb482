package famulus.core.intake;

import com.google.i18n.phonenumbers.PhoneNumberMatch;
import com.google.i18n.phonenumbers.PhoneNumberUtil;
import com.google.i18n.phonenumbers.PhoneNumberUtil.Leniency;
import com.google.i18n.phonenumbers.PhoneNumberUtil.MatchType;
import com.ibm.icu.text.NumberFormat;
import com.ibm.icu.text.RuleBasedNumberFormat;
import com.ibm.icu.util.Currency;
import com.ibm.icu.util.ULocale;
import famulus.core.field.Value;
import famulus.core.prose.WrittenLanguage;
import famulus.core.record.FoldedText;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Finds amounts, numbers and telephone numbers. */
final class SaidFigures {
    private static final Pattern FIGURE = Pattern.compile(
            "(?<![\\p{L}\\d.,:/-])(?:\\d{1,3}(?:(?<by>[.,'’\\u00a0\\u202f ])\\d{3})(?:\\k<by>\\d{3})*|\\d+)(?:[.,]\\d{1,2})?(?![\\d:/]|[.,]\\d)");
    /** A word or sign of a currency stands so near. */
    private static final int NEAR = 12;
    /** Smaller numbers may be anything. */
    private static final BigDecimal SMALL = BigDecimal.TEN;
    /** Larger ones are hardly written in words. */
    private static final BigDecimal MOST_IN_WORDS = BigDecimal.valueOf(100);

    private static final BigDecimal LARGE = BigDecimal.valueOf(1000);

    private final String text;
    private final FoldedText folded;
    private final WrittenLanguage language;
    private final List<Figure> figures = new ArrayList<>();
    private final List<PhoneNumberMatch> phones = new ArrayList<>();
    private final PhoneNumberUtil numbers = PhoneNumberUtil.getInstance();

    private record Figure(int start, int end, BigDecimal number, boolean parts) {}

    SaidFigures(String text, FoldedText folded, WrittenLanguage language, Locale reader) {
        this.text = text;
        this.folded = folded;
        this.language = language;
        Matcher figure = FIGURE.matcher(text);
        while (figure.find()) {
            String digits = figure.group();
            int mark = Math.max(digits.lastIndexOf('.'), digits.lastIndexOf(','));
            boolean parts = mark >= 0 && digits.length() - mark <= 3;
            String whole = (parts ? digits.substring(0, mark) : digits).replaceAll("\\D", "");
            figures.add(new Figure(
                    figure.start(),
                    figure.end(),
                    new BigDecimal(parts ? whole + "." + digits.substring(mark + 1) : whole),
                    parts));
        }
        String country = reader.getCountry();
        numbers.findNumbers(text, country.isEmpty() ? null : country, Leniency.POSSIBLE, Long.MAX_VALUE)
                .forEach(phones::add);
    }

    List<Wording> of(KnownValue known) {
        String path = known.path().toString();
        return switch (known.value()) {
            case Value.Number number -> number(number.number(), path);
            case Value.Money money -> money(money, path);
            case Value.Phone phone -> phone(phone.number(), path);
            default -> List.of();
        };
    }

    private List<Wording> number(BigDecimal number, String path) {
        List<Wording> all = new ArrayList<>();
        boolean large = number.compareTo(SMALL) >= 0;
        figures.stream()
                .filter(figure -> figure.number().compareTo(number) == 0)
                .map(figure -> new Wording(figure.start(), figure.end(), "{" + path + "}", large))
                .forEach(all::add);
        if (number.stripTrailingZeros().scale() <= 0 && number.signum() > 0 && number.compareTo(MOST_IN_WORDS) <= 0) {
            NumberFormat spelt =
                    new RuleBasedNumberFormat(ULocale.forLocale(language.locale()), RuleBasedNumberFormat.SPELLOUT);
            folded.all(spelt.format(number).replace("\u00AD", "")).stream()
                    .map(found -> new Wording(found.start(), found.end(), "{" + path + " as words}", large))
                    .forEach(all::add);
        }
        return all;
    }

    private List<Wording> money(Value.Money money, String path) {
        String sign = sign(money.currency());
        Pattern before = Pattern.compile("(?:" + sign + ")\\s?$", Pattern.CASE_INSENSITIVE);
        Pattern after = Pattern.compile("^\\s?(?:" + sign + ")(?!\\p{L})", Pattern.CASE_INSENSITIVE);
        return figures.stream()
                .filter(figure -> figure.number().compareTo(money.amount()) == 0)
                .map(figure -> {
                    Matcher left = before.matcher(text.substring(Math.max(0, figure.start() - NEAR), figure.start()));
                    Matcher right =
                            after.matcher(text.substring(figure.end(), Math.min(text.length(), figure.end() + NEAR)));
                    String whole = figure.parts()
                                    || money.amount().stripTrailingZeros().scale() > 0
                            ? ""
                            : " as whole money";
                    if (left.find()) {
                        return new Wording(
                                figure.start() - left.group().length(), figure.end(), "{" + path + whole + "}", true);
                    }
                    if (right.find()) {
                        return new Wording(figure.start(), figure.end() + right.end(), "{" + path + whole + "}", true);
                    }
                    return new Wording(
                            figure.start(),
                            figure.end(),
                            "{" + path + " as plain amount}",
                            money.amount().compareTo(LARGE) >= 0);
                })
                .toList();
    }

    /** How an amount is marked as one of a currency: its code, its signs and its names, one of them in a pattern. */
    private String sign(String code) {
        ULocale locale = ULocale.forLocale(language.locale());
        try {
            Currency currency = Currency.getInstance(code);
            return Stream.of(
                            code,
                            currency.getSymbol(locale),
                            currency.getName(locale, Currency.NARROW_SYMBOL_NAME, null),
                            currency.getName(locale, Currency.PLURAL_LONG_NAME, "one", null),
                            currency.getName(locale, Currency.PLURAL_LONG_NAME, "other", null),
                            lastWord(currency.getName(locale, Currency.PLURAL_LONG_NAME, "one", null)),
                            lastWord(currency.getName(locale, Currency.PLURAL_LONG_NAME, "other", null)))
                    .distinct()
                    .sorted((one, other) -> other.length() - one.length())
                    .map(Pattern::quote)
                    .collect(Collectors.joining("|"));
        } catch (IllegalArgumentException unknown) {
            return Pattern.quote(code);
        }
    }

    /** Of “British pounds” it is the pounds that are said. */
    private static String lastWord(String name) {
        return name.substring(name.lastIndexOf(' ') + 1);
    }

    private List<Wording> phone(String number, String path) {
        return phones.stream()
                .filter(match -> {
                    MatchType fit = numbers.isNumberMatch(match.number(), number);
                    return fit == MatchType.EXACT_MATCH || fit == MatchType.NSN_MATCH;
                })
                .map(match -> new Wording(
                        match.start(),
                        match.end(),
                        "{" + path + " as " + (match.rawString().startsWith("+") ? "international" : "national") + "}",
                        true))
                .toList();
    }
}
