package famulus.core.condition;

import java.util.Locale;

/** How texts are compared: without regard to case and to spaces at their ends; accents and all else count. */
public final class TextKey {
    private TextKey() {}

    /** Two texts are the same when their keys are. */
    public static String of(String text) {
        return text.strip().toLowerCase(Locale.ROOT);
    }
}
