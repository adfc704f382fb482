package famulus.core.record;

import com.google.i18n.phonenumbers.NumberParseException;
import com.google.i18n.phonenumbers.PhoneNumberUtil;
import com.google.i18n.phonenumbers.PhoneNumberUtil.PhoneNumberFormat;
import com.google.i18n.phonenumbers.Phonenumber.PhoneNumber;
import famulus.core.field.FieldDefinition;
import famulus.core.field.FieldType;
import java.math.BigDecimal;
import java.net.URI;
import java.net.URISyntaxException;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Currency;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * What somebody typed into a field, checked and in the form that is stored: text trimmed, numbers plain
 * ({@code 1048.5}), money as amount and currency ({@code 1920.00 GBP}), dates by ISO 8601, choices by their codes (several
 * on a line each), yes or no as these words, telephone numbers by E.164 where they are numbers.
 *
 * @param stored the form that is stored; empty when there is nothing to store
 * @param refusal what is wrong with it, in a sentence; then nothing may be stored
 */
public record FieldInput(String stored, Optional<String> refusal) {
    private static final Pattern NUMBER = Pattern.compile("[+-]?[0-9]{1,13}(\\.[0-9]{1,6})?");
    private static final Set<String> SCHEMES = Set.of("http", "https", "mailto", "tel");
    private static final int LONGEST_CHOICES = 4000;
    private static final int EARLIEST_YEAR = 1900;
    private static final int LATEST_YEAR = 2200;

    /**
     * Reads what was typed.
     *
     * @param field which field it is for
     * @param most how many characters it may have
     * @param required whether something has to stand there
     * @param typed as it came; null counts as empty
     * @param country two letters that a telephone number without a prefix, or money without a currency, belongs to
     * @param currency three letters for money typed without one
     */
    public static FieldInput read(
            FieldDefinition field, int most, boolean required, String typed, String country, String currency) {
        boolean choice = field.type() == FieldType.CHOICE || field.type() == FieldType.CHOICES;
        boolean lines = field.type() == FieldType.LONG_TEXT || field.type() == FieldType.CHOICES;
        // Of what is no choice it is said that it is none, however long it is.
        int longest = choice ? LONGEST_CHOICES : most;
        Optional<String> refusal = lines
                ? PlainLine.refusalOfLines(typed, longest, required)
                : PlainLine.refusal(typed, longest, required);
        String text = typed == null ? "" : typed.strip();
        if (refusal.isPresent() || text.isEmpty()) {
            return new FieldInput("", refusal);
        }
        return switch (field.type()) {
            case TEXT -> accepted(text);
            case LONG_TEXT -> accepted(text.replace("\r\n", "\n").replace('\r', '\n'));
            case NUMBER -> number(text);
            case MONEY -> money(text, currency);
            case DATE -> date(text);
            case CHOICE -> choice(field, text);
            case CHOICES -> choices(field, text);
            case YES_NO -> Set.of("yes", "no").contains(text) ? accepted(text) : refused("Choose yes or no.");
            case EMAIL -> EmailAddress.refusal(text).map(FieldInput::refused).orElseGet(() -> accepted(text));
            case LINK -> link(text);
            case PHONE -> phone(text, country);
            case DATE_TIME, USER, RELATION -> refused("This can't be typed here.");
        };
    }

    private static FieldInput accepted(String stored) {
        return new FieldInput(stored, Optional.empty());
    }

    private static FieldInput refused(String sentence) {
        return new FieldInput("", Optional.of(sentence));
    }

    private static FieldInput number(String text) {
        if (!NUMBER.matcher(text).matches()) {
            return refused("“" + text + "” is not a number. Write it like 36.5.");
        }
        return accepted(new BigDecimal(text).stripTrailingZeros().toPlainString());
    }

    private static FieldInput money(String text, String currencyElse) {
        String[] parts = text.split("\\s+");
        String code = parts.length > 1 ? parts[1].toUpperCase(Locale.ROOT) : currencyElse;
        if (parts.length > 2 || !NUMBER.matcher(parts[0]).matches()) {
            return refused("“" + text + "” is not an amount. Write it like 1920.00 or 1920.00 " + currencyElse + ".");
        }
        try {
            int digits = Math.max(Currency.getInstance(code).getDefaultFractionDigits(), 0);
            BigDecimal amount = new BigDecimal(parts[0]);
            if (amount.stripTrailingZeros().scale() > digits) {
                return refused("An amount in " + code + " has at most " + digits + " digits after the point.");
            }
            return accepted(amount.setScale(digits).toPlainString() + " " + code);
        } catch (IllegalArgumentException unknown) {
            return refused("“" + code + "” is not a currency. Use three letters, such as " + currencyElse + ".");
        }
    }

    private static FieldInput date(String text) {
        try {
            LocalDate day = LocalDate.parse(text);
            return day.getYear() < EARLIEST_YEAR || day.getYear() > LATEST_YEAR
                    ? refused("A day between " + EARLIEST_YEAR + " and " + LATEST_YEAR + ", please.")
                    : accepted(day.toString());
        } catch (DateTimeException wrong) {
            return refused("“" + text + "” is not a date. Write it like 2026-05-21.");
        }
    }

    private static FieldInput choice(FieldDefinition field, String code) {
        boolean known =
                field.choices().stream().anyMatch(choice -> choice.code().equals(code));
        return known
                ? accepted(code)
                : refused("“" + (code.length() > 60 ? code.substring(0, 60) + "…" : code)
                        + "” is not among the choices.");
    }

    private static FieldInput choices(FieldDefinition field, String codes) {
        List<String> chosen = Arrays.stream(codes.split("\n"))
                .map(String::strip)
                .filter(code -> !code.isEmpty())
                .toList();
        for (String code : chosen) {
            FieldInput one = choice(field, code);
            if (one.refusal().isPresent()) {
                return one;
            }
        }
        List<String> ordered = field.choices().stream()
                .map(FieldDefinition.FieldOption::code)
                .filter(chosen::contains)
                .toList();
        return accepted(String.join("\n", ordered));
    }

    private static FieldInput link(String text) {
        try {
            URI address = new URI(text);
            boolean whole = address.getScheme() != null
                    && SCHEMES.contains(address.getScheme().toLowerCase(Locale.ROOT))
                    && (address.getHost() != null || address.isOpaque());
            return whole ? accepted(text) : refused("“" + text + "” is not an address. Begin it with https://.");
        } catch (URISyntaxException wrong) {
            return refused("“" + text + "” is not an address. Begin it with https://, without spaces.");
        }
    }

    private static FieldInput phone(String text, String country) {
        PhoneNumberUtil phones = PhoneNumberUtil.getInstance();
        try {
            PhoneNumber number = phones.parse(text, country);
            return phones.isPossibleNumber(number)
                    ? accepted(phones.format(number, PhoneNumberFormat.E164))
                    : refused("“" + text + "” is not a telephone number: it is too long or too short.");
        } catch (NumberParseException wrong) {
            return refused("“" + text + "” is not a telephone number. Write it like +44 1632 960187.");
        }
    }
}
