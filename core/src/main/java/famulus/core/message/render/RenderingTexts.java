package famulus.core.message.render;

import java.util.Locale;
import java.util.ResourceBundle;

/** The few words that a rendering adds of its own, by language; English where a language is not there. */
record RenderingTexts(ResourceBundle bundle) {
    private static final ResourceBundle.Control ENGLISH_ELSE =
            ResourceBundle.Control.getNoFallbackControl(ResourceBundle.Control.FORMAT_PROPERTIES);

    static RenderingTexts in(Locale locale) {
        return new RenderingTexts(ResourceBundle.getBundle(
                "famulus.core.message.render.words", locale, RenderingTexts.class.getClassLoader(), ENGLISH_ELSE));
    }

    String of(String key) {
        return bundle.getString(key);
    }
}
