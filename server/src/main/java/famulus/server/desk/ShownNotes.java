package famulus.server.desk;

import famulus.core.proof.Note;
import famulus.server.desk.ProofService.Proof;
import famulus.server.desk.ShownNote.ShownFix;
import famulus.server.desk.ShownNote.ShownWave;
import famulus.server.library.WavedNoteService.Waved;
import java.util.List;
import java.util.Optional;

/** Notes of the proofreader, each with why it was let pass, if it was. */
final class ShownNotes {
    private static final int LONGEST_WORDS = 2000;

    private ShownNotes() {}

    static ShownNote of(Note note, Proof proof, List<Waved> waved) {
        String words = words(note, proof);
        Optional<Waved> wave = waved.stream()
                .filter(one -> !note.stops() && one.code().equals(note.code()))
                .filter(one -> one.words().equals(words))
                .findFirst();
        return new ShownNote(
                note.code(),
                note.level(),
                note.title(),
                note.remedy(),
                note.part(),
                note.span().start(),
                note.span().end(),
                note.nearest(),
                note.fix()
                        .map(fix -> new ShownFix(
                                fix.label(), fix.span().start(), fix.span().end(), fix.text()))
                        .orElse(null),
                note.block(),
                words,
                wave.map(one -> new ShownWave(one.reason(), one.by())).orElse(null),
                note.message().orElse(null));
    }

    /** What a note is about, to be told from another one like it; the end of what is very long is left out. */
    private static String words(Note note, Proof proof) {
        String text = proof.source().text(note.part());
        String about = note.block() + " " + note.title() + " "
                + text.substring(note.span().start(), note.span().end());
        return about.substring(0, Math.min(about.length(), LONGEST_WORDS));
    }
}
