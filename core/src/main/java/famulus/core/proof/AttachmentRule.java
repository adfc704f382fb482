package famulus.core.proof;

import famulus.core.prose.Prose.Stretch;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;

/** {@code attachment-said}: a message that says “attached” and has nothing attached, or the other way round. */
final class AttachmentRule implements ProseRule {
    private static final String CODE = "attachment-said";
    private static final Pattern PARTS = Pattern.compile("[^\\p{L}]+");
    /** Shorter parts of a file's name say nothing of what it is. */
    private static final int TELLING = 4;

    @Override
    public List<Note> read(List<ProseText> texts, Circumstances around) {
        return around.files()
                .map(files -> files.isEmpty() ? said(texts) : unsaid(texts, files))
                .orElse(List.of());
    }

    private static List<Note> said(List<ProseText> texts) {
        for (ProseText text : texts) {
            Optional<Stretch> said = text.all("attached").stream()
                    .filter(one -> !text.has(text.prose().sentenceAt(one.start()), "attached_elsewhere"))
                    .findFirst();
            if (said.isPresent()) {
                return List.of(text.note(
                        CODE,
                        Note.Level.QUERY,
                        "“" + text.words(said.get()) + "”, but no file is attached",
                        "Attach it, or change the sentence.",
                        said.get()));
            }
        }
        return List.of();
    }

    private static List<Note> unsaid(List<ProseText> texts, List<String> files) {
        boolean said = texts.stream()
                .anyMatch(text ->
                        !text.all("attached").isEmpty() || !text.all("a_file").isEmpty());
        if (said) {
            return List.of();
        }
        List<Note> notes = new ArrayList<>();
        ProseText body = texts.stream().filter(ProseText::ofBody).findFirst().orElse(texts.getLast());
        for (String file : files) {
            if (texts.stream().noneMatch(text -> names(text.prose().text(), file))) {
                notes.add(body.note(
                        CODE,
                        Note.Level.QUERY,
                        "“" + file + "” is attached, and the message doesn’t say so",
                        "Say what it is, or remove it.",
                        new Stretch(0, body.prose().text().length())));
            }
        }
        return notes;
    }

    private static boolean names(String words, String file) {
        String said = words.toLowerCase(Locale.ROOT);
        int dot = file.lastIndexOf('.');
        String stem = dot > 0 ? file.substring(0, dot) : file;
        return PARTS.splitAsStream(stem.toLowerCase(Locale.ROOT))
                .filter(part -> part.length() >= TELLING)
                .anyMatch(part ->
                        Pattern.compile("(?<!\\p{L})" + part).matcher(said).find());
    }
}
