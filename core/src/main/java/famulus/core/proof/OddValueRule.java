package famulus.core.proof;

import famulus.core.proof.SaidValue.Kind;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * {@code odd-value}: what a field says and nobody would write: a name in capitals or without any, with a figure in it, or far
 * longer than names are; marks left at its end; a word that stands for nothing.
 */
final class OddValueRule implements ProseRule {
    private static final int LONGEST_NAME = 45;
    private static final int LONGEST_OTHER_NAME = 80;
    /** Shorter ones may be initials. */
    private static final int CAPITALS = 4;

    private static final Pattern MARKS_AT_END = Pattern.compile("[\\s]*[,;:/\\\\|_*#+=<>~-]+$");
    private static final Pattern MARKS_AHEAD = Pattern.compile("^[,;:/\\\\|_*#=<>~.?!-]+\\s*");
    private static final Set<String> NOTHING = Set.of(
            "n/a",
            "na",
            "none",
            "null",
            "unknown",
            "nil",
            "test",
            "tbc",
            "tba",
            "tbd",
            "xxx",
            "xx",
            "x",
            "-",
            "--",
            "?",
            "??",
            "???",
            "unbekannt",
            "keine",
            "keiner",
            "inconnu",
            "aucun",
            "undefined",
            "asdf",
            "nan");

    @Override
    public List<Note> read(List<ProseText> texts, Circumstances around) {
        List<Note> notes = new ArrayList<>();
        for (SaidValue value : around.values()) {
            odd(value).ifPresent(why -> SaidPlace.of(texts, value)
                    .ifPresent(place -> notes.add(place.text()
                            .note(
                                    "odd-value",
                                    Note.Level.QUERY,
                                    value.label() + " “" + value.text() + "” " + why.says(),
                                    "Change it for this message, and on the record.",
                                    place.at(),
                                    why.instead().stream().toList()))));
        }
        return notes;
    }

    /** What is odd, and what may have been meant. */
    private record Odd(String says, Optional<String> instead) {}

    private static Optional<Odd> odd(SaidValue value) {
        String text = value.text();
        if (value.kind() == Kind.INSTEAD_OF_NAME) {
            return Optional.empty();
        }
        boolean name = value.kind() != Kind.OTHER;
        boolean person = value.kind() == Kind.PERSON;
        if (NOTHING.contains(text.strip().toLowerCase(Locale.ROOT))) {
            return Optional.of(new Odd("stands for nothing", Optional.empty()));
        }
        if (MARKS_AT_END.matcher(text).find() || MARKS_AHEAD.matcher(text).find()) {
            String bare = MARKS_AHEAD
                    .matcher(MARKS_AT_END.matcher(text).replaceFirst(""))
                    .replaceFirst("");
            return Optional.of(new Odd("has marks left over", Optional.of(bare)));
        }
        if (person && text.chars().anyMatch(Character::isDigit)) {
            return Optional.of(new Odd(
                    "has a figure in it",
                    Optional.of(text.replaceAll("[0-9]", "").strip())));
        }
        if (name && shouts(text)) {
            return Optional.of(new Odd("is written in capitals", Optional.of(calm(text))));
        }
        if (person && text.codePoints().filter(Character::isLetter).allMatch(Character::isLowerCase) && cased(text)) {
            return Optional.of(new Odd("is written in small letters", Optional.of(calm(text))));
        }
        int most = person ? LONGEST_NAME : LONGEST_OTHER_NAME;
        return name && text.length() > most
                ? Optional.of(new Odd("is " + text.length() + " characters long", Optional.empty()))
                : Optional.empty();
    }

    /** Whether its script knows capitals. */
    private static boolean cased(String text) {
        return text.codePoints().anyMatch(Character::isLowerCase);
    }

    private static boolean shouts(String text) {
        return text.codePoints().filter(Character::isLetter).count() >= CAPITALS
                && text.codePoints().filter(Character::isLetter).allMatch(Character::isUpperCase);
    }

    private static String calm(String text) {
        return Arrays.stream(text.toLowerCase(Locale.ROOT).split(" "))
                .map(word -> word.isEmpty() ? word : word.substring(0, 1).toUpperCase(Locale.ROOT) + word.substring(1))
                .collect(Collectors.joining(" "));
    }
}
