package famulus.core.proof;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** {@code old-fact}: a detail of our company that was last true so long ago that somebody should look at it again. */
final class OldFactRule implements ProseRule {
    private static final DateTimeFormatter MONTH = DateTimeFormatter.ofPattern("MMMM uuuu", Locale.ENGLISH);

    @Override
    public List<Note> read(List<ProseText> texts, Circumstances around) {
        List<Note> notes = new ArrayList<>();
        for (SaidValue value : around.values()) {
            value.lastTrue().ifPresent(day -> SaidPlace.of(texts, value)
                    .ifPresent(place -> notes.add(note(place, value, day))));
        }
        return notes;
    }

    private static Note note(SaidPlace place, SaidValue value, LocalDate day) {
        return place.text()
                .note(
                        "old-fact",
                        Note.Level.QUERY,
                        value.label() + " “" + value.text() + "” was last true in " + MONTH.format(day),
                        "See whether it still is. Editors change it in Company settings.",
                        place.at());
    }
}
