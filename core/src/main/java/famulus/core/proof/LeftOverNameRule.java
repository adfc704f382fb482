package famulus.core.proof;

import famulus.core.proof.SaidNames.Greeted;
import famulus.core.proof.SaidNames.Whole;
import famulus.core.prose.Prose.Stretch;
import famulus.core.record.NameKey;
import famulus.core.record.SearchText;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * {@code left-over-name}: a name that is neither its reader's nor its sender's. Somebody else is greeted; a person or organisation
 * that has nothing to do with the message is named in full; it is signed with the name of a colleague.
 */
final class LeftOverNameRule implements ProseRule {
    /** Those who are called by the beginning of their name are called by so much of it. */
    private static final int NICKNAME = 3;
    /** A message is signed in one of its last lines. */
    private static final int LAST_LINES = 4;

    @Override
    public List<Note> read(List<ProseText> texts, Circumstances around) {
        if (around.names().isEmpty() || around.theirs().isEmpty()) {
            return List.of();
        }
        KnownNames known = around.names().get();
        SaidNames said = SaidNames.of(texts);
        List<Note> notes = new ArrayList<>();
        Set<String> theirs = words(around.theirs());
        // Of two readers the second is known by what a field says: “Dear Ines and Tobias”.
        Set<String> values =
                SearchText.words(around.values().stream().map(SaidValue::text).toList(), Integer.MAX_VALUE);
        said.greeted()
                .forEach(one -> greeted(one, known, around, theirs, values).ifPresent(notes::add));
        said.wholes().forEach(one -> whole(one, known, around).ifPresent(notes::add));
        texts.stream().filter(ProseText::ofBody).forEach(text -> signed(text, known)
                .ifPresent(notes::add));
        return notes;
    }

    /**
     * @param theirs the words of what belongs to its reader
     * @param said the words of what fields say
     */
    private static Optional<Note> greeted(
            Greeted greeted, KnownNames known, Circumstances around, Set<String> theirs, Set<String> said) {
        List<String> names =
                greeted.names().stream().map(name -> greeted.text().words(name)).toList();
        boolean them = names.stream()
                .flatMap(name -> words(List.of(name)).stream())
                .anyMatch(word -> said.contains(word) || theirs.stream().anyMatch(one -> called(word, one)));
        boolean somebody = names.stream().anyMatch(name -> known.parts().contains(NameKey.of(name)));
        if (them || !somebody || names.isEmpty()) {
            return Optional.empty();
        }
        Stretch all = new Stretch(
                greeted.names().getFirst().start(), greeted.names().getLast().end());
        String reader = around.theirs().getFirst();
        String[] parts = reader.split("\\s+");
        String instead = names.size() > 1 ? reader : greeted.formal() ? parts[parts.length - 1] : parts[0];
        return Optional.of(note(
                greeted.text(),
                "“" + greeted.text().words(all) + "” is greeted, and the message goes to " + reader,
                "Is the name left over from another message?",
                all,
                List.of(instead)));
    }

    /** Leo is Leopold. */
    private static boolean called(String word, String name) {
        return word.equals(name)
                || (word.length() >= NICKNAME && name.startsWith(word))
                || (name.length() >= NICKNAME && word.startsWith(name));
    }

    private static Set<String> words(List<String> names) {
        return new HashSet<>(SearchText.words(names));
    }

    private static Optional<Note> whole(Whole said, KnownNames known, Circumstances around) {
        String key = NameKey.of(said.words());
        String name = SearchText.folded(said.words());
        boolean ours = Stream.of(
                        around.theirs().stream(),
                        around.values().stream().map(SaidValue::text),
                        Stream.of(known.sender()))
                .flatMap(Function.identity())
                .anyMatch(one -> SearchText.folded(one).contains(name));
        String what = known.elsewhere().get(key);
        if (what == null || ours) {
            return Optional.empty();
        }
        return Optional.of(note(
                said.text(),
                "“" + said.words() + "” is " + what,
                "The message goes to " + around.theirs().getFirst() + ". Is the name left over from another one?",
                said.place(),
                List.of()));
    }

    private static Optional<Note> signed(ProseText text, KnownNames known) {
        Set<String> sender = words(List.of(known.sender()));
        Set<String> colleagues = known.colleagues().stream()
                .flatMap(colleague -> Stream.of(
                        colleague, Arrays.asList(colleague.split("\\s+")).getFirst()))
                .map(NameKey::of)
                .collect(Collectors.toSet());
        List<Stretch> lines = text.prose().paragraphs();
        return lines.subList(Math.max(0, lines.size() - LAST_LINES), lines.size()).stream()
                .filter(line -> signs(text.words(line), colleagues))
                .filter(line -> words(List.of(text.words(line))).stream().noneMatch(sender::contains))
                .findFirst()
                .map(line -> note(
                        text,
                        "The message is signed “" + text.words(line) + "” and goes out as " + known.sender(),
                        "Sign it with your own name.",
                        line,
                        List.of(
                                text.words(line).contains(" ")
                                        ? known.sender()
                                        : known.sender().split("\\s+")[0])));
    }

    /** Whether a line is the name of one of some colleagues and nothing else. */
    private static boolean signs(String line, Set<String> colleagues) {
        String said = NameKey.of(line);
        return !said.isEmpty() && colleagues.contains(said);
    }

    private static Note note(ProseText text, String title, String remedy, Stretch about, List<String> instead) {
        return text.note("left-over-name", Note.Level.QUERY, title, remedy, about, instead);
    }
}
