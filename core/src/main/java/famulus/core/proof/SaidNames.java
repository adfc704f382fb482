package famulus.core.proof;

import famulus.core.prose.FoundWords;
import famulus.core.prose.Prose.Stretch;
import famulus.core.prose.WrittenLanguage;
import famulus.core.record.NameKey;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * The names that a message may be saying: whoever it greets, and words with capitals that stand together. Whether they are names
 * is told by the records, which are asked for {@link #parts} and {@link #keys}.
 */
public final class SaidNames {
    /** Words of a name, at most; of those that stand together each such run is looked for. */
    private static final int LONGEST = 5;
    /** Further ones are not looked for: a message is no directory. */
    private static final int MOST = 80;

    private static final String WORD = "\\p{Lu}[\\p{L}\\p{M}]*(?:['’-]\\p{L}+)*";
    private static final Pattern TOGETHER = Pattern.compile("(?<![\\p{L}\\p{N}])" + WORD
            + "(?:[ \\u00a0](?:(?:de|of|van|von|der|la|le|du|di|da|and|und|et|&)[ \\u00a0])?" + WORD + ")+");
    private static final Pattern ONE = Pattern.compile(WORD);

    private final List<Greeted> greeted = new ArrayList<>();
    private final List<Whole> wholes = new ArrayList<>();

    /**
     * Somebody who is greeted or thanked.
     *
     * @param names where each of their names stands
     * @param formal whether with a title, so that it is their last name
     */
    record Greeted(ProseText text, List<Stretch> names, boolean formal) {}

    /** Words with capitals that stand together. */
    record Whole(ProseText text, Stretch place) {
        String words() {
            return text.words(place);
        }
    }

    private SaidNames(List<ProseText> texts) {
        texts.stream().filter(text -> text.ofMessage()).forEach(text -> {
            greeted(text);
            wholes(text);
        });
    }

    /** Those of a message. */
    public static SaidNames of(ProofSubject subject) {
        return new SaidNames(subject.texts());
    }

    /** Those of a text that is in no message yet. */
    public static SaidNames of(String text, WrittenLanguage language) {
        return new SaidNames(List.of(ProseText.of(text, language)));
    }

    static SaidNames of(List<ProseText> texts) {
        return new SaidNames(texts);
    }

    private void greeted(ProseText text) {
        Pattern greeting = text.language().exact("greets");
        for (Stretch sentence : text.prose().sentences()) {
            String words = text.words(sentence);
            Matcher begins = greeting.matcher(words);
            if (!FoundWords.has(words, greeting) || !begins.lookingAt()) {
                continue;
            }
            List<Stretch> names = new ArrayList<>();
            Matcher one = ONE.matcher(begins.group("name"));
            while (one.find()) {
                int at = sentence.start() + begins.start("name");
                names.add(new Stretch(at + one.start(), at + one.end()));
            }
            greeted.add(new Greeted(text, names, begins.group("title") != null));
        }
    }

    private void wholes(ProseText text) {
        for (Stretch together : text.all(TOGETHER)) {
            List<Stretch> words = new ArrayList<>();
            Matcher one = ONE.matcher(text.words(together));
            while (one.find()) {
                words.add(new Stretch(together.start() + one.start(), together.start() + one.end()));
            }
            for (int from = 0; from < words.size(); from++) {
                for (int to = Math.min(words.size(), from + LONGEST); to > from + 1; to--) {
                    if (wholes.size() < MOST) {
                        wholes.add(new Whole(
                                text,
                                new Stretch(
                                        words.get(from).start(),
                                        words.get(to - 1).end())));
                    }
                }
            }
        }
    }

    List<Greeted> greeted() {
        return greeted;
    }

    List<Whole> wholes() {
        return wholes;
    }

    /** The keys to be looked for among first and last names. */
    public Set<String> parts() {
        return greeted.stream()
                .flatMap(one ->
                        one.names().stream().map(name -> NameKey.of(one.text().words(name))))
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    /** The keys to be looked for among whole names. */
    public Set<String> keys() {
        return wholes.stream().map(one -> NameKey.of(one.words())).collect(Collectors.toCollection(LinkedHashSet::new));
    }
}
