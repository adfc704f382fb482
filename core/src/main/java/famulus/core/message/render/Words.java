package famulus.core.message.render;

import java.util.Locale;
import java.util.ResourceBundle;

/** The few words that a rendering adds of its own, by language; English where a language is not there. */
record Words(ResourceBundle bundle) {
    private static final ResourceBundle.Control ENGLISH_ELSE =
            ResourceBundle.Control.getNoFallbackControl(ResourceBundle.Control.FORMAT_PROPERTIES);

    static Words in(Locale locale) {
        return new Words(ResourceBundle.getBundle(
                "famulus.core.message.render.words", locale, Words.class.getClassLoader(), ENGLISH_ELSE));
    }

    String of(String key) {
        return bundle.getString(key);
    }
}
