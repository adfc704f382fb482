package famulus.core.merge;

import com.google.i18n.phonenumbers.NumberParseException;
import com.google.i18n.phonenumbers.PhoneNumberUtil;
import com.google.i18n.phonenumbers.PhoneNumberUtil.PhoneNumberFormat;
import java.util.Locale;
import java.util.Optional;

/** Prints telephone numbers by the plans of ITU-T E.164; what is no number prints as stored. */
public final class PhoneFormats {
    private PhoneFormats() {}

    /**
     * A number as it is dialled from anywhere, such as {@code +44 1632 960114}.
     *
     * @param locale where it is, if it does not say so
     */
    public static String international(String stored, Locale locale) {
        return print(stored, Optional.empty(), locale);
    }

    static String print(String stored, Optional<Format> format, Locale locale) {
        boolean national = format.orElse(null) instanceof Format.Named named && named.name() == FormatName.NATIONAL;
        PhoneNumberUtil phones = PhoneNumberUtil.getInstance();
        try {
            return phones.format(
                    phones.parse(stored, locale.getCountry()),
                    national ? PhoneNumberFormat.NATIONAL : PhoneNumberFormat.INTERNATIONAL);
        } catch (NumberParseException noNumber) {
            return stored.strip();
        }
    }
}
