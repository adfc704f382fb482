package famulus.core.proof;

import famulus.core.message.MessagePart;
import famulus.core.prose.Prose.Stretch;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** {@code subject-shout}: capitals or repeated marks in the subject, other than in a name that is written so. */
final class ShoutRule implements ProseRule {
    private static final Pattern CAPITALS = Pattern.compile(
            "\\p{Lu}{4,}(?:[ ,&-]+\\p{Lu}{2,})+|\\p{Lu}{2,}(?:[ ,&-]+\\p{Lu}{2,})*[ ,&-]+\\p{Lu}{4,}|\\p{Lu}{5,}");
    private static final Pattern MARKS = Pattern.compile("[!?]{2,}|!(?=[^!]+!)|\\${2,}|€{2,}|[*=~#]{3,}");

    @Override
    public List<Note> read(List<ProseText> texts, Circumstances around) {
        List<Note> notes = new ArrayList<>();
        for (ProseText text : texts) {
            if (text.part() == MessagePart.SUBJECT) {
                text.all(CAPITALS).stream()
                        .filter(one -> !theirs(text.words(one), around))
                        .findFirst()
                        .ifPresent(one -> notes.add(note(
                                text,
                                one,
                                "“" + text.words(one) + "” shouts",
                                "Capitals look like advertising to readers and to their mail filters.",
                                List.of(calm(text.words(one), one.start() == 0)))));
                text.all(MARKS).stream()
                        .findFirst()
                        .ifPresent(one -> notes.add(note(
                                text,
                                one,
                                "The subject shouts: “" + text.words(one) + "”",
                                "One mark is enough, or none.",
                                List.of())));
            }
        }
        return notes;
    }

    private static boolean theirs(String words, Circumstances around) {
        return Stream.concat(around.theirs().stream(), around.values().stream().map(SaidValue::text))
                .anyMatch(name -> name.contains(words) || words.contains(name));
    }

    private static String calm(String words, boolean first) {
        String lower = words.toLowerCase(Locale.ROOT);
        return first ? lower.substring(0, 1).toUpperCase(Locale.ROOT) + lower.substring(1) : lower;
    }

    private static Note note(ProseText text, Stretch about, String title, String remedy, List<String> instead) {
        return text.note("subject-shout", Note.Level.QUERY, title, remedy, about, instead);
    }
}
