package famulus.core.message.render;

import com.ibm.icu.util.LocaleData;
import com.ibm.icu.util.ULocale;
import java.util.List;
import java.util.Locale;

/**
 * What stands on paper besides the words of a message.
 *
 * @param sender who it is from, a line each, its name first; printed where the style has no header
 * @param reader whom a letter is to, a line each
 * @param day the day a letter is from, as its reader writes it
 */
public record Paper(Size size, List<String> sender, List<String> reader, String day) {
    public Paper {
        sender = List.copyOf(sender);
        reader = List.copyOf(reader);
    }

    /** A sheet, upright. */
    public enum Size {
        /** 210 mm by 297 mm (ISO 216). */
        A4("A4"),
        /** 8½ by 11 inches. */
        LETTER("letter");

        private static final int HEIGHT_OF_A4 = 297;

        private final String css;

        Size(String css) {
            this.css = css;
        }

        /** As CSS names it. */
        String css() {
            return css;
        }

        /** What people print on in a region, by CLDR. */
        public static Size usualIn(Locale locale) {
            return LocaleData.getPaperSize(ULocale.forLocale(locale)).getHeight() == HEIGHT_OF_A4 ? A4 : LETTER;
        }
    }
}
