package famulus.core.intake;

import famulus.core.field.FieldType;
import famulus.core.field.Value;
import famulus.core.record.FoldedText;
import famulus.core.record.FoldedText.Found;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Finds values that are words: names, addresses, titles, notes. */
final class SaidWords {
    /** A shorter value must stand in the text with its own capitals. */
    private static final int SHORT = 3;
    /** Of more words, a value is hardly said by chance. */
    private static final int SEVERAL = 2;

    private final FoldedText folded;
    private final String text;
    private final Defaults defaults;

    SaidWords(FoldedText folded, String text, Defaults defaults) {
        this.folded = folded;
        this.text = text;
        this.defaults = defaults;
    }

    List<Wording> of(KnownValue known) {
        String path = known.path().toString();
        return switch (known.value()) {
            case Value.Text one -> words(known, one.text(), path);
            case Value.Name name -> {
                List<Wording> all = new ArrayList<>(words(known, (name.first() + " " + name.last()).strip(), path));
                all.addAll(words(known, name.first(), path + " as first name"));
                yield all;
            }
            case Value.Several several -> words(known, String.join(", ", several.labels()), path);
            case Value.Number number -> List.of();
            case Value.Money money -> List.of();
            case Value.Day day -> List.of();
            case Value.Moment moment -> List.of();
            case Value.YesNo yesNo -> List.of();
            case Value.Phone phone -> List.of();
        };
    }

    private List<Wording> words(KnownValue known, String value, String asked) {
        List<Wording> all = new ArrayList<>();
        for (Found found : folded.all(value)) {
            String said = text.substring(found.start(), found.end());
            boolean same = said.equals(value.strip());
            if (value.strip().length() >= SHORT || same) {
                String written = "{" + asked + defaults.of(known, found.start()) + "}";
                all.add(new Wording(found.start(), found.end(), written, sure(known, value, said)));
            }
        }
        return all;
    }

    /** “Rose” is a name and “rose” may be one; what can be chosen in a field is often a word of every day. */
    private static boolean sure(KnownValue known, String value, String said) {
        if (value.strip().split("\\s+").length >= SEVERAL || value.contains("@")) {
            return true;
        }
        boolean everyday =
                known.field().type() == FieldType.CHOICE || known.field().type() == FieldType.CHOICES;
        boolean shouted = said.equals(said.toUpperCase(Locale.ROOT));
        return !everyday && (shouted || Character.isUpperCase(said.codePointAt(0)));
    }
}
