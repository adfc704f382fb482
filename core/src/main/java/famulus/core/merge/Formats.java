package famulus.core.merge;

import com.ibm.icu.number.LocalizedNumberFormatter;
import com.ibm.icu.number.NumberFormatter;
import com.ibm.icu.number.Precision;
import com.ibm.icu.text.ListFormatter;
import com.ibm.icu.text.RelativeDateTimeFormatter;
import com.ibm.icu.text.RuleBasedNumberFormat;
import com.ibm.icu.util.Currency;
import com.ibm.icu.util.MeasureUnit;
import com.ibm.icu.util.ULocale;
import famulus.core.field.Value;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/** Prints values in one language and region, by the data of Unicode CLDR. Safe to share. */
final class Formats {
    private static final Map<Locale, Formats> BY_LOCALE = new ConcurrentHashMap<>();

    private final Locale locale;
    private final DateFormats dates;
    private final LocalizedNumberFormatter numbers;
    private final Map<Object, LocalizedNumberFormatter> numberFormats = new ConcurrentHashMap<>();
    private final Map<Amount, LocalizedNumberFormatter> amounts = new ConcurrentHashMap<>();
    private final PrintedBefore before = new PrintedBefore();

    private record Amount(FormatName format, String currency) {}

    private Formats(Locale locale) {
        this.locale = locale;
        this.dates = new DateFormats(locale);
        this.numbers = NumberFormatter.withLocale(locale)
                .precision(Precision.maxFraction(6))
                .roundingMode(RoundingMode.HALF_UP);
    }

    /** The formats of a language and region. */
    static Formats in(Locale locale) {
        return BY_LOCALE.computeIfAbsent(locale, Formats::new);
    }

    /**
     * Prints a value.
     *
     * @param format as asked for; one that does not fit the value is passed over, and the type's own way is used
     * @param zone where moments are read
     * @param now what distances are counted from
     */
    String print(Value value, Optional<Format> format, ZoneId zone, Instant now) {
        if (value instanceof Value.Text text) {
            return text(text.text(), format);
        }
        return alikeEveryDay(value, format)
                ? before.text(value, format, () -> printed(value, format, zone, now))
                : printed(value, format, zone, now);
    }

    private static boolean alikeEveryDay(Value value, Optional<Format> format) {
        return switch (value) {
            case Value.Number number -> true;
            case Value.Money money -> true;
            case Value.Day day -> named(format).orElse(null) != FormatName.DISTANCE;
            default -> false;
        };
    }

    private String printed(Value value, Optional<Format> format, ZoneId zone, Instant now) {
        return switch (value) {
            case Value.Text text -> text(text.text(), format);
            case Value.Number number -> number(number.number(), format);
            case Value.Money money -> money(money, format);
            case Value.Day day -> dates.day(day.day(), format, now.atZone(zone).toLocalDate());
            case Value.Moment moment ->
                dates.moment(
                        moment.instant().atZone(zone), format, now.atZone(zone).toLocalDate());
            case Value.Several several -> several(several, format);
            case Value.YesNo yesNo -> yesNo(yesNo.yes(), format);
            case Value.Phone phone -> PhoneFormats.print(phone.number(), format, locale);
            case Value.Name name -> name(name, format);
        };
    }

    /** A value as it is stored, for "why does it say this?". */
    static String stored(Value value) {
        return switch (value) {
            case Value.Text text -> text.text();
            case Value.Number number -> number.number().toPlainString();
            case Value.Money money -> money.amount().toPlainString() + " " + money.currency();
            case Value.Day day -> day.day().toString();
            case Value.Moment moment -> moment.instant().toString();
            case Value.Several several -> String.join(", ", several.labels());
            case Value.YesNo yesNo -> yesNo.yes() ? "yes" : "no";
            case Value.Phone phone -> phone.number();
            case Value.Name name -> (name.first() + " " + name.last()).strip();
        };
    }

