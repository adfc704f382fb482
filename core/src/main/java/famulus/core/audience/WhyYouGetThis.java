package famulus.core.audience;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.format.FormatStyle;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Says to a reader, in their language, why they get messages. */
public final class WhyYouGetThis {
    /**
     * How it is said.
     *
     * @param because with what they agreed to
     * @param contact where nothing is known of that, with the name of the company
     */
    private record Words(String because, String contact) {}

    private static final Words ENGLISH =
            new Words("Why you get this: %s.", "You get this because you are among the contacts of %s.");
    private static final Map<String, Words> BY_LANGUAGE = Map.of(
            "de",
            new Words("Warum Sie das bekommen: %s.", "Sie bekommen das, weil Sie zu den Kontakten von %s gehören."),
            "fr",
            new Words(
                    "Pourquoi vous recevez ceci : %s.",
                    "Vous recevez ceci parce que vous faites partie des contacts de %s."));

    private WhyYouGetThis() {}

    /**
     * The sentence.
     *
     * @param permission how they agreed to get messages, in words of the company; may be empty
     * @param since the day they did
     * @param company its name
     */
    public static String sentence(String permission, Optional<LocalDate> since, String company, Locale reader) {
        Words words = BY_LANGUAGE.getOrDefault(reader.getLanguage(), ENGLISH);
        String source = permission.strip().replaceAll("[.\\s]+$", "");
        if (source.isEmpty()) {
            return words.contact().formatted(company);
        }
        String day = since.map(date -> ", "
                        + date.format(DateTimeFormatter.ofLocalizedDate(FormatStyle.LONG)
                                .withLocale(reader)))
                .orElse("");
        return words.because().formatted(source + day);
    }
}
