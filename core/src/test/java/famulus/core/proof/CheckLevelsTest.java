package famulus.core.proof;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.core.departure.Departure;
import famulus.core.departure.Leaving;
import famulus.core.message.MessagePart;
import famulus.core.proof.CheckLevels.Wanted;
import famulus.core.syntax.Span;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class CheckLevelsTest {
    private static Note note(String code, Note.Level level) {
        return new Note(code, level, "Title", "Remedy.", MessagePart.SUBJECT, new Span(0, 1), List.of());
    }

    @ParameterizedTest
    @EnumSource(QueryCode.class)
    void aQuestionIsAskedStopsOrIsSilentAsWanted(QueryCode code) {
        List<Note> notes = List.of(note(code.code(), Note.Level.QUERY));

        assertThat(CheckLevels.USUAL.of(notes)).isEqualTo(notes);
        assertThat(new CheckLevels(Map.of(code, Wanted.OFF)).of(notes)).isEmpty();
        List<Note> raised = new CheckLevels(Map.of(code, Wanted.STOP)).of(notes);
        assertThat(Departure.stops(Leaving.SEND, raised)).hasSize(1);
        assertThat(Departure.stops(Leaving.READY, raised)).hasSize(code.ofOnePerson() ? 0 : 1);
    }

    @Test
    void whatStopsByItsNatureStops() {
        List<Note> notes = List.of(note("gap", Note.Level.STOP), note("html-cleaned", Note.Level.QUERY));

        assertThat(new CheckLevels(Map.of(QueryCode.DRIFT, Wanted.OFF)).of(notes))
                .isEqualTo(notes);
    }
}