    private String text(String text, Optional<Format> format) {
        String trimmed = text.strip();
        if (format.isEmpty()) {
            return trimmed;
        }
        return named(format)
                .map(name -> switch (name) {
                    case CAPITALS -> trimmed.toUpperCase(locale);
                    case LOWER_CASE -> trimmed.toLowerCase(locale);
                    case SENTENCE -> NameFormats.sentence(trimmed, locale);
                    case NAME -> NameFormats.name(trimmed, locale);
                    case INITIALS -> NameFormats.initials(trimmed, locale);
                    case FIRST_WORD -> trimmed.split("\\s+", 2)[0];
                    default -> trimmed;
                })
                .orElse(trimmed);
    }

    private String number(BigDecimal number, Optional<Format> format) {
        if (named(format).orElse(null) == FormatName.WORDS) {
            // Soft hyphens, put in for typesetters, have no place in mail.
            return new RuleBasedNumberFormat(ULocale.forLocale(locale), RuleBasedNumberFormat.SPELLOUT)
                    .format(number)
                    .replace("\u00AD", "");
        }
        Object key = format.orElse(null) instanceof Format.Decimals decimals
                ? decimals
                : named(format).orElse(null);
        LocalizedNumberFormatter formatter =
                key == null ? numbers : numberFormats.computeIfAbsent(key, this::numberFormat);
        return formatter.format(number).toString();
    }

    /** Making a formatter takes far longer than using it. */
    private LocalizedNumberFormatter numberFormat(Object asked) {
        return switch (asked) {
            case Format.Decimals decimals -> numbers.precision(Precision.fixedFraction(decimals.digits()));
            case FormatName.WHOLE -> numbers.precision(Precision.integer());
            case FormatName.PERCENT -> numbers.unit(MeasureUnit.PERCENT);
            default -> numbers;
        };
    }

    private String money(Value.Money money, Optional<Format> format) {
        Amount asked = new Amount(named(format).orElse(FormatName.MONEY), money.currency());
        try {
            return amounts.computeIfAbsent(asked, this::amountFormat)
                    .format(money.amount())
                    .toString();
        } catch (IllegalArgumentException unknownCurrency) {
            return numbers.format(money.amount()) + " " + money.currency();
        }
    }

    private LocalizedNumberFormatter amountFormat(Amount asked) {
        Currency currency = Currency.getInstance(asked.currency());
        LocalizedNumberFormatter plain = NumberFormatter.withLocale(locale).roundingMode(RoundingMode.HALF_UP);
        return switch (asked.format()) {
            case PLAIN_AMOUNT -> plain.precision(Precision.fixedFraction(currency.getDefaultFractionDigits()));
            case WHOLE_MONEY -> plain.unit(currency).precision(Precision.integer());
            default -> plain.unit(currency);
        };
    }

    private String several(Value.Several several, Optional<Format> format) {
        return switch (named(format).orElse(FormatName.LIST)) {
            case COUNT -> numbers.format(several.labels().size()).toString();
            case FIRST -> several.labels().getFirst();
            default -> ListFormatter.getInstance(locale).format(several.labels());
        };
    }

    private String yesNo(boolean yes, Optional<Format> format) {
        if (format.orElse(null) instanceof Format.YesOrNo words) {
            return yes ? words.yes() : words.no();
        }
        return switch (locale.getLanguage()) {
            case "de" -> yes ? "ja" : "nein";
            case "fr" -> yes ? "oui" : "non";
            default -> yes ? "yes" : "no";
        };
    }

    private String name(Value.Name name, Optional<Format> format) {
        String full = (name.first().strip() + " " + name.last().strip()).strip();
        return switch (named(format).orElse(FormatName.FULL_NAME)) {
            case FIRST_NAME -> name.first().strip();
            case INITIALS -> NameFormats.initials(full, locale);
            default -> full;
        };
    }

    private static Optional<FormatName> named(Optional<Format> format) {
        return format.isPresent() && format.get() instanceof Format.Named named
                ? Optional.of(named.name())
                : Optional.empty();
    }

    /** Distances such as "in 3 weeks", kept beside the other formats of the language. */
    static String distance(LocalDate from, LocalDate to, Locale locale) {
        return Distance.between(from, to).print(RelativeDateTimeFormatter.getInstance(locale));
    }
}
