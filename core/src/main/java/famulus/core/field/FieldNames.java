package famulus.core.field;

import com.ibm.icu.text.Transliterator;
import java.util.Collection;
import java.util.Locale;

/** Makes a field's word in paths from what people call it. */
public final class FieldNames {
    private static final int LONGEST = 50;

    private FieldNames() {}

    /**
     * Returns a name that is not among {@code taken}: {@code "Contract ends"} gives {@code contract_ends}, and
     * {@code contract_ends_2} when that is taken. Always a letter first, then letters without accents, digits and
     * underscores.
     */
    public static String of(String label, Collection<String> taken) {
        String latin = Transliterator.getInstance("Any-Latin; Latin-ASCII").transliterate(label);
        String name =
                latin.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "_").replaceAll("^_+|_+$", "");
        if (name.length() > LONGEST) {
            name = name.substring(0, LONGEST).replaceAll("_+$", "");
        }
        if (name.isEmpty() || !Character.isLetter(name.charAt(0))) {
            name = ("field_" + name).replaceAll("_+$", "");
        }
        String free = name;
        for (int turn = 2; taken.contains(free); turn++) {
            free = name + "_" + turn;
        }
        return free;
    }
}
