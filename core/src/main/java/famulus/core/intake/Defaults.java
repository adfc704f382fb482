package famulus.core.intake;

import famulus.core.field.RecordKind;
import famulus.core.prose.WrittenLanguage;
import famulus.core.syntax.Quoted;
import java.util.Set;
import java.util.regex.Matcher;

/** What a field says instead where others have no value, in the language of the text. Only few fields have a word for it. */
final class Defaults {
    private static final Set<RecordKind> READERS = Set.of(RecordKind.PERSON, RecordKind.CONTACT, RecordKind.LEAD);
    /** A greeting stands so near before the name. */
    private static final int NEAR = 24;

    private final String text;
    private final WrittenLanguage language;

    Defaults(String text, WrittenLanguage language) {
        this.text = text;
        this.language = language;
    }

    /** The default of a field at a place, with the word before it; empty for none. */
    String of(KnownValue known, int at) {
        String name = known.field().name();
        if (READERS.contains(known.field().kind()) && name.equals("first_name") && greeted(at)) {
            return instead("instead_of_first_name");
        }
        boolean company = READERS.contains(known.field().kind()) && name.equals("company")
                || known.field().kind() == RecordKind.ORGANISATION && name.equals("name");
        return company ? instead("instead_of_organisation") : "";
    }

    private String instead(String key) {
        return " else " + Quoted.of(language.list(key).getFirst());
    }

    private boolean greeted(int at) {
        String before = text.substring(Math.max(0, at - NEAR), at);
        Matcher hello = language.pattern("hello").matcher(before);
        int end = -1;
        while (hello.find()) {
            end = hello.end();
        }
        return end >= 0 && before.substring(end).isBlank();
    }
}
